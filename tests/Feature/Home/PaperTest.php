<?php

declare(strict_types=1);

namespace Tests\Feature\Home;

use App\Models\Practice;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** Ticks on the printed sheet are entered later, in one go. */
final class PaperTest extends TestCase
{
    use RefreshDatabase, Scenario;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-11-01 06:00:00');
        $this->clinicWithPatient();
        $this->screen();
    }

    public function test_ticks_count_in_full_are_marked_and_fill_only_what_is_without_a_practice(): void
    {
        $version = $this->issue(['times_a_day' => 2]);
        [$device] = $this->device();
        $this->travelTo('2026-11-03 08:00:00');
        $this->store($device, $this->practiceLog($version));
        $this->travelTo('2026-11-06 12:00:00');
        $lineage = (string) $version->items->first()?->lineage;
        $this->actingAs($this->practitioner, 'practitioner');
        $enter = fn (array $ticks) => $this->from('/')->post("/patients/{$this->patient->id}/paper", ['ticks' => array_map(fn (array $tick) => ['day' => $tick[0], 'lineage' => $lineage, 'done' => $tick[1]], $ticks)]);

        $enter([])->assertSessionHasErrors(['ticks' => 'Nothing was typed yet.']);
        $enter([['2026-11-04', 'two']])->assertSessionHasErrors('ticks.0.done');
        $enter([['2026-11-04', 2], ['2026-11-03', 2]])->assertSessionHasErrors(["paper 2026-11-03 $lineage" => 'Extended exhale, Tue 3 Nov: only 1 of that day is without a practice.']);
        $enter([['2026-10-02', 1]])->assertSessionHasErrors(["paper 2026-10-02 $lineage" => 'Fri 2 Oct is not among the last 14 days.']);
        $enter([['2026-13-02', 1]])->assertSessionHasErrors("paper 2026-13-02 $lineage");
        self::assertSame(1, Practice::query()->count(), 'nothing is half entered');

        $enter([['2026-11-04', 2], ['2026-11-03', 1]])->assertSessionHasNoErrors();
        $course = $this->course();
        self::assertSame(['dd', 'dd'], array_column(array_slice($course['programme']['exercises'][0]['days'], 2, 2), 'strokes'));
        self::assertSame([[2, 2], [2, 2]], array_map(fn (array $day) => [$day['planned'], $day['known']], array_slice($course['paper']['rows'][0]['days'], 2, 2)));
        self::assertStringContainsString('12 of 12 breaths, from paper', $course['practices'][0]['got']);
        self::assertSame([3, 3], [Practice::query()->where('source', 'paper')->count(), Practice::query()->whereNull('device_id')->whereNull('effort')->count()]);
        $enter([['2026-11-03', 1]])->assertSessionHasErrors(["paper 2026-11-03 $lineage" => 'Extended exhale, Tue 3 Nov: every practice of that day is entered already.']);
    }

    public function test_without_a_programme_there_is_nothing_to_enter(): void
    {
        $this->actingAs($this->practitioner, 'practitioner')->from('/')->post("/patients/{$this->patient->id}/paper", ['ticks' => [['day' => '2026-11-01', 'lineage' => 'x', 'done' => 1]]])
            ->assertSessionHasErrors(['paper' => 'No programme is running.']);
    }
}
