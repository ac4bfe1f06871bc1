<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Actions\Programme\IssueVersion;
use App\Facts\Caseload\CaseloadLines;
use App\Models\Appointment;
use App\Models\MadeDecision;
use App\Models\Programme;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use IvoryPace\Programme\VersionOrder;
use Tests\Feature\Practising;
use Tests\TestCase;

/** A proposal is accepted in one step, changed or declined; a programme is closed; the next appointment is set. */
final class AnswerProposalTest extends TestCase
{
    use Practising, RefreshDatabase;

    protected function setUp(): void
    {
        parent::setUp();
        $this->patientWithAProgramme();
        $this->actingAs($this->practitioner, 'practitioner');
    }

    public function test_a_step_up_is_accepted_as_a_new_version_and_a_step_back_leads_to_the_rung_below(): void
    {
        $this->practise(10);
        self::assertSame('proposal-waiting', $this->reason());
        $proposal = $this->proposal();
        self::assertSame(['step-up', true], [$proposal['kind'], $proposal['asks']]);
        $this->answer('accept')->assertSessionHasNoErrors();

        $two = $this->latest();
        self::assertSame([2, '2026-11-12', $this->version->ends_on?->format('Y-m-d')], [$two->number, $two->in_force_from->format('Y-m-d'), $two->ends_on?->format('Y-m-d')]);
        self::assertSame($proposal['accepted'], $two->items->first()?->item()->summary());
        self::assertSame($this->version->items->first()?->lineage, $two->items->first()?->lineage);
        self::assertStringContainsString('Step up accepted. 100 % practised', (string) $two->reason);
        self::assertStringContainsString('changes from tomorrow on', (string) $two->patient_note);
        self::assertSame(['step-up', 'step-up', true], array_values(array_map(fn ($value) => $value->value ?? $value, MadeDecision::query()->sole()->only(['proposed', 'decided', 'agrees']))));
        self::assertNotSame('proposal-waiting', $this->reason());

        // Too hard after all.
        $this->travelTo('2026-11-12 08:00:00');
        $this->version = $two;
        $this->practise(5, ['effort' => 8]);
        self::assertSame('step-back', $this->proposal()['kind']);
        $this->answer('accept')->assertSessionHasNoErrors();
        self::assertSame($proposal['now'], $this->latest()->items->first()?->item()->summary());
    }

    public function test_what_is_changed_on_the_bench_is_kept_beside_the_proposal_too(): void
    {
        $this->practise(10);
        $bench = function (array $with): void {
            $item = ['id' => $this->latest()->items[0]->lineage, ...$this->latest()->items[0]->fields, ...$with];
            $this->postJson("/patients/{$this->patient->id}/versions", ['items' => [$item], 'weeks' => 4, 'review_on' => now()->addDays(14)->format('Y-m-d'), 'rated_symptom' => 'tension', 'reason' => 'Agreed.', 'based_on' => $this->latest()->number])->assertCreated();
        };
        $bench(['why' => '']);
        self::assertSame(0, MadeDecision::query()->count(), 'left as it is, nothing has been decided');
        $bench(['breaths' => 8]);
        self::assertSame(['step-up', 'lighten', false], [MadeDecision::query()->sole()->proposed?->value, MadeDecision::query()->sole()->decided->value, MadeDecision::query()->sole()->agrees]);
    }

    public function test_what_was_overtaken_is_refused_in_words_and_nothing_is_half_done(): void
    {
        $this->practise(10);
        $shown = $this->proposal();
        $this->answer('accept', $shown)->assertSessionHasNoErrors();
        $this->answer('accept', $shown)->assertSessionHasErrors(['proposal' => "Version 2 was issued by {$this->practitioner->name} meanwhile. Look at it first."]);
        $this->answer('accept', ['based_on' => 2] + $shown)->assertSessionHasErrors('proposal');
        $this->answer('accept', ['lineage' => '01J00000000000000000000000'] + $shown)->assertSessionHasErrors(['proposal' => 'This exercise is no longer prescribed.']);
        $this->answer('accept', ['kind' => 'nonsense'] + $shown)->assertSessionHasErrors('kind');
        self::assertSame([2, 1], [ProgrammeVersion::query()->count(), MadeDecision::query()->count()]);
    }

