<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Actions\Assessment\ActOnRedFlag;
use App\Actions\Assessment\AskForm;
use App\Actions\Assessment\StoreMeasurement;
use App\Actions\Programme\CloseProgramme;
use App\Actions\Programme\IssueVersion;
use App\Models\KeptAside;
use App\Models\NewFinding;
use App\Models\Patient;
use App\Models\Pause;
use App\Models\Practice;
use App\Models\ProgrammeVersion;
use App\Models\RedFlagAction;
use App\Models\ScreeningAnswer;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Inertia\Testing\AssertableInertia;
use IvoryPace\Assessment\ScreeningQuestions;
use IvoryPace\Programme\Outcome;
use IvoryPace\Programme\VersionOrder;
use IvoryPace\Safety\PauseRules;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** Things that happen one after the other, and must not add up to a danger that nobody sees. */
final class SequencesTest extends TestCase
{
    use RefreshDatabase, Scenario;

    private ProgrammeVersion $version;

    private string $credential;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-11-02 07:00:00');
        $this->clinicWithPatient();
        $this->screen();
        $this->version = $this->issue(['times_a_day' => 2]);
        [, $this->credential] = $this->device();
        $this->fromDevice($this->credential);
    }

    public function test_a_red_flag_answered_at_home_pauses_from_when_it_was_answered(): void
    {
        $form = $this->asked('screening');
        $this->travelTo('2026-11-02 19:00:00');
        $this->outbox('form', ['form' => $form, 'answers' => ['red.chest-pain' => 1], 'done' => false, 'answered_at' => '2026-11-02T09:30:00.000Z'])->assertStored();
        $pause = Pause::query()->sole();
        self::assertSame([null, PauseRules::RED_FLAG, '2026-11-02 09:30:00'], [$pause->lineage, $pause->rule, $pause->from_at->format('Y-m-d H:i:s')]);
        self::assertSame('answers', $this->todayOnDevice()['items'][0]['paused']);
        self::assertSame('red-flag', $this->lines()[0]['reason']);
        $this->post("/patients/{$this->patient->id}/pauses/{$pause->id}/end", ['line' => 'Looks well to me.'])->assertSessionHasErrors();
        self::assertNull($pause->refresh()->until_at, 'it is ended under Screening, with what was done');
    }

    public function test_waiting_keeps_the_pause_and_named_exercises_may_go_on_before_the_others(): void
    {
        $this->version = $this->order(['times_a_day' => 2], ['technique' => 'body-scan', 'position' => 'seated', 'minutes' => 5, 'times_a_day' => 1]);
        $this->travelTo('2026-11-03 07:00:00');
        $this->screen(['red.blue-lips']);
        $flag = $this->patient->openRedFlags()->sole();
        $act = fn (string $outcome, ?array $lineages = null) => app(ActOnRedFlag::class)($this->patient, $flag, $this->practitioner, 'Sent to hospital.', $outcome, $lineages);
        $paused = fn (): array => array_column($this->fromDevice($this->credential)->todayOnDevice()['items'], 'paused', 'technique');
        self::assertSame(['extended-exhale' => 'answers', 'body-scan' => 'answers'], $paused());
        $act(RedFlagAction::WAITING);
        self::assertSame(['extended-exhale' => 'answers', 'body-scan' => 'answers'], $paused());
        self::assertSame(1, $this->patient->openRedFlags()->count());
        $scan = (string) $this->version->items->first(fn ($row) => $row->item()->prescription->technique->key === 'body-scan')?->lineage;
        $act(RedFlagAction::MAY_GO_ON, [$scan]);
        self::assertSame(['extended-exhale' => 'answers', 'body-scan' => null], $paused());
        self::assertSame(0, $this->patient->openRedFlags()->count());
        $left = Pause::query()->whereNull('until_at')->sole();
        $this->actingAs($this->practitioner, 'practitioner')->post("/patients/{$this->patient->id}/pauses/{$left->id}/end", ['line' => 'Lungs clear.'])->assertSessionHasNoErrors();
        self::assertSame(['extended-exhale' => null, 'body-scan' => null], $paused());
    }

    public function test_days_of_a_pause_that_is_heard_of_late_do_not_count_against_the_patient(): void
    {
        foreach (['02', '03', '04', '05', '06'] as $day) {
            foreach (['08', '21'] as $hour) {
                $this->travelTo("2026-11-$day $hour:00:00");
                $this->outbox('practice', $this->practiceLog($this->version, ['anchor' => null]))->assertStored();
            }
        }
        $this->travelTo('2026-11-10 12:00:00');
        $before = $this->adherence();
        self::assertSame(10, (int) $before['credit']);
        // The phone was off: a stop of the seventh for which help is needed arrives on the tenth.
        $this->outbox('practice', $this->practiceLog($this->version, [
            'started_at' => '2026-11-07T08:00:00.000Z', 'ended_at' => '2026-11-07T08:01:00.000Z', 'breaths_done' => 3, 'seconds_done' => 30, 'stop_class' => 'get-help', 'stop_symptom' => 'chest-pain',
        ]))->assertStored();
        self::assertSame('2026-11-07 08:01:00', Pause::query()->sole()->from_at->format('Y-m-d H:i:s'));
        $after = $this->adherence();
        self::assertSame([10, 10], [(int) $after['due'], (int) $after['credit']], 'the seventh to the tenth are no misses');
        self::assertEquals(1.0, $after['share']);
    }

    public function test_a_pregnancy_that_reaches_twenty_weeks_and_a_flag_that_ends_are_noticed(): void
    {
        $answers = ['flag.pregnancy' => true, 'flag.vertigo' => true] + array_fill_keys(ScreeningQuestions::keys(), false);
        $this->actingAs($this->practitioner, 'practitioner')->post("/patients/{$this->patient->id}/screening", ['answers' => $answers, 'pregnancy_weeks' => '18', 'ends_on' => ['flag.vertigo' => '2026-11-10']])->assertSessionHasNoErrors();
        $this->issue(['technique' => 'diaphragmatic', 'position' => 'supine', 'ratio' => '', 'minutes' => 4], basedOn: 1, reason: 'Lying down.');
        $this->travelTo('2026-11-05 07:00:00');
        $this->artisan('programmes:recheck')->assertSuccessful();
        self::assertSame(0, NewFinding::query()->whereNull('settled_at')->count());
        $this->travelTo('2026-11-17 07:00:00');
        $this->artisan('programmes:recheck')->assertSuccessful();
        self::assertSame(['FLAG-ENDED', 'LYING-FLAT'], NewFinding::query()->orderBy('rule')->pluck('rule')->unique()->values()->all());
        $found = NewFinding::query()->count();
        $this->artisan('programmes:recheck')->assertSuccessful();
        self::assertSame($found, NewFinding::query()->count(), 'once is enough');
        self::assertSame('new-finding', $this->lines()[0]['reason']);
    }

    public function test_a_child_turns_twelve(): void
    {
        $this->patient->update(['birth_date' => '2014-11-20']);
        $this->issue(['ratio' => '4:0:5'], basedOn: 1, reason: 'As it is.');
        $before = $this->patient->refresh()->checked_facts;
        $this->travelTo('2026-11-21 07:00:00');
        $this->artisan('programmes:recheck')->assertSuccessful();
        self::assertNotSame($before, $this->patient->refresh()->checked_facts, 'what was checked last is kept');
    }

    public function test_a_measured_limit_is_held_against_what_runs_and_what_comes(): void
    {
        $this->order(['ratio' => '4:0:9:1', 'times_a_day' => 2]);
        app(StoreMeasurement::class)($this->patient, $this->practitioner, ['measure' => 'exhale', 'tries' => [4, 4.2], 'position' => 'seated']);
        $found = NewFinding::query()->get();
        self::assertSame(['COMFORT-LIMIT'], $found->pluck('rule')->unique()->values()->all());
        self::assertStringContainsString('4.2', $found->pluck('message')->implode(' '));
        self::assertCount(2, $found, 'of the version in force and of the one that is issued');
    }

    public function test_a_rate_tapped_at_home_opens_no_red_flag_and_asks_for_a_measured_one(): void
    {
        $taps = [];
        for ($at = 0; $at < 58_000; $at += 2000) {
            $taps[] = $at;
        }
        $this->outbox('check', ['uuid' => (string) Str::uuid(), 'taken_at' => now()->utc()->format('Y-m-d\TH:i:s.v\Z'), 'taps' => $taps])->assertStored();
        self::assertSame([0, 0], [$this->patient->redFlags()->count(), Pause::query()->count()]);
        $line = $this->lines()[0];
        self::assertSame('home-rate', $line['reason']);
        self::assertStringContainsString('30', "{$line['number']} {$line['sentence']}");
        app(StoreMeasurement::class)($this->patient, $this->practitioner, ['measure' => 'resting-rate', 'value' => 16, 'position' => 'seated']);
        self::assertNotSame('home-rate', $this->lines()[0]['reason'], 'somebody has counted');
    }

    public function test_a_question_that_is_new_is_unanswered_for_everyone_screened_before(): void
    {
        // The guard on answers is for people; a question that came later was never there.
        DB::unprepared('drop trigger if exists screening_answers_no_delete');
        $trigger = collect(DB::select("show triggers like 'screening_answers'"))->first(fn ($row) => $row->Event === 'DELETE');
        if ($trigger !== null) {
            DB::unprepared("drop trigger {$trigger->Trigger}");
        }
        ScreeningAnswer::query()->where('question', 'flag.sickle-cell')->delete();
        $this->actingAs($this->practitioner, 'practitioner');
        $this->get("/patients/{$this->patient->id}/bench")->assertInertia(fn (AssertableInertia $page) => $page->where('patient.obstacle', fn ($text) => str_contains($text, 'One question is new since this screening')));
        $this->get("/patients/{$this->patient->id}/screening")->assertInertia(fn (AssertableInertia $page) => $page->where('latest.new_questions', 1));
        $this->screen();
        $this->get("/patients/{$this->patient->id}/bench")->assertInertia(fn (AssertableInertia $page) => $page->where('patient.obstacle', null));
    }

    public function test_a_screening_that_is_half_answered_at_home_when_a_question_is_added_stays_open(): void
    {
        $form = $this->asked('screening');
        $keys = ScreeningQuestions::keysForPatients();
        $send = fn (array $answers, bool $done) => $this->outbox('form', ['form' => $form, 'answers' => $answers, 'done' => $done, 'answered_at' => now()->utc()->format('Y-m-d\TH:i:s.v\Z')]);
        // The device asked all questions but the one that was added meanwhile.
        $known = array_fill_keys(array_slice($keys, 0, -1), 0);
        $send(array_slice($known, 0, 5, true), false)->assertStored();
        $send($known, true)->assertRefused(['answers' => 'One question is open.']);
        $asked = $this->patient->askedForms()->sole();
        self::assertSame([null, 5], [$asked->completed_at, $asked->answered], 'nothing half done');
        $send([...$known, $keys[count($keys) - 1] => 0], true)->assertStored();
        self::assertNotNull($asked->refresh()->completed_at);
    }

    public function test_paper_can_carry_a_stop_and_its_symptom(): void
    {
        $lineage = (string) $this->version->items->first()?->lineage;
        $this->travelTo('2026-11-05 12:00:00');
        $this->actingAs($this->practitioner, 'practitioner');
        $enter = fn (array ...$ticks) => $this->from('/')->post("/patients/{$this->patient->id}/paper", ['ticks' => array_map(fn (array $tick) => ['day' => $tick[0], 'lineage' => $lineage, 'done' => $tick[1], 'stop' => $tick[2] ?? null], $ticks)]);
        $enter(['2026-11-03', '', 'dizziness'])->assertSessionHasErrors(['ticks' => 'Type how many practices there were on the day of the stop, the stopped one among them.']);
        $enter(['2026-11-03', '1', 'a cold'])->assertSessionHasErrors('ticks.0.stop');
        self::assertSame(0, Practice::query()->count());
        $enter(['2026-11-03', '1', 'dizziness'], ['2026-11-04', '1', 'tingling'])->assertSessionHasNoErrors();
        $pause = Pause::query()->sole();
        self::assertSame([PauseRules::TWICE_IN_THREE, '2026-11-04'], [$pause->rule, $pause->from_at->format('Y-m-d')]);
        // What is paused can still have been stopped on an earlier day; the pause then begins with that one.
        $enter(['2026-11-02', '2', 'chest-pain'])->assertSessionHasNoErrors();
        self::assertSame(['2026-11-02', PauseRules::GET_HELP], [Pause::query()->whereNull('lineage')->sole()->from_at->format('Y-m-d'), Pause::query()->whereNull('lineage')->sole()->rule]);
        self::assertSame('get-help', $this->lines()[0]['reason']);
        self::assertSame([1, 1, 1], [Practice::query()->where('stop_symptom', 'dizziness')->count(), Practice::query()->where('stop_symptom', 'tingling')->count(), Practice::query()->where('stop_symptom', 'chest-pain')->count()]);
    }

    public function test_the_later_word_of_a_diary_day_and_of_a_set_aside_form_takes_the_place_of_the_earlier(): void
    {
        $form = $this->asked('screening');
        $this->travelTo('2026-11-02 07:30:00');
        foreach ([['07:20', 4], ['07:25', 7], ['07:10', 1]] as [$at, $sleep]) {
            $this->outbox('diary', ['day' => '2026-11-02', 'written_at' => "2026-11-02T$at:00.000Z", 'sleep' => $sleep]);
        }
        self::assertSame([7], array_column((array) $this->unlock()->getJson('/api/v1/diary')->assertOk()->json('entries'), 'sleep'), 'what was written last, not what arrived last');
        $this->patient->devices()->update(['revoked_at' => now()]);
        $say = fn (string $item, string $kind, array $body, string $at) => [$this->travelTo($at), $this->postJson('/api/v1/outbox', ['sent_at' => now()->utc()->format('Y-m-d\TH:i:s.v\Z'), 'items' => [['id' => $item, 'kind' => $kind, 'body' => $body]]])->assertOk()->json('answers.0.result')][1];
        self::assertSame('kept-aside', $say('form:1', 'form', ['form' => $form, 'answers' => ['red.chest-pain' => 0], 'done' => false], '2026-11-02 08:00:00'));
        self::assertSame('kept-aside', $say('form:1', 'form', ['form' => $form, 'answers' => ['red.chest-pain' => 1], 'done' => false], '2026-11-02 09:00:00'));
        $kept = KeptAside::query()->sole();
        self::assertSame([['red.chest-pain' => 1], true], [$kept->body['answers'], $kept->is_urgent]);
        self::assertSame('red-flag', $this->lines()[0]['reason'], 'it heads the caseload before anybody has accepted it');
    }

    public function test_a_symptom_that_had_not_settled_pauses_everything_from_the_stop_on(): void
    {
        $log = $this->practiceLog($this->version, ['breaths_done' => 4, 'stop_class' => 'made-me-stop', 'stop_symptom' => 'breathlessness']);
        $this->outbox('practice', $log)->assertStored();
        self::assertSame(0, Pause::query()->count());
        $at = fn (): string => now()->utc()->format('Y-m-d\TH:i:s.v\Z');
        $this->travelTo('2026-11-03 07:00:00');
        $this->outbox('second-look', ['uuid' => (string) Str::uuid(), 'settled' => false, 'at' => $at()])->assertRefused('uuid');
        $this->outbox('second-look', ['uuid' => $log['uuid'], 'settled' => 'perhaps', 'at' => $at()])->assertRefused('settled');
        $this->outbox('second-look', ['uuid' => $log['uuid'], 'settled' => false, 'at' => $at()])->assertStored();
        $pause = Pause::query()->sole();
        self::assertSame([null, PauseRules::GET_HELP, '2026-11-02 07:00:00'], [$pause->lineage, $pause->rule, $pause->from_at->format('Y-m-d H:i:s')]);
        self::assertSame('Every exercise but recovery is paused: growing breathlessness, which had not settled at the second look.', $this->course()['pauses'][0]['text']);
        $this->fromDevice($this->credential);
        $this->outbox('second-look', ['uuid' => $log['uuid'], 'settled' => false, 'at' => $at()])->assertIs('again');
        self::assertSame(1, Pause::query()->count());
    }

    public function test_a_symptom_that_settled_pauses_nothing(): void
    {
        $log = $this->practiceLog($this->version, ['breaths_done' => 4, 'stop_class' => 'made-me-stop', 'stop_symptom' => 'dizziness']);
        $this->outbox('practice', $log)->assertStored();
        $this->outbox('second-look', ['uuid' => $log['uuid'], 'settled' => true, 'at' => now()->utc()->format('Y-m-d\TH:i:s.v\Z')])->assertStored();
        self::assertSame('dizziness, settled', $this->course()['stops'][0]['symptom'], 'the practitioner reads it');
        $this->fromDevice($this->credential);
        self::assertSame([0, 'made-me-stop'], [Pause::query()->count(), Practice::query()->sole()->stop_class?->value]);
        $other = $this->device($this->otherPatient())[1];
        $this->fromDevice($other)->outbox('second-look', ['uuid' => $log['uuid'], 'settled' => false, 'at' => now()->utc()->format('Y-m-d\TH:i:s.v\Z')])->assertRefused('uuid');
    }

    public function test_a_reason_covers_only_what_it_was_written_for(): void
    {
        $this->screen(['flag.fainting']);
        $this->actingAs($this->practitioner, 'practitioner');
        $items = [['technique' => 'extended-exhale', 'ratio' => '4:12:6', 'position' => 'seated']];
        $finding = fn () => collect($this->postJson("/patients/{$this->patient->id}/bench/answer", ['items' => $items])->assertOk()->json('items.0.findings'))->firstWhere('level', 'needs-reason');
        $first = $finding();
        self::assertSame(['fainting'], $first['cause']['flags']);
        $this->screen(['flag.fainting', 'flag.epilepsy']);
        $order = ['items' => $items, 'weeks' => 4, 'review_on' => '2026-11-16', 'rated_symptom' => 'tension', 'reason' => 'Next.', 'based_on' => 1, 'finding_reasons' => [[$first['rule'] => 'Agreed with the GP.']]];
        $answer = $this->postJson("/patients/{$this->patient->id}/versions", [...$order, 'finding_causes' => [[$first['rule'] => $first['cause']]]])->assertUnprocessable();
        self::assertStringContainsString('says more than when its reason was written', (string) $answer->json("errors.finding_reasons\.0\.{$first['rule']}.0") ?: json_encode($answer->json('errors'), JSON_THROW_ON_ERROR));
        self::assertSame(1, ProgrammeVersion::query()->count(), 'nothing half issued');
    }

    public function test_a_date_of_what_happened_ends_its_flag(): void
    {
        $this->actingAs($this->practitioner, 'practitioner');
        $answers = ['flag.recent-chest-surgery' => true, 'flag.recent-eye-surgery' => true] + array_fill_keys(ScreeningQuestions::keys(), false);
        $send = fn (array $with) => $this->from('/')->post("/patients/{$this->patient->id}/screening", ['answers' => $answers, ...$with]);
        $send(['happened_on' => ['flag.recent-chest-surgery' => 'last month']])->assertSessionHasErrors('happened_on.flag.recent-chest-surgery');
        $send(['happened_on' => ['flag.recent-chest-surgery' => '2027-01-01', 'flag.recent-eye-surgery' => '2026-10-01']])->assertSessionHasErrors('happened_on.flag.recent-chest-surgery');
        $send(['happened_on' => ['flag.recent-chest-surgery' => '2026-10-05', 'flag.recent-eye-surgery' => '2026-10-05']])->assertSessionHasNoErrors();
        $ends = fn () => $this->patient->screenings()->latest('id')->first()?->answers->whereNotNull('ends_on')->mapWithKeys(fn (ScreeningAnswer $answer) => [$answer->question => $answer->ends_on?->format('Y-m-d')])->all();
        self::assertEquals(['flag.recent-chest-surgery' => '2026-12-28', 'flag.recent-eye-surgery' => '2026-11-16'], $ends());
        $send(['happened_on' => ['flag.recent-chest-surgery' => '2026-10-05', 'flag.recent-eye-surgery' => '2026-10-05'], 'with_gas' => '1'])->assertSessionHasNoErrors();
        self::assertSame('2026-12-28', $ends()['flag.recent-eye-surgery']);
    }

    public function test_nobody_is_screened_where_there_is_no_crisis_number(): void
    {
        $this->practitioner->clinic->update(['crisis_number' => null]);
        $this->actingAs($this->practitioner->refresh(), 'practitioner');
        $this->from('/')->post("/patients/{$this->patient->id}/screening", ['answers' => array_fill_keys(ScreeningQuestions::keys(), false)])->assertSessionHasErrors('answers');
        $this->postJson("/patients/{$this->patient->id}/forms", ['form' => 'screening', 'on' => 'device'])->assertUnprocessable();
        $this->get("/patients/{$this->patient->id}/screening")->assertInertia(fn (AssertableInertia $page) => $page->where('crisis_number_missing', true));
    }

    public function test_thoughts_of_suicide_pause_and_the_number_is_on_the_device(): void
    {
        $this->screen(['red.suicide']);
        $today = $this->todayOnDevice();
        self::assertSame(['answers', $this->practitioner->clinic->crisis_number], [$today['items'][0]['paused'], $today['crisis']]);
    }

    public function test_what_was_enough_at_home_holds_the_ladder_back_and_never_lifts_it(): void
    {
        $even = ['technique' => 'even', 'ratio' => '4:4', 'position' => 'seated', 'breaths' => 3, 'parameters' => ['steps' => 3]];
        $this->version = $this->issue($even, basedOn: 1, reason: 'Growing.')->load('items');
        app(StoreMeasurement::class)($this->patient, $this->practitioner, ['measure' => 'ceiling', 'counts' => 8, 'count_length' => 1, 'position' => 'seated']);
        $longest = function () use ($even): float {
            $rungs = $this->actingAs($this->practitioner, 'practitioner')->postJson("/patients/{$this->patient->id}/bench/answer", ['items' => [$even]])->assertOk()->json('items.0.ladder.rungs');
            $this->fromDevice($this->credential);

            return (float) max(array_map(fn (array $rung) => (float) ($rung['cycle_s'] ?? 0), $rungs));
        };
        $before = $longest();
        self::assertGreaterThan(8.0, $before, 'the measured ceiling leaves room');
        $this->travelTo('2026-11-03 08:00:00');
        foreach (['08', '12', '20'] as $hour) {
            $this->travelTo("2026-11-03 $hour:30:00");
            $this->outbox('practice', $this->practiceLog($this->version, ['breaths_done' => 3, 'seconds_done' => 24, 'enough_step' => 1]))->assertStored();
        }
        self::assertLessThan($before, $longest(), 'enough in the first length is enough');
    }

    public function test_closing_does_not_end_what_a_red_flag_paused(): void
    {
        $this->screen(['red.chest-pain']);
        app(CloseProgramme::class)($this->patient, $this->practitioner, Outcome::Better, null);
        self::assertSame(1, Pause::query()->whereNull('until_at')->where('rule', PauseRules::RED_FLAG)->count());
    }

    /** @return list<array<string, mixed>> */
    private function lines(): array
    {
        return $this->props($this->actingAs($this->practitioner, 'practitioner')->get('/'))['lines'];
    }

    /** @return array<string, mixed> */
    private function adherence(): array
    {
        $course = $this->course();
        $this->fromDevice($this->credential);

        return $course['programme']['exercises'][0]['adherence'];
    }

    private function asked(string $form): string
    {
        return app(AskForm::class)($this->patient, $this->practitioner, $form, 'device')->id;
    }

    private function otherPatient(): Patient
    {
        return Patient::factory()->create(['practitioner_id' => $this->practitioner->id, 'clinic_id' => $this->practitioner->clinic_id]);
    }

    /**
     * @param  array<string, mixed>  $fields
     * @param  array<string, mixed>  ...$also
     */
    private function order(array $fields, array ...$also): ProgrammeVersion
    {
        $today = $this->patient->dayOf(CarbonImmutable::now());

        return app(IssueVersion::class)($this->patient, $this->practitioner, new VersionOrder(
            items: [['id' => (string) $this->version->items->first()?->lineage, 'technique' => 'extended-exhale', 'ratio' => '4:0:5:1', 'position' => 'seated', ...$fields], ...array_values($also)],
            weeks: 4, reviewOn: $today->plusDays(14)->date, startsOn: null, ratedSymptom: 'tension', reason: 'A change.', basedOn: 1,
        ))->load('items');
    }
}
