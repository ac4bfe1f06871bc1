<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Facts\PatientFactsOf;
use App\Models\Measurement;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use IvoryPace\Breath\Phase;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\Scenario;
use Tests\TestCase;

final class MeasureTest extends TestCase
{
    use RefreshDatabase;
    use Scenario;

    protected function setUp(): void
    {
        parent::setUp();
        $this->clinicWithPatient();
        $this->screen();
        $this->actingAs($this->practitioner, 'practitioner');
    }

    public function test_a_rate_is_looked_at_and_then_kept_from_its_taps(): void
    {
        $taps = array_map(fn (int $n) => 1000 + $n * 4000, range(0, 15));
        $this->postJson("/patients/{$this->patient->id}/measure/rate", ['taps' => $taps])->assertOk()->assertJson(['rate' => 15, 'doubtful' => []]);
        self::assertSame(0, Measurement::query()->count());
        $this->keep(['measure' => 'resting-rate', 'taps' => $taps])->assertCreated();

        $kept = Measurement::query()->sole();
        self::assertSame(['tapped', 15.0, 16], [$kept->method, $kept->value, count($kept->details['taps'] ?? [])]);
        $this->postJson("/patients/{$this->patient->id}/measure/rate", ['taps' => [1, 2]])->assertJsonValidationErrors('taps');
    }

    public function test_a_tape_elsewhere_does_not_compare_and_one_of_before_lay_round_the_lower_ribs(): void
    {
        Measurement::query()->create([
            'patient_id' => $this->patient->id, 'practitioner_id' => $this->practitioner->id, 'measure' => 'rib-expansion', 'value' => 3,
            'details' => ['pairs' => [[80, 83]], 'spread' => 0], 'position' => 'seated', 'method' => 'tape, best of 1', 'measured_at' => now()->subMonth(),
        ]);
        $comparable = fn (): bool => collect($this->get("/patients/{$this->patient->id}/measure")->viewData('page')['props']['desk']['measures'])->firstWhere('key', 'rib-expansion')['comparable'];
        $this->keep(['measure' => 'rib-expansion', 'pairs' => [[80, 84]], 'level' => 'lower ribs', 'position' => 'seated'])->assertCreated();
        self::assertTrue($comparable());
        $this->keep(['measure' => 'rib-expansion', 'pairs' => [[84, 87]], 'level' => 'armpits', 'position' => 'seated'])->assertCreated();
        self::assertFalse($comparable());
        $this->keep(['measure' => 'rib-expansion', 'pairs' => [[84, 87]], 'level' => 'knee', 'position' => 'seated'])->assertJsonValidationErrors('value');
    }

    public function test_the_best_of_three_feeds_the_rules_and_the_fitting(): void
    {
        $this->keep(['measure' => 'exhale', 'tries' => ['6.5', '7.2', '']])->assertCreated();
        $this->keep(['measure' => 'exhale', 'tries' => ['4.5'], 'position' => 'supine'])->assertCreated();
        $this->keep(['measure' => 'resting-rate', 'value' => '16'])->assertCreated();
        $facts = PatientFactsOf::patient($this->patient->refresh()->load('latestScreening.answers', 'activeProgramme.versions.items'), now());

        self::assertSame([4.5, 16.0, null], [$facts->limits->of(Phase::Exhale), $facts->restingRate, $facts->limits->of(Phase::Hold)]);
        $answer = $this->postJson("/patients/{$this->patient->id}/bench/answer", ['items' => [['technique' => 'extended-exhale', 'ratio' => '4:8']]]);
        self::assertContains('COMFORT-LIMIT', array_column($answer->json('items.0.findings'), 'rule'));
        $this->get("/patients/{$this->patient->id}/bench")->assertInertia(fn (AssertableInertia $page) => $page->where('measured.exhale', 4.5));
        $this->get("/patients/{$this->patient->id}/measure")->assertInertia(fn (AssertableInertia $page) => $page->component('Measure')
            ->where('desk.measures', function ($list) {
                $exhale = collect($list)->firstWhere('key', 'exhale');
                self::assertEquals([4.5, 7.2, false], [$exhale['last']['value'], $exhale['first']['value'], $exhale['comparable']], 'another position is marked');

                return true;
            }));
    }

