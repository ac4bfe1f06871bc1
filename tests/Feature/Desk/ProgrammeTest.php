<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Models\ProgrammeVersion;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Inertia\Testing\AssertableInertia;
use IvoryPace\Exercise\Routine\RoutineFields;
use IvoryPace\Exercise\Routine\Shipped;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** Programmes of several exercises, routines and exercises as needed. */
final class ProgrammeTest extends TestCase
{
    use RefreshDatabase;
    use Scenario;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-11-25 09:00:00');
        $this->clinicWithPatient();
        $this->screen(['flag.copd']);
        $this->actingAs($this->practitioner, 'practitioner');
    }

    public function test_three_items_are_issued_in_order_and_reach_the_phone(): void
    {
        $this->order(['items' => $this->three(), 'goal' => ['words' => 'Up the quay steps', 'measure' => 'breathlessness', 'target' => '3', 'direction' => 'at-most']])->assertCreated();
        $version = ProgrammeVersion::query()->with('items')->sole();

        self::assertSame(['Pursed-lip exhale', 'The end of a shift', 'Forward-lean recovery'], $version->items->map(fn ($item) => $item->item()->name())->all());
        self::assertSame('breathlessness', $version->goal['measure'] ?? null);
        [, $credential] = $this->device();
        auth()->forgetGuards();
        $today = $this->fromDevice($credential)->todayOnDevice();
        $items = $today['items'];
        self::assertSame([null, null, 'breath is short'], array_map(fn (array $item) => $item['as_needed']['use_when'] ?? null, $items));
        self::assertSame('The end of a shift', $items[1]['name']);
        self::assertSame(['exercise.shoulder-rolls.name', 'exercise.extended-exhale.name', 'exercise.noticing.name'], array_column($items[1]['taught'], 'name'));
        self::assertSame([1, 2, 4], array_column($items[1]['taught'], 'step'));
        self::assertContains('Breathe in and out by the nose.', array_column($items[1]['taught'][1]['told'], 'text'));
        self::assertCount(3, $today['slots'], '2 + 1 planned, none as needed');

        $this->outbox('practice', $this->practiceLog($version, ['lineage' => $version->items[1]->lineage, 'breaths_done' => 8, 'seconds_done' => 100]))->assertStored();
        $this->outbox('practice', $this->practiceLog($version, ['lineage' => $version->items[2]->lineage, 'anchor' => null, 'breaths_done' => 0, 'seconds_done' => 90, 'open_ms' => [81_000]]))->assertStored();
        auth()->forgetGuards();
        $this->actingAs($this->practitioner, 'practitioner');
        $this->get("/patients/{$this->patient->id}")->assertInertia(fn (AssertableInertia $page) => $page
            ->has('programme.exercises', 3)->where('programme.exercises.2.uses', 1));
        self::assertTrue(collect($this->course()['practices'])->contains(fn ($row) => str_contains($row['got'], 'longest 81.0 s')));
        $this->get("/patients/{$this->patient->id}/versions/1")->assertInertia(fn (AssertableInertia $page) => $page
            ->has('version.items', 3)->has('version.items.1.steps', 4)->where('version.goal.summary', 'breathlessness at most 3'));
    }

    public function test_items_keep_their_lineage_when_reordered_and_begin_one_when_new(): void
    {
        $this->order(['items' => $this->three()])->assertCreated();
        $first = ProgrammeVersion::query()->with('items')->sole();
        $fields = $first->items->map(fn ($item) => ['id' => $item->lineage, ...$item->fields])->all();
        $again = [$fields[2], $fields[0], ['id' => 'new-9', 'technique' => 'noticing'], ['id' => 'someone-elses', 'technique' => 'humming', 'position' => 'seated']];
        $this->order(['items' => $again, 'reason' => 'Another order.', 'based_on' => 1])->assertCreated();
        $second = ProgrammeVersion::query()->with('items')->where('number', 2)->sole();

        self::assertSame([$first->items[2]->lineage, $first->items[0]->lineage], [$second->items[0]->lineage, $second->items[1]->lineage]);
        self::assertCount(4, $second->items->pluck('lineage')->unique());
        self::assertNotContains('someone-elses', $second->items->pluck('lineage'));
    }

    public function test_what_is_wrong_is_said_of_its_item_and_nothing_is_half_stored(): void
    {
        $items = $this->three();
        $items[0]['ratio'] = '4:x';
        $items[1]['steps'][1]['breaths'] = 0;
        $this->order(['items' => $items])->assertJsonValidationErrors(['items.0.ratio', 'items.1.steps.1.breaths']);
        $this->order(['items' => []])->assertJsonValidationErrors('items');
        $this->order(['items' => array_fill(0, 13, ['technique' => 'noticing'])])->assertJsonValidationErrors('programme');
        $this->order(['items' => $this->three(), 'goal' => ['measure' => '', 'target' => 'many']])->assertJsonValidationErrors(['goal.measure', 'goal.target']);
        self::assertSame(0, ProgrammeVersion::query()->count());
    }

    public function test_each_item_that_needs_a_reason_asks_for_its_own(): void
    {
        $items = [['technique' => 'pursed-exhale', 'position' => 'seated'], ['technique' => 'rounds-retention', 'position' => 'reclined'], ['technique' => 'extended-exhale', 'ratio' => '3:12:6', 'position' => 'seated']];
        $this->order(['items' => $items])->assertJsonValidationErrors(['finding_reasons.1.RETENTION', 'finding_reasons.2.HOLD-LONG']);
        $this->order(['items' => $items, 'finding_reasons' => [[], ['RETENTION' => 'Trained diver.'], ['HOLD-LONG' => 'The same diver.']]])->assertCreated();
        self::assertSame(2, ProgrammeVersion::query()->sole()->findingReasons()->count());
    }

    public function test_the_bench_answers_for_every_item_and_the_week(): void
    {
        $answer = $this->postJson("/patients/{$this->patient->id}/bench/answer", ['items' => $this->three()])->assertOk();

        self::assertCount(3, $answer->json('items'));
        self::assertGreaterThan($answer->json('items.0.figures.minutes_a_day'), max($answer->json('minutes')));
        self::assertNotContains('RECOVERY-MISSING', array_column($answer->json('items.0.findings'), 'rule'));
        $without = $this->postJson("/patients/{$this->patient->id}/bench/answer", ['items' => array_slice($this->three(), 0, 2)]);
        $missing = collect($without->json('items.0.findings'))->firstWhere('rule', 'RECOVERY-MISSING');
        self::assertSame('forward-lean', $missing['changes'][0]['add']['technique']);
        self::assertSame('now', $answer->json('items.0.ladder.rungs.0.axis') ?? 'now');
    }

    /** @return list<array<string, mixed>> */
    private function three(): array
    {
        $routine = RoutineFields::write(Shipped::routines()['end-of-shift']);

        return [
            ['technique' => 'pursed-exhale', 'position' => 'seated', 'times_a_day' => 2],
            ['kind' => 'routine', 'routine_name' => $routine['name'], 'steps' => $routine['steps'], 'times_a_day' => 1, 'why' => 'To put the shift away.'],
            ['technique' => 'forward-lean'],
        ];
    }

    /** @param  array<string, mixed>  $with */
    private function order(array $with): \Illuminate\Testing\TestResponse
    {
        return $this->postJson("/patients/{$this->patient->id}/versions", [
            'weeks' => 4, 'starts_on' => '2026-11-25', 'review_on' => '2026-12-09', 'rated_symptom' => 'breathlessness', 'based_on' => 0, ...$with,
        ]);
    }
}
