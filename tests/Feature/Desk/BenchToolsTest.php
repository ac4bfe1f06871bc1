<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** Tapping, fitting, comparing, playing, and looking at what an issue changes. */
final class BenchToolsTest extends TestCase
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

    public function test_a_count_is_as_long_as_it_is_tapped(): void
    {
        $this->ask('taps', ['taps' => [0, 800, 1620, 2400, 3200]])->assertOk()->assertJson(['count_s' => 0.8, 'taps' => 5]);
        foreach ([[], [0, 800], [0, 800, 700, 1600], [0, 100, 200, 300, 400], ['x', 1, 2, 3], array_fill(0, 300, 1)] as $taps) {
            $this->ask('taps', ['taps' => $taps])->assertJsonValidationErrors('taps');
        }
        $this->ask('taps', ['taps' => 'nonsense'])->assertUnprocessable();
    }

    public function test_fits_to_limits_to_a_rate_and_to_minutes(): void
    {
        $of = fn (array $to) => $this->ask('fit', ['items' => [['technique' => 'four-seven-eight']], 'at' => 0, 'to' => $to]);

        $of(['hold' => '5'])->assertOk()->assertJson(['changes' => [['set' => ['count_length' => 0.56]], ['set' => ['count_length' => 0.71]]]]);
        $hard = $of(['hold' => '3'])->assertOk();
        self::assertStringContainsString('does not suit yet: the hold', $hard->json('text'));
        self::assertSame('4:5:8', $hard->json('changes.0.set.ratio'));
        $of(['rate' => '4'])->assertJson(['changes' => [['set' => ['count_length' => 0.789]]]]);
        self::assertStringContainsString('longest', $of(['rate' => '1'])->json('text'));
        $of(['minutes' => '2'])->assertJson(['changes' => [['set' => ['breaths' => 6]]]]);
        foreach ([[], ['hold' => '0'], ['hold' => 'long'], ['rate' => '0'], ['minutes' => '0.1']] as $wrong) {
            $of($wrong)->assertJsonValidationErrors('fit');
        }
        $weeks = $of(['from' => '12', 'rate' => '6', 'weeks' => '2'])->assertOk();
        self::assertStringContainsString('week 2: 6 at', $weeks->json('text'));
        self::assertStringStartsWith('week 1', $weeks->json('changes.0.label'));
        foreach ([['weeks' => ''], ['weeks' => '2'], ['weeks' => '2', 'from' => '12', 'rate' => ''], ['weeks' => '53', 'from' => '12', 'rate' => '6'], ['weeks' => '2.5', 'from' => '12', 'rate' => '6'], ['weeks' => '2', 'from' => '6', 'rate' => '12'], ['weeks' => ['2'], 'from' => '12', 'rate' => '6']] as $wrong) {
            $of($wrong)->assertJsonValidationErrors('fit');
        }
        $this->ask('fit', ['items' => [['technique' => 'noticing']], 'to' => ['rate' => 6]])->assertJsonValidationErrors('fit');
        $this->ask('fit', ['items' => [['technique' => 'square', 'ratio' => 'x']], 'to' => ['rate' => 6]])->assertJsonValidationErrors('items');
        $this->ask('fit', ['items' => [], 'at' => 7])->assertJsonValidationErrors('items');
    }

    public function test_two_breaths_are_compared_in_numbers(): void
    {
        $answer = $this->ask('compare', ['a' => ['ratio' => '4:7:8', 'count_length' => 1], 'b' => ['ratio' => '4:6:5', 'count_length' => 1]])->assertOk();
        $lines = collect($answer->json('lines'))->keyBy('what');

        self::assertEqualsWithDelta([19, 15, -4], [$lines['one breath']['a'], $lines['one breath']['b'], $lines['one breath']['difference']], 1e-9);
        self::assertEqualsWithDelta(0.842, $lines['breaths a minute']['difference'], 0.0005);
        $this->ask('compare', ['a' => ['ratio' => '4:x', 'count_length' => 1], 'b' => ['ratio' => '4:6', 'count_length' => 1]])->assertJsonValidationErrors('a');
        $this->ask('compare', ['a' => 'x'])->assertUnprocessable();
    }

    public function test_what_is_typed_plays_in_the_room(): void
    {
        $this->ask('play', ['items' => [['technique' => 'square', 'breaths' => 2]], 'at' => 0])->assertOk()->assertJson(['timeline' => ['breaths' => 2]]);
        $this->ask('play', ['items' => [['technique' => 'square', 'breaths' => 0]], 'at' => 0])->assertJsonValidationErrors('items');
    }

    public function test_an_issue_is_looked_at_item_by_item_in_words_for_both(): void
    {
        $version = $this->issue(['breaths' => 12]);
        $lineage = $version->items()->sole()->lineage;
        $fields = ['id' => $lineage, 'technique' => 'extended-exhale', 'ratio' => '4:0:6:1', 'position' => 'seated', 'breaths' => 12];
        $answer = $this->ask('changes', ['items' => [$fields, ['id' => 'new-1', 'technique' => 'noticing']]])->assertOk();

        self::assertSame(['changed', 'added'], array_column($answer->json('changes'), 'kind'));
        self::assertSame([['what' => 'ratio', 'from' => '4:0:5:1', 'to' => '4:0:6:1']], $answer->json('changes.0.lines'));
        self::assertSame("Longer breath out: The counts go from 4:0:5:1 to 4:0:6:1.\nNew: Noticing the breath.", $answer->json('patient_note'));
        $lying = $this->ask('changes', ['items' => [[...$fields, 'ratio' => '4:0:5:1', 'position' => 'supine', 'props' => ['pillow-under-head'], 'breaths' => 6]]]);
        self::assertStringContainsString('The position is now: lying on your back.', $lying->json('patient_note'));
        self::assertStringContainsString('Now 6 breaths instead of 12 breaths.', $lying->json('patient_note'));
        self::assertStringContainsString('With: a low pillow.', $lying->json('patient_note'));
        $gone = $this->ask('changes', ['items' => [['id' => 'new-1', 'technique' => 'noticing']]]);
        self::assertSame(['added', 'removed'], array_column($gone->json('changes'), 'kind'));
        $same = $this->ask('changes', ['items' => [[...$fields, 'ratio' => '4:0:5:1']]]);
        self::assertSame([[], ''], [$same->json('changes'), $same->json('patient_note')]);
    }

    public function test_counts_by_phase_make_the_ratio(): void
    {
        $of = fn (array $counts) => $this->ask('answer', ['items' => [['technique' => 'extended-exhale', 'ratio' => '4:5', 'counts' => $counts]]]);

        self::assertSame('4:0:5.5:1', $of(['inhale' => 4, 'hold' => 0, 'exhale' => 5.5, 'rest' => 1, 'top-up' => 0])->json('items.0.fields.ratio'));
        self::assertNotNull($of(['inhale' => 0, 'exhale' => 'x'])->json('items.0.errors.ratio'));
    }

    /** @param  array<string, mixed>  $with */
    private function ask(string $tool, array $with): TestResponse
    {
        return $this->postJson("/patients/{$this->patient->id}/bench/$tool", $with);
    }
}