    public function test_everything_that_is_taken_becomes_a_value_and_words(): void
    {
        $this->keep(['measure' => 'hand-check', 'chest' => 3, 'belly' => 1, 'first' => 'chest', 'shoulders' => true])->assertCreated();
        $this->keep(['measure' => 'rib-expansion', 'pairs' => [['80', '84.5'], ['', ''], ['80', '85']]])->assertCreated();
        $this->keep(['measure' => 'rhythm', 'route' => 'mouth', 'even' => 'uneven', 'sighs' => 4])->assertCreated();
        $this->keep(['measure' => 'ceiling', 'step' => 3, 'count_length' => 1])->assertCreated();
        $this->keep(['measure' => 'ceiling', 'counts' => 5, 'count_length' => '0.9'])->assertCreated();
        $this->keep(['measure' => 'diastolic', 'value' => 80])->assertCreated();
        $this->putJson("/patients/{$this->patient->id}/measure/choices", ['symptoms' => ['Evening tension'], 'own_low_saturation' => '88'])->assertOk();
        $symptom = $this->patient->symptoms()->sole();
        $this->keep(['measure' => 'symptom', 'symptom' => $symptom->id, 'value' => 6])->assertCreated();

        self::assertSame([75.0, 5.0, 4.0, 4.0, 4.5, 80.0, 6.0], Measurement::query()->orderBy('id')->get()->map(fn (Measurement $each) => $each->value)->all());
        self::assertSame('upper-chest, chest first, 75 % at the chest; shoulders lift', Measurement::query()->orderBy('id')->firstOrFail()->details['words'] ?? null);
        $this->get("/patients/{$this->patient->id}/measure")->assertInertia(fn (AssertableInertia $page) => $page->where('desk.own_low_saturation', 88)
            ->where('desk.measures', fn ($rows) => collect($rows)->last()['label'] === 'Evening tension' && collect($rows)->last()['last']['value'] == 6 && collect($rows)->firstWhere('key', 'ceiling')['comparable'] === false));
        $this->getJson("/patients/{$this->patient->id}/measure/ceiling")->assertOk()->assertJsonPath('name', 'Comfort ceiling');
        $this->putJson("/patients/{$this->patient->id}/measure/choices", ['symptoms' => []])->assertOk();
        $this->keep(['measure' => 'symptom', 'symptom' => $symptom->id, 'value' => 6])->assertJsonValidationErrors('value');
        $this->putJson("/patients/{$this->patient->id}/measure/choices", ['symptoms' => ['a', 'A']])->assertJsonValidationErrors('symptoms.0');
        $this->putJson("/patients/{$this->patient->id}/measure/choices", ['own_low_saturation' => 30])->assertJsonValidationErrors('own_low_saturation');
    }

    public function test_an_urgent_value_opens_a_red_flag_that_blocks_issuing(): void
    {
        $this->keep(['measure' => 'saturation', 'value' => 90])->assertJsonValidationErrors(['sure' => 'Oxygen saturation of 90 % is urgent: kept, it opens a red flag. Everything but recovery is paused, and nothing is issued, until you record what was done and that it may go on. Sure?']);
        $this->keep(['measure' => 'saturation', 'value' => 90, 'sure' => true])->assertCreated()->assertJsonPath('red_flags.0.label', 'Oxygen saturation of 90 %');
        $this->keep(['measure' => 'saturation', 'value' => 89, 'sure' => true])->assertCreated();
        self::assertSame(1, $this->patient->openRedFlags()->count(), 'the same one is open already');
        $this->get("/patients/{$this->patient->id}/bench")->assertInertia(fn (AssertableInertia $page) => $page->where('patient.obstacle', fn ($text) => str_contains($text, 'low oxygen saturation')));
        $this->putJson("/patients/{$this->patient->id}/measure/choices", ['own_low_saturation' => 88])->assertOk();
        $this->actOnRedFlags();
        $this->keep(['measure' => 'saturation', 'value' => 89, 'sure' => true])->assertCreated();
        self::assertSame(0, $this->patient->openRedFlags()->count(), 'normal for this patient');
    }

    public function test_a_second_click_keeps_nothing_twice_and_a_limit_of_nothing_is_refused(): void
    {
        foreach (['0', '-1', '0.4'] as $nothing) {
            $this->keep(['measure' => 'hold', 'tries' => [$nothing]])->assertJsonValidationErrors(['value' => "$nothing seconds is outside 0.5 to 120."]);
        }
        $this->keep(['measure' => 'pulse', 'value' => 72])->assertCreated();
        $this->keep(['measure' => 'pulse', 'value' => 72])->assertCreated();
        self::assertSame(1, Measurement::query()->count());
        $this->travel(20)->seconds();
        $this->keep(['measure' => 'pulse', 'value' => 72])->assertCreated();
        $this->keep(['measure' => 'pulse', 'value' => 74])->assertCreated();
        self::assertSame(3, Measurement::query()->count(), 'another value, or the same one later, is another');
    }