    public function test_the_safety_rules_look_again_and_can_stand_in_the_way(): void
    {
        $this->practise(10);
        $shown = $this->proposal();
        $this->screen(['red.chest-pain']);
        $this->answer('accept', $shown)->assertSessionHasErrors(['proposal' => 'A red flag is open: chest pain. Record what was done about it first. Nothing was changed; take it to the Bench.']);
        self::assertSame([1, 0], [ProgrammeVersion::query()->count(), MadeDecision::query()->count()]);
    }

    public function test_a_decline_needs_a_reason_and_holds_for_two_weeks(): void
    {
        $this->practise(10);
        $this->answer('decline')->assertSessionHasErrors(['reason' => 'Say in a few words why not.']);
        $this->answer('decline', reason: '<script>alert(1)</script> Concert week.')->assertSessionHasNoErrors();
        self::assertSame(['stay', false, '<script>alert(1)</script> Concert week.'], [MadeDecision::query()->sole()->decided->value, MadeDecision::query()->sole()->agrees, MadeDecision::query()->sole()->reason]);
        self::assertSame('on-track', $this->reason());
        $page = $this->get("/patients/{$this->patient->id}");
        self::assertStringNotContainsString('<script>alert(1)', (string) $page->getContent());
        self::assertSame('stay as it is', $page->viewData('page')['props']['proposals'][0]['decided']['what']);
        $this->practise(13);
        self::assertNotSame('proposal-waiting', $this->reason());
        $this->practise(1);
        self::assertSame('review-overdue', $this->reason(), 'the review comes before the proposal');
    }

    public function test_a_programme_is_closed_with_its_outcome_and_can_be_followed_by_another(): void
    {
        $this->practise(3);
        $close = fn (array $with) => $this->from('/')->post("/patients/{$this->patient->id}/programme/close", $with);
        $close([])->assertSessionHasErrors(['outcome' => 'Choose how it ended.']);
        $close(['outcome' => 'vanished'])->assertSessionHasErrors('outcome');
        $close(['outcome' => 'goal-reached', 'note' => 'Plays the whole concert.'])->assertSessionHasNoErrors();
        $close(['outcome' => 'goal-reached'])->assertSessionHasErrors(['outcome' => 'There is no running programme; it may have been closed meanwhile.']);
        self::assertSame('finished', $this->reason());
        $course = $this->course();
        self::assertSame(['goal reached', 'Plays the whole concert.'], [$course['ended']['outcome'], $course['ended']['note']]);
        self::assertSame([3, [], null], [count($course['practices']), $course['proposals'], $course['paper']], 'what was practised stays, and nothing more is asked');
        $this->issue();
        self::assertSame(2, Programme::query()->count());
        self::assertSame([null, 0], [$this->course()['ended'], count($this->course()['practices'])]);
    }

    public function test_the_next_appointment_is_set_moved_and_taken_back(): void
    {
        $set = fn (array $at) => $this->from('/')->post("/patients/{$this->patient->id}/appointments", $at);
        $set(['day' => '2026-10-31', 'time' => '10:00'])->assertSessionHasErrors(['day' => 'That time is over.']);
        $set(['day' => '31.12.', 'time' => 'noon'])->assertSessionHasErrors(['day', 'time']);
        $set(['day' => '2028-01-01', 'time' => '10:00'])->assertSessionHasErrors('day');
        $set(['day' => '2026-11-03', 'time' => '10:00'])->assertSessionHasNoErrors();
        $first = Appointment::query()->sole();
        $this->put("/patients/{$this->patient->id}/appointments/{$first->id}", ['day' => '2026-11-01', 'time' => '15:15'])->assertSessionHasNoErrors();
        self::assertSame(1, Appointment::query()->count());
        $today = $this->get('/')->viewData('page')['props']['appointments'];
        self::assertSame([[$this->patient->id, '15:15', 15 * 60 + 15]], array_map(fn (array $each) => [$each['patient'], $each['at'], $each['minute']], $today['all']));
        $next = $this->course()['appointment'];
        self::assertSame('Sun 1 Nov, 15:15 with '.$this->practitioner->name, $next['words']);
        $this->delete("/patients/{$this->patient->id}/appointments/{$next['id']}")->assertRedirect();
        self::assertNull($this->course()['appointment']);
        $this->delete("/patients/{$this->patient->id}/appointments/{$next['id']}")->assertNotFound();
    }

