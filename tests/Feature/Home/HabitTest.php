<?php

declare(strict_types=1);

namespace Tests\Feature\Home;

use App\Models\HabitTick;
use App\Models\Patient;
use App\Models\Practice;
use App\Models\ProgrammeVersion;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Str;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** Habits that are ticked through the day, and what goes on as long as it helps. */
final class HabitTest extends TestCase
{
    use RefreshDatabase;
    use Scenario;

    private ProgrammeVersion $version;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-11-10 12:00:00');
        $this->clinicWithPatient();
        $this->screen();
    }

    public function test_a_habit_is_ticked_through_the_day_and_read_on_the_course_the_progress_and_the_sheet(): void
    {
        $this->prescribe('ticked');
        $day = $this->todayOnDevice();
        self::assertSame(['use_when' => 'each hour', 'most' => 8, 'way' => 'ticked', 'room' => 16, 'done' => 0], $day['items'][0]['as_needed']);
        self::assertSame([], $day['slots'], 'it is not asked for at a time');

        foreach (['09:05', '10:02', '11:00'] as $time) {
            $this->outbox('tick', $this->tick("2026-11-10T$time:00.000Z"))->assertStored();
        }
        $again = $this->tick('2026-11-09T10:00:00.000Z');
        $this->outbox('tick', $again)->assertIs('refused');
        $again = $this->tick('2026-11-10T11:30:00.000Z');
        $this->outbox('tick', $again)->assertStored();
        $this->outbox('tick', $again)->assertIs('again');
        self::assertSame(4, HabitTick::query()->count());
        self::assertSame(0, Practice::query()->count(), 'nobody was led and nothing was measured');
        self::assertSame(4, $this->todayOnDevice()['items'][0]['as_needed']['done']);
        self::assertSame(4, $this->getJson('/api/v1/progress')->json('as_needed.0.times'));
        self::assertStringContainsString('A habit for the whole day: “each hour”. Tick it each time, about 8 times a day.', implode(' ', array_merge(...array_column($this->getJson('/api/v1/sheet')->json('sheet.items.0.told'), 'texts'))));

        auth()->forgetGuards();
        $this->actingAs($this->practitioner, 'practitioner');
        $line = $this->course()['programme']['exercises'][0];
        self::assertSame([4, 8, 'dddd'], [$line['uses'], $line['agreed'], $line['days'][0]['strokes']]);
    }

    public function test_ticks_of_someone_else_of_no_habit_ahead_of_time_or_without_end_are_refused(): void
    {
        $this->prescribe('ticked');
        $this->outbox('tick', $this->tick('2026-11-10T13:30:00.000Z'))->assertRefused(['ticked_at' => 'That is too long ago, or ahead of time.']);
        foreach ([['version_id' => 999_999], ['lineage' => (string) Str::ulid()]] as $wrong) {
            $this->outbox('tick', [...$this->tick('2026-11-10T11:00:00.000Z'), ...$wrong])->assertIs('refused');
        }
        foreach (['ticked_at' => ['0000-00-00', ['x'], 1e400], 'uuid' => ['no', ['a' => 1]], 'version_id' => ['many', [1]]] as $field => $values) {
            foreach ($values as $value) {
                $this->outbox('tick', [...$this->tick('2026-11-10T11:00:00.000Z'), $field => is_float($value) ? PHP_INT_MAX : $value])
                    ->assertIs('refused');
            }
        }
        for ($n = 0; $n < 17; $n++) {
            $answer = $this->outbox('tick', $this->tick(sprintf('2026-11-10T10:%02d:00.000Z', $n)));
        }
        $answer->assertRefused(['ticked_at' => 'That day has more ticks than it has room for.']);
        self::assertSame(16, HabitTick::query()->count());

        $mine = HabitTick::query()->firstOrFail();
        $other = Patient::factory()->create(['practitioner_id' => $this->practitioner->id, 'clinic_id' => $this->practitioner->clinic_id]);
        [, $credential] = $this->device($other);
        auth()->forgetGuards();
        $this->fromDevice($credential)->outbox('tick', [...$this->tick('2026-11-10T11:00:00.000Z'), 'uuid' => $mine->uuid])->assertIs('refused');
    }

    public function test_what_goes_on_as_long_as_it_helps_is_whole_when_it_has_helped(): void
    {
        $this->prescribe('open');
        $log = $this->practiceLog($this->version, ['breaths_done' => 0, 'seconds_done' => 40, 'enough' => true]);
        $this->outbox('practice', $log)->assertStored();
        $this->outbox('practice', $this->practiceLog($this->version, ['breaths_done' => 0, 'seconds_done' => 40, 'uuid' => (string) Str::uuid()]))->assertStored();
        [$helped, $left] = Practice::query()->orderBy('id')->get()->all();
        self::assertSame(['done', 40], [$helped->record()->stroke()->value, $helped->seconds_prescribed]);
        self::assertSame('partial', $left->record()->stroke()->value, 'left without a word it is not');

        $this->prescribe('led');
        $this->outbox('practice', $this->practiceLog($this->version, ['breaths_done' => 0, 'seconds_done' => 40, 'enough' => true, 'uuid' => (string) Str::uuid()]))->assertStored();
        self::assertSame('partial', Practice::query()->latest('id')->firstOrFail()->record()->stroke()->value, 'only what has no end of its own');
    }

    private function prescribe(string $way): void
    {
        $this->version = $this->issue([
            'technique' => 'noticing', 'ratio' => null, 'minutes' => 3, 'as_needed' => true, 'use_when' => 'each hour', 'daily_most' => 8, 'way' => $way,
        ], (int) ($this->version->number ?? 0), isset($this->version) ? 'next' : null);
        [, $credential] = $this->device();
        auth()->forgetGuards();
        $this->fromDevice($credential);
    }

    /** @return array<string, mixed> */
    private function tick(string $at): array
    {
        return ['uuid' => (string) Str::uuid(), 'version_id' => $this->version->id, 'lineage' => $this->version->items()->sole()->lineage, 'ticked_at' => $at];
    }
}