    public function test_values_of_a_session_are_urgent_together(): void
    {
        foreach ([['resting-rate', 22, ['explanation' => 'Came up the stairs.']], ['pulse', 115, []]] as [$measure, $value, $with]) {
            $this->keep(['measure' => $measure, 'value' => $value, ...$with])->assertCreated();
        }
        self::assertSame(0, $this->patient->openRedFlags()->count());
        $this->keep(['measure' => 'systolic', 'value' => 105])->assertJsonValidationErrors('sure');
        $this->keep(['measure' => 'systolic', 'value' => 105, 'sure' => true])->assertCreated();
        self::assertSame(1, $this->patient->openRedFlags()->count(), '2 and 2 and 1 points');
        self::assertSame(1, $this->patient->pauses()->goingOn()->count());
    }

    public function test_a_fast_rate_is_kept_with_what_explains_it(): void
    {
        $this->keep(['measure' => 'resting-rate', 'value' => 22])->assertJsonValidationErrors(['explanation' => 'Resting rate of 22 breaths/min is fast at rest. What explains it?']);
        $this->keep(['measure' => 'resting-rate', 'value' => 22, 'explanation' => 'x'])->assertJsonValidationErrors('explanation');
        $this->keep(['measure' => 'resting-rate', 'value' => 22, 'explanation' => 'Came up the stairs.'])->assertCreated();
        self::assertSame('Came up the stairs.', Measurement::query()->sole()->details['words'] ?? null);
    }

    public function test_a_fall_watched_in_a_hold_is_kept_and_never_urgent_by_itself(): void
    {
        $this->keep(['measure' => 'saturation-fall', 'from' => 97, 'lowest' => 98, 'seconds' => 10])->assertJsonValidationErrors('value');
        $this->keep(['measure' => 'saturation-fall', 'from' => 97, 'lowest' => 90, 'seconds' => 12])->assertCreated();
        self::assertSame([90.0, 'from 97 %, low for 12 s'], [Measurement::query()->sole()->value, Measurement::query()->sole()->details['words'] ?? null]);
        self::assertSame(0, $this->patient->openRedFlags()->count());
    }

    public function test_peak_flow_says_when_there_is_no_personal_best(): void
    {
        $this->keep(['measure' => 'peak-flow', 'value' => 300])->assertCreated();
        self::assertStringContainsString('No personal best', (string) (Measurement::query()->sole()->details['words'] ?? ''));
        $this->keep(['measure' => 'peak-flow-best', 'value' => 500])->assertCreated();
        $this->keep(['measure' => 'peak-flow', 'value' => 240])->assertJsonValidationErrors('sure');
        $this->keep(['measure' => 'peak-flow', 'value' => 240, 'sure' => true])->assertCreated();
        self::assertSame(1, $this->patient->openRedFlags()->count());
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'impossible' => [['measure' => 'saturation', 'value' => 250], 'value'];
        yield 'not a number' => [['measure' => 'pulse', 'value' => 'fast'], 'value'];
        yield 'nothing' => [['measure' => 'pulse'], 'value'];
        yield 'no such measure' => [['measure' => 'mood', 'value' => 3], 'measure'];
        yield 'too few taps' => [['measure' => 'resting-rate', 'taps' => [1, 2, 3]], 'value'];
        yield 'no tries' => [['measure' => 'hold', 'tries' => ['', '']], 'value'];
        yield 'no such position' => [['measure' => 'pulse', 'value' => 70, 'position' => 'flying'], 'position'];
        yield 'nobody moves' => [['measure' => 'hand-check', 'chest' => 0, 'belly' => 0, 'first' => 'chest'], 'value'];
        yield 'swapped tape' => [['measure' => 'rib-expansion', 'pairs' => [[90, 80]]], 'value'];
        yield 'half a rhythm' => [['measure' => 'rhythm', 'route' => 'nose', 'sighs' => 1], 'value'];
        yield 'no counts' => [['measure' => 'ceiling', 'count_length' => 1], 'value'];
        yield 'a symptom of nobody' => [['measure' => 'symptom', 'symptom' => 1, 'value' => 3], 'value'];
        yield 'unusual' => [['measure' => 'saturation', 'value' => 88], 'sure'];
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('wrong')]
    public function test_what_cannot_be_is_refused_with_its_range_and_what_is_unusual_is_asked_again(array $input, string $field): void
    {
        $this->keep($input)->assertJsonValidationErrors($field);
        self::assertSame(0, Measurement::query()->count());
        if ($field === 'sure') {
            $this->keep([...$input, 'sure' => true])->assertCreated();
        }
    }

    /** @param  array<string, mixed>  $input */
    private function keep(array $input): TestResponse
    {
        return $this->postJson("/patients/{$this->patient->id}/measure", ['position' => 'seated', ...$input]);
    }
}