    public function test_the_course_shows_as_much_as_is_asked_for_and_bad_wishes_are_as_usual(): void
    {
        $this->practise(20);
        $days = fn (string $query) => count($this->course($query)['programme']['exercises'][0]['days']);
        self::assertSame([14, 21, 21], [$days('?span=2w'), $days('?span=all'), $days('?span=nonsense')]);
        $periods = $this->course('?first=2026-11-02&second=2026-11-12&days=7')['periods'];
        self::assertSame(['2026-11-02', '2026-11-12', 7, false], [$periods['first'], $periods['second'], $periods['days'], $periods['overlap']]);
        self::assertSame(['Practised', '100 %', '100 %', 'no change'], array_values($periods['lines'][0]));
        self::assertSame(10, $this->course('?first=soon&days=-4&second[]=x')['periods']['days']);
        $this->travel(200)->days();
        $programme = $this->course('?span=all')['programme'];
        self::assertTrue($programme['by_week']);
        self::assertSame([], $programme['exercises'][0]['days']);
        self::assertSame([6, 6.0], [$programme['exercises'][0]['weeks'][0]['due'], $programme['exercises'][0]['weeks'][0]['credit']]);
    }

    public function test_a_year_of_gaps_is_shown_and_proposes_nothing_rash(): void
    {
        app(IssueVersion::class)($this->patient, $this->practitioner, new VersionOrder(
            items: [['technique' => 'diaphragmatic', 'minutes' => 4, 'position' => 'supine', 'times_a_day' => 1]], weeks: 52, reviewOn: '2026-12-01', startsOn: null, ratedSymptom: 'tension', reason: 'For long.', basedOn: 1,
        ));
        $this->travelTo('2027-10-20 12:00:00');
        $course = $this->course('?span=all');
        self::assertTrue($course['programme']['by_week']);
        self::assertSame(['too-early', false], [$course['proposals'][0]['kind'], $course['proposals'][0]['asks']]);
        self::assertSame([0.0, 352], [$course['programme']['versions'][1]['adherence']['share'], $course['programme']['versions'][1]['adherence']['longest_gap']]);
        self::assertSame(['Practised', 'Practices', 'Stopped for a symptom'], array_column($course['periods']['lines'], 'what'));
        self::assertContains($this->reason(), ['no-practice', 'access-unused', 'review-overdue']);
    }

    /**
     * @param  array<string, mixed>|null  $shown
     * @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function answer(string $answer, ?array $shown = null, string $reason = '')
    {
        $shown ??= $this->proposal();

        return $this->from('/')->post("/patients/{$this->patient->id}/proposals", ['lineage' => $shown['lineage'], 'kind' => $shown['kind'], 'based_on' => $shown['based_on'], 'answer' => $answer, 'reason' => $reason]);
    }

    /** @return array<string, mixed> */
    private function proposal(): array
    {
        return $this->course()['proposals'][0];
    }

    private function reason(): mixed
    {
        return CaseloadLines::of($this->practitioner->clinic, CarbonImmutable::now())[0]['reason'];
    }

    private function latest(): ProgrammeVersion
    {
        return ProgrammeVersion::query()->with('items')->orderByDesc('id')->firstOrFail();
    }
}
