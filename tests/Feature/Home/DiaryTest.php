<?php

declare(strict_types=1);

namespace Tests\Feature\Home;

use App\Models\ChosenSymptom;
use App\Models\DiaryEntry;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\OutboxAnswer;
use Tests\Feature\Scenario;
use Tests\TestCase;

final class DiaryTest extends TestCase
{
    use RefreshDatabase;
    use Scenario;

    private ChosenSymptom $tension;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-11-10 10:00:00');
        $this->clinicWithPatient();
        $this->screen();
        $this->tension = ChosenSymptom::query()->create(['patient_id' => $this->patient->id, 'name' => 'tension']);
        [, $credential] = $this->device();
        $this->fromDevice($credential)->unlock();
    }

    public function test_a_day_is_written_once_and_again_and_a_missed_one_is_late(): void
    {
        $this->write('2026-11-10', ['ratings' => [$this->tension->id => 6, 999 => 3], 'sleep' => 4, 'text' => 'Windy night'])->assertStored();
        $this->write('2026-11-10', ['ratings' => [$this->tension->id => 5], 'sleep' => null])->assertIs('again');
        $this->write('2026-11-07', ['sleep' => 7])->assertStored();
        $entries = DiaryEntry::query()->orderBy('day')->get();
        self::assertSame([['2026-11-07', true, []], ['2026-11-10', false, [$this->tension->id => 5]]], $entries->map(fn (DiaryEntry $entry) => [$entry->day->format('Y-m-d'), $entry->is_late, $entry->content['ratings']])->all());
        self::assertStringNotContainsString('ratings', (string) DB::table('diary_entries')->value('content'), 'stored encrypted');

        $this->actingAs($this->practitioner, 'practitioner')->post("/patients/{$this->patient->id}/sessions");
        $this->get("/patients/{$this->patient->id}/sessions/".$this->patient->careSessions()->sole()->id.'/catch-up')
            ->assertInertia(fn (AssertableInertia $page) => $page->has('shown.diary.entries', 2)->where('shown.diary.symptoms.0.name', 'tension'));
    }

    public function test_what_cannot_be_is_refused_in_the_patients_words(): void
    {
        $this->write('2026-11-06', ['sleep' => 7])->assertRefused(['day' => 'Today and the 3 days before it can be written.']);
        $this->write('2026-11-11', ['sleep' => 7])->assertRefused('day');
        $this->write('2026-02-31', ['sleep' => 7])->assertRefused('day');
        $this->write('2026-11-10', ['sleep' => 11])->assertRefused(['sleep' => 'A rating is a number from 0 to 10.']);
        $this->write('2026-11-10', ['ratings' => [$this->tension->id => -1]])->assertRefused("ratings.{$this->tension->id}");
        $this->write('2026-11-10', [])->assertRefused(['text' => 'Rate something or write a line first.']);
        $this->write('2026-11-10', ['text' => str_repeat('a', 501)])->assertRefused('text');
        self::assertSame(0, DiaryEntry::query()->count());
    }

    public function test_what_was_written_in_time_and_sent_late_is_taken_as_written(): void
    {
        $this->outbox('diary', ['day' => '2026-11-04', 'written_at' => '2026-11-04T20:00:00Z', 'sleep' => 6])->assertStored();
        self::assertFalse(DiaryEntry::query()->sole()->is_late);
        $this->outbox('diary', ['day' => '2026-11-12', 'written_at' => '2026-11-12T20:00:00Z', 'sleep' => 6])->assertRefused('day');
        $this->outbox('diary', ['day' => '2026-08-01', 'written_at' => '2026-08-01T20:00:00Z', 'sleep' => 6])->assertRefused('day');
    }

    /** A night worker's day starts at 14:00: at ten in the morning it is still the day before. */
    public function test_the_day_is_the_patients(): void
    {
        $this->patient->update(['day_start' => '14:00']);
        $this->app?->make('auth')->forgetGuards();
        $this->getJson('/api/v1/diary')->assertOk()->assertJsonPath('today', '2026-11-09');
        $this->write('2026-11-10', ['sleep' => 5])->assertRefused('day');
    }

    /** @param  array<string, mixed>  $entry */
    private function write(string $day, array $entry): OutboxAnswer
    {
        return $this->outbox('diary', ['day' => $day, 'written_at' => now()->format('Y-m-d\TH:i:s\Z'), ...$entry]);
    }
}
