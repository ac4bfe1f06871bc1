<?php

declare(strict_types=1);

namespace Tests\Feature\Home;

use App\Language\Told;
use App\Models\Practice;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Breath\Timeline\Timeline;
use IvoryPace\Exercise\Told\Spoken;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\Told\Instruction;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** Each way is prescribed, told, taught, led for eye, ear and hand, and comes back. */
final class WaysOfPractisingTest extends TestCase
{
    use RefreshDatabase;
    use Scenario;

    /**
     * @param  array<string, mixed>  $fields
     * @param  list<string>  $says
     * @param  list<string>  $never
     */
    #[DataProviderExternal(Ways::class, 'all')]
    public function test_is_prescribed_told_taught_led_and_logged(array $fields, array $says, array $never): void
    {
        $this->travelTo('2026-11-10 12:00:00');
        $this->clinicWithPatient();
        $this->screen();
        $version = $this->issue(['ratio' => null, 'position' => null, ...$fields]);
        $item = $version->items()->sole()->item();

        $this->assertTold($item, $says, $never);
        $this->assertLed($item->timeline());
        if ($item->shortTimeline() !== null) {
            $this->assertLed($item->shortTimeline());
        }
        $this->assertArrives($version, $item);
    }

    /**
     * @param  list<string>  $says
     * @param  list<string>  $never
     */
    private function assertTold(Item $item, array $says, array $never): void
    {
        $steps = Instruction::steps($item);
        $told = implode(' ', array_map(Told::say(...), array_merge(Instruction::of($item), ...$steps)));
        foreach ($says as $words) {
            self::assertStringContainsStringIgnoringCase($words, $told);
        }
        foreach ($never as $words) {
            self::assertDoesNotMatchRegularExpression('/\b'.preg_quote(trim($words), '/').'\b/', $told);
        }
        self::assertDoesNotMatchRegularExpression('/:[a-z]|\b(told|hands|position|exercise|cue)\.[a-z]/', $told, 'every key has its words, and every word its value');
        self::assertCount($item->routine === null ? 0 : count($item->exercises()), $steps);
    }

    /** By sight, by ear and by touch, each alone; and what is taught is heard before it is led. */
    private function assertLed(Timeline $timeline): void
    {
        $taught = [];
        foreach ($timeline->segments as $segment) {
            foreach ($segment->cues as $cue) {
                if ($segment->role === SegmentRole::Teach) {
                    $taught[$cue->place->step] = true;

                    continue;
                }
                $this->assertReaches($cue);
                if ($taught !== [] && $segment->role === SegmentRole::Exercise && $cue->instruction !== 'cue.free-between') {
                    self::assertArrayHasKey($cue->place->step, $taught, $cue->instruction);
                }
            }
        }
    }

    private function assertReaches(Cue $cue): void
    {
        self::assertNotSame('', Told::shown($cue));
        self::assertNotSame([], Spoken::buzz($cue->kind));
        if ($cue->kind !== CueKind::Bell) {
            self::assertNotSame('', Told::spoken($cue), $cue->instruction);
        }
        self::assertStringNotContainsString('cue.', Told::shown($cue).Told::spoken($cue));
    }

    private function assertArrives(ProgrammeVersion $version, Item $item): void
    {
        [, $credential] = $this->device();
        auth()->forgetGuards();
        $shown = $this->fromDevice($credential)->todayOnDevice()['items'][0];
        self::assertNotSame([], $shown['told']);
        self::assertCount(count(Instruction::steps($item)), $shown['taught']);

        $timeline = $item->timeline();
        $steps = array_map(fn (array $each) => ['step' => $each['step'], 'breaths' => 1, 'seconds' => 30], $shown['taught']);
        $this->outbox('practice', $this->practiceLog($version, [
            'breaths_done' => $timeline->breaths(), 'seconds_done' => (int) round($timeline->exerciseMs() / 1000),
            'started_at' => CarbonImmutable::now()->utc()->subSeconds(60 + (int) ceil($timeline->totalMs() / 1000))->format('Y-m-d\TH:i:s.v\Z'),
            'anchor' => $item->plan?->slots[0]->anchor->value,
            'steps_done' => $steps === [] ? null : $steps, 'open_ms' => $timeline->isAbout() ? [4200, 5100] : null,
        ]))->assertStored();
        $kept = Practice::query()->sole();
        self::assertSame($steps === [] ? null : $steps, $kept->steps_done);
        auth()->forgetGuards();
        self::assertStringContainsString($timeline->isAbout() && $item->routine === null ? '5.1 s' : '', $this->course()['practices'][0]['got']);
    }
}
