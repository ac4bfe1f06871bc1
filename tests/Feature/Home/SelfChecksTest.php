<?php

declare(strict_types=1);

namespace Tests\Feature\Home;

use App\Models\Practice;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Str;
use Tests\Feature\Scenario;
use Tests\TestCase;

final class SelfChecksTest extends TestCase
{
    use RefreshDatabase;
    use Scenario;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-11-10 12:00:00');
        $this->clinicWithPatient();
        $this->screen();
    }

    public function test_what_is_asked_after_a_practice_is_answered_with_a_tap_and_read_on_the_course(): void
    {
        $version = $this->issue(['checks' => ['first-hand', 'back-gap', 'shoulders'], 'hands' => 'chest-and-belly', 'position' => 'seated']);
        self::assertSame(['first-hand', 'shoulders'], array_map(fn ($check) => $check->value, $version->items()->sole()->item()->checks), 'nobody who sits has a gap under the back');
        [, $credential] = $this->device();
        auth()->forgetGuards();
        $item = $this->fromDevice($credential)->todayOnDevice()['items'][0];
        self::assertSame(['Which hand moved first?', ['belly', 'both', 'chest']], [$item['checks'][0]['question'], array_column($item['checks'][0]['answers'], 'value')]);

        $this->outbox('practice', $this->practiceLog($version, ['self_checks' => ['first-hand' => 'belly', 'shoulders' => 'perhaps', 'back-gap' => 'stayed']]))->assertStored();
        self::assertSame(['first-hand' => 'belly'], Practice::query()->sole()->self_checks, 'only what was asked, only with an answer that it has');
        auth()->forgetGuards();
        $this->actingAs($this->practitioner, 'practitioner');
        self::assertSame([['exercise' => 'Extended exhale', 'asked' => 'which hand moved first', 'first' => 'belly 1', 'lately' => '', 'answers' => 1]], array_map(fn (array $line) => array_replace(array_flip(['exercise', 'asked', 'first', 'lately', 'answers']), $line), $this->course()['self_checks']));
    }

    public function test_the_pace_is_tapped_before_and_after_and_its_medians_stand_on_the_course(): void
    {
        $version = $this->issue(['checks' => ['pace']]);
        [, $credential] = $this->device();
        auth()->forgetGuards();
        $this->fromDevice($credential);
        self::assertSame([['key' => 'pace', 'question' => 'How fast is your breath?', 'answers' => []]], $this->todayOnDevice()['items'][0]['checks']);
        $taps = fn (float $rate, int $count = 5): array => array_map(fn (int $n) => (int) round($n * 60_000 / $rate), range(0, $count - 1));
        $said = [
            [['before' => $taps(13.5), 'after' => $taps(9)], '13.5/9'], [['before' => $taps(14), 'after' => $taps(10.5)], '14/10.5'],
            [['before' => $taps(12), 'after' => $taps(8, 7)], '12/8'],
            [['before' => $taps(13), 'after' => null], null], [['before' => $taps(13, 3), 'after' => $taps(9)], null], [null, null],
            [['before' => $taps(200), 'after' => $taps(9)], null], [['before' => array_reverse($taps(13)), 'after' => $taps(9)], null],
        ];
        foreach ($said as [$given, $kept]) {
            $this->outbox('practice', $this->practiceLog($version, [
                'uuid' => (string) Str::uuid(), 'pace_taps' => $given, 'self_checks' => ['pace' => '1/1'],
            ]))->assertStored();
            self::assertSame($kept === null ? null : ['pace' => $kept], Practice::query()->latest('id')->firstOrFail()->self_checks, (string) json_encode($given));
        }
        foreach ([['before' => 'x'], ['during' => []], ['before' => [['x']]], 'x', ['after' => [-1, 2, 3, 4]]] as $wrong) {
            $this->outbox('practice', $this->practiceLog($version, ['uuid' => (string) Str::uuid(), 'pace_taps' => $wrong]))->assertIs('refused');
        }
        auth()->forgetGuards();
        $this->actingAs($this->practitioner, 'practitioner');
        $line = $this->course()['self_checks'][0];
        self::assertSame(['13.5 to 9 a minute', 3], [$line['first'], $line['answers']]);
    }

    public function test_how_far_each_step_of_a_routine_got_is_kept_and_a_stop_names_its_step(): void
    {
        $steps = [
            ['kind' => 'exercise', 'technique' => 'shoulder-rolls', 'minutes' => 1],
            ['kind' => 'exercise', 'technique' => 'extended-exhale', 'position' => 'seated', 'breaths' => 4],
        ];
        $version = $this->issue(['kind' => 'routine', 'routine_name' => 'Two', 'steps' => $steps, 'short' => ['steps' => [1]], 'times_a_day' => 1]);
        $item = $version->items()->sole()->item();
        self::assertSame(40_000, $item->shortTimeline()?->exerciseMs());
        self::assertSame([2], array_values(array_unique(array_map(fn ($cue) => $cue->place->step, $item->shortTimeline()->cues()))), 'the steps that are left keep their numbers');

        [, $credential] = $this->device();
        auth()->forgetGuards();
        $this->fromDevice($credential)->outbox('practice', $this->practiceLog($version, [
            'breaths_done' => 2, 'seconds_done' => 80, 'steps_done' => [['step' => 1, 'breaths' => 0, 'seconds' => 60], ['step' => 2, 'breaths' => 2, 'seconds' => 20]],
            'stop_class' => 'made-me-stop', 'stop_symptom' => 'dizziness',
        ]))->assertStored();
        auth()->forgetGuards();
        $this->actingAs($this->practitioner, 'practitioner');
        self::assertStringContainsString('steps 1: 60 s, 2: 2 breaths, stopped in step 2, Extended exhale', $this->course()['practices'][0]['got']);
    }
}
