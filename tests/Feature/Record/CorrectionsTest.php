<?php

declare(strict_types=1);

namespace Tests\Feature\Record;

use App\Models\DiaryEntry;
use App\Models\HabitTick;
use App\Models\HomeCheck;
use App\Models\Measurement;
use App\Models\Patient;
use App\Models\Practice;
use App\Models\TrailEntry;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use IvoryPace\Assessment\ScreeningQuestions;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** Every mistake has a way back that leaves a trace. */
final class CorrectionsTest extends TestCase
{
    use RefreshDatabase, Scenario;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(CarbonImmutable::parse('2026-11-25 10:00', 'Europe/Lisbon'));
        $this->clinicWithPatient();
        $this->screen();
        $this->actingAs($this->practitioner, 'practitioner');
    }

    private function url(string $path = ''): string
    {
        return "/patients/{$this->patient->id}$path";
    }

    public function test_a_value_that_was_mistyped_is_struck_and_stays_readable(): void
    {
        $this->postJson($this->url('/measure'), ['measure' => 'exhale', 'position' => 'seated', 'tries' => ['6'], 'value' => '6'])->assertCreated();
        $this->postJson($this->url('/measure'), ['measure' => 'exhale', 'position' => 'supine', 'tries' => ['26'], 'value' => '26', 'sure' => true])->assertCreated();
        $wrong = Measurement::query()->orderByDesc('id')->firstOrFail();
        $this->post($this->url("/measurements/{$wrong->id}/strike"), ['reason' => ''])->assertSessionHasErrors(['reason' => 'Say why, in a few words.']);
        $this->post($this->url("/measurements/{$wrong->id}/strike"), ['reason' => 'Typed 26 for 6.'])->assertRedirect();

        self::assertSame([6.0], Measurement::query()->pluck('value')->all());
        $listed = $this->props($this->get($this->url('/record')))['measurements'];
        self::assertStringContainsString('Typed 26 for 6.', $listed[0]['struck']);
        self::assertNull($listed[1]['struck']);
        self::assertSame(6.0, (float) $this->props($this->get($this->url('/bench')))['measured']['exhale']);
        $this->post($this->url("/measurements/{$wrong->id}/strike"), ['reason' => 'again'])->assertNotFound();
        self::assertStringContainsString('struck: Typed 26 for 6.', (string) json_encode(TrailEntry::query()->orderByDesc('id')->where('what', 'like', 'measurements%')->firstOrFail()->detail));
    }

    public function test_a_paper_tick_is_taken_back_and_what_a_device_sent_is_not(): void
    {
        $version = $this->issue();
        $this->travelTo(CarbonImmutable::parse('2026-11-27 21:00', 'Europe/Lisbon'));
        $lineage = (string) $version->items->first()?->lineage;
        $this->post($this->url('/paper'), ['ticks' => [['day' => '2026-11-26', 'lineage' => $lineage, 'done' => '2', 'stop' => null]]])->assertSessionHasNoErrors();
        [$device] = $this->device();
        $this->store($device, $this->practiceLog($version));
        $paper = Practice::query()->where('source', 'paper')->orderByDesc('id')->firstOrFail();
        $this->post($this->url("/practices/{$paper->uuid}/strike"), ['reason' => 'Ticked twice.'])->assertRedirect();
        self::assertSame(2, Practice::query()->count());
        // That time of the day is free again.
        $this->post($this->url('/paper'), ['ticks' => [['day' => '2026-11-26', 'lineage' => $lineage, 'done' => '1', 'stop' => null]]])->assertSessionHasNoErrors();
        $sent = Practice::query()->where('source', 'device')->sole();
        $this->post($this->url("/practices/{$sent->uuid}/strike"), ['reason' => 'Wrong.'])->assertSessionHasErrors('reason');
        self::assertNull($sent->refresh()->struck_at);
    }

    public function test_a_session_begun_by_mistake_is_dropped(): void
    {
        $this->post($this->url('/sessions'));
        $session = $this->patient->careSessions()->sole();
        $this->putJson($this->url("/sessions/{$session->id}/steps/catch-up"), ['revision' => 0, 'content' => ['remarks' => 'Of somebody else.', 'anything_new' => null]])->assertOk();
        $this->post($this->url("/sessions/{$session->id}/drop"), ['reason' => 'The wrong patient.'])->assertRedirect($this->url('/record'));
        self::assertSame(0, $this->patient->careSessions()->count());
        $dropped = $this->props($this->get($this->url('/record')))['sessions'][0]['dropped'];
        self::assertSame(['The wrong patient.', 'Of somebody else.'], [$dropped['reason'], $dropped['typed']]);
        $this->get($this->url("/sessions/{$session->id}/brief"))->assertNotFound();
        $this->post($this->url('/sessions'));
        self::assertSame(2, $this->patient->careSessions()->sole()->number, 'its number is not given again');

        $open = $this->patient->careSessions()->sole();
        $this->postJson($this->url("/sessions/{$open->id}/signature"), ['text' => 'Done.'])->assertCreated();
        $this->post($this->url("/sessions/{$open->id}/drop"), ['reason' => 'No.'])->assertSessionHasErrors(['reason' => 'The note of this session is signed. Add an amendment instead.']);
    }

    public function test_a_version_of_today_is_withdrawn_while_nothing_of_it_was_practised(): void
    {
        $this->issue();
        $this->travelTo(CarbonImmutable::parse('2026-11-28 10:00', 'Europe/Lisbon'));
        $this->post($this->url('/versions/1/withdraw'), ['reason' => 'Late.'])->assertSessionHasErrors('reason');
        $second = $this->issue(['id' => $this->lineage(), 'ratio' => '4:0:7:1'], basedOn: 1, reason: 'Longer.');
        self::assertTrue($this->props($this->get($this->url('/versions/2')))['version']['can_be_withdrawn']);
        $this->post($this->url('/versions/2/withdraw'), ['reason' => 'Meant for somebody else.'])->assertRedirect($this->url());

        self::assertSame(1, $this->patient->refresh()->activeProgramme?->latestVersion()?->number);
        $shown = $this->props($this->get($this->url('/versions/2')))['version'];
        self::assertStringContainsString('Meant for somebody else.', $shown['withdrawn']);
        self::assertSame('4:0:5:1', $this->props($this->get($this->url('/bench')))['answer']['items'][0]['fields']['ratio']);
        $third = $this->issue(['id' => $this->lineage(), 'ratio' => '4:0:6:1'], basedOn: 1, reason: 'A little longer.');
        self::assertSame(3, $third->number, 'a number is given once');
        // A phone that had fetched it may have practised it: nothing is lost.
        [$device] = $this->device();
        $this->store($device, $this->practiceLog($second));
        self::assertSame(1, Practice::query()->count());
        $this->store($device, $this->practiceLog($third));
        $this->post($this->url('/versions/3/withdraw'), ['reason' => 'Too late.'])->assertSessionHasErrors('reason');
        $this->course();
    }

    public function test_a_first_version_is_withdrawn_and_another_begins_the_programme_today(): void
    {
        $this->issue();
        $this->post($this->url('/versions/1/withdraw'), ['reason' => 'A wrong exercise.'])->assertRedirect($this->url());
        self::assertNull($this->patient->refresh()->activeProgramme);
        foreach (['', '/bench', '/record', '/access'] as $page) {
            $this->get($this->url($page))->assertOk();
        }
        $again = $this->issue(['ratio' => '3:0:5:1']);
        self::assertSame([2, '2026-11-25'], [$again->number, $again->in_force_from->format('Y-m-d')]);
        $this->get('/')->assertOk();
        $this->course();
    }

    public function test_what_issuing_had_settled_is_open_again_when_the_version_is_withdrawn(): void
    {
        $this->issue(['ratio' => '4:4:8:0', 'technique' => 'square']);
        $this->screen(['flag.pregnancy']);
        $before = $this->patient->newFindings()->count();
        self::assertGreaterThan(0, $before);
        $this->travelTo(CarbonImmutable::parse('2026-11-26 10:00', 'Europe/Lisbon'));
        $this->issue(['id' => $this->lineage()], basedOn: 1, reason: 'Gentler.');
        self::assertSame(0, $this->patient->newFindings()->count());
        $this->post($this->url('/versions/2/withdraw'), ['reason' => 'Not yet.'])->assertRedirect();
        self::assertSame($before, $this->patient->newFindings()->count());
    }

    public function test_an_answer_of_the_screening_is_corrected_on_the_same_day(): void
    {
        $latest = $this->patient->screenings()->sole();
        $answers = array_fill_keys(ScreeningQuestions::keys(), false);
        $answers['flag.asthma'] = true;
        $this->post($this->url('/screening'), ['answers' => $answers, 'corrects' => $latest->id])->assertSessionHasErrors('correction_reason');
        $this->post($this->url('/screening'), ['answers' => $answers, 'corrects' => $latest->id, 'correction_reason' => 'Asthma was overlooked.'])->assertSessionHasNoErrors();
        $history = $this->props($this->get($this->url('/screening')))['history'];
        self::assertSame('Asthma was overlooked.', $history[0]['correction']['reason']);
        self::assertStringEndsWith(': yes, was no', $history[0]['correction']['changes'][0]);
        self::assertTrue($history[1]['is_corrected']);
        $this->travelTo(CarbonImmutable::parse('2026-11-26 10:00', 'Europe/Lisbon'));
        $newest = $this->patient->screenings()->latest('id')->firstOrFail();
        $this->post($this->url('/screening'), ['answers' => $answers, 'corrects' => $newest->id, 'correction_reason' => 'Later.'])->assertSessionHasErrors('correction_reason');
    }

    public function test_the_wrong_patients_device_is_signed_out_and_what_it_sent_counts_no_more(): void
    {
        $version = $this->issue();
        [$device, $credential] = $this->device();
        $this->store($device, $this->practiceLog($version));
        $this->fromDevice($credential)->unlock();
        $this->outbox('diary', ['day' => '2026-11-25', 'written_at' => now()->utc()->format('Y-m-d\TH:i:s.v\Z'), 'ratings' => [], 'sleep' => 6, 'text' => 'Theirs.'])->assertStored();
        $this->post($this->url("/devices/{$device->id}/wrong"), ['reason' => 'The link went to a namesake.'])->assertRedirect($this->url('/access'));
        self::assertSame([0, 0, 0, 0], [Practice::query()->count(), DiaryEntry::query()->count(), HabitTick::query()->count(), HomeCheck::query()->count()]);
        self::assertSame(1, Practice::withStruck()->count());
        self::assertNotNull($device->refresh()->revoked_at);
        // The right hands write that day anew.
        [, $other] = $this->device();
        $this->app?->make('auth')->forgetGuards();
        $this->fromDevice($other)->unlock();
        $this->outbox('diary', ['day' => '2026-11-25', 'written_at' => now()->utc()->format('Y-m-d\TH:i:s.v\Z'), 'ratings' => [], 'sleep' => 8, 'text' => 'Mine.'])->assertStored();
        self::assertSame('Mine.', DiaryEntry::query()->sole()->content['text']);
        self::assertSame(2, DiaryEntry::withStruck()->count());
    }

    public function test_a_patient_is_archived_and_brought_back(): void
    {
        $this->issue();
        $this->post($this->url('/archive'), ['reason' => 'Moved away.'])->assertSessionHasErrors(['reason' => 'A programme is running. Close it on the Course first, then archive.']);
        $this->post($this->url('/programme/close'), ['outcome' => 'goal-reached', 'note' => ''])->assertSessionHasNoErrors();
        $this->post($this->url('/archive'), ['reason' => 'Moved away.'])->assertSessionHasNoErrors();
        $lines = fn (string $query): array => array_column($this->props($this->get("/$query"))['lines'], 'reason');
        self::assertSame([], $lines(''));
        self::assertSame(['archived'], $lines('?reason=archived'));
        self::assertSame(['archived'], $lines('?search='.urlencode(explode(' ', $this->patient->name)[0])));
        $this->delete($this->url('/archive'))->assertRedirect();
        self::assertSame(['finished'], $lines(''));
        self::assertNull(Patient::query()->findOrFail($this->patient->id)->archived_at);
    }

    private function lineage(): string
    {
        return (string) $this->patient->refresh()->activeProgramme?->latestVersion()?->items->first()?->lineage;
    }
}
