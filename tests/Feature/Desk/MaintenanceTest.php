<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Facts\Caseload\CaseloadLines;
use App\Models\Practitioner;
use App\Models\Programme;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\Practising;
use Tests\TestCase;

/** A finished programme is kept up on fewer days, without an end. */
final class MaintenanceTest extends TestCase
{
    use Practising, RefreshDatabase;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-11-01 06:00:00');
        $this->clinicWithPatient();
        $this->screen();
        $this->version = $this->issue(['times_a_day' => 2, 'anchors' => [
            ['anchor' => 'waking', 'from' => '06:00', 'to' => '09:00', 'days' => [1, 2, 3, 4, 5, 6, 7]], ['anchor' => 'evening', 'from' => '18:00', 'to' => '22:00', 'days' => [1, 2, 3, 4, 5, 6, 7]],
        ]]);
        [$this->device] = $this->device();
        $this->actingAs($this->practitioner, 'practitioner');
    }

    public function test_a_finished_programme_goes_on_at_the_time_that_was_kept_best(): void
    {
        $this->travelTo('2026-11-01 19:00:00');
        $this->practise(10, ['anchor' => 'evening']);
        $this->close()->assertRedirect("/patients/{$this->patient->id}/bench?keep_up=1");

        $bench = $this->bench('?keep_up=1');
        self::assertSame([true, null], [$bench['draft']['maintenance'], $bench['version']]);
        self::assertSame([['evening', [1, 3, 5]]], array_map(fn (array $slot) => [$slot['anchor'], $slot['days']], $bench['answer']['items'][0]['fields']['anchors']));
        self::assertFalse($this->bench()['draft']['maintenance'], 'only when it was asked for');

        $this->order($bench)->assertCreated();
        $programme = Programme::query()->whereNull('closed_on')->sole();
        $version = ProgrammeVersion::query()->orderByDesc('id')->firstOrFail();
        self::assertSame([true, null, 1], [$programme->is_maintenance, $version->ends_on, $version->number]);
        self::assertNotSame($this->version->items->first()?->lineage, $version->items->first()?->lineage);
        self::assertTrue($this->course()['maintenance']);
        self::assertSame('Maintenance', $this->line()['number']);

        // It goes on for as long as it does good, and is never stepped up.
        $this->version = $version;
        foreach ([2, 3, 2, 2, 3, 2, 2, 3, 2] as $days) {
            $this->practise(1, ['anchor' => 'evening'], every: $days); // Mondays, Wednesdays and Fridays
        }
        $proposal = $this->course()['proposals'][0];
        self::assertSame('stay', $proposal['kind']);
        self::assertStringContainsString('Kept up: 100 %', $proposal['because']);

        // A change stays without an end.
        $this->order($this->bench(), ['reason' => 'Weekends suit better.'])->assertCreated();
        self::assertNull(ProgrammeVersion::query()->orderByDesc('id')->firstOrFail()->ends_on);
    }

    public function test_what_cannot_be_kept_up_is_refused_in_words(): void
    {
        $bench = $this->bench('?keep_up=1');
        self::assertFalse($bench['draft']['maintenance'], 'a programme is running');
        $this->close();
        $bench = $this->bench('?keep_up=1');
        $this->order($bench, ['review_on' => CarbonImmutable::now()->addYears(2)->format('Y-m-d')])->assertUnprocessable()
            ->assertJsonPath('errors.review_on.0', 'What is kept up is looked at once a year at least: choose a review within a year.');
        $this->order($bench, ['review_on' => 'soon'])->assertUnprocessable();
        $this->order($bench, ['maintenance' => false, 'weeks' => null])->assertUnprocessable()->assertJsonPath('errors.weeks.0', 'Type a number of weeks.');
        $this->order($bench, ['based_on' => 1])->assertUnprocessable()
            ->assertJsonPath('errors.programme.0', 'The programme was closed meanwhile. Look at the Course; begin anew on the Bench if another is to follow.');
        $this->screen(['red.chest-pain']);
        $this->order($bench)->assertUnprocessable();
        self::assertSame(1, ProgrammeVersion::query()->count());
    }

    public function test_what_was_paused_does_not_come_back_unpaused_in_another_programme(): void
    {
        $this->practise(2, ['stop_class' => 'made-me-stop', 'stop_symptom' => 'dizziness']);
        $this->close();
        $bench = $this->bench('?keep_up=1');
        $refused = fn () => $this->order($bench)->assertUnprocessable()
            ->assertJsonPath('errors.programme.0', 'An exercise of the last programme is paused, and nobody has looked at it. Do that on the Course first; nothing of yours is lost.');
        $refused();
        $pause = $this->course()['pauses'][0];
        self::assertSame('PAUSE-TWICE-IN-THREE', $pause['rule']);
        $this->post("/patients/{$this->patient->id}/pauses/{$pause['id']}/end", ['line' => 'Stood up too soon both times.'])->assertSessionHasNoErrors();
        $this->order($bench)->assertCreated();
    }

    public function test_without_a_finished_programme_there_is_nothing_to_keep_up(): void
    {
        Programme::query()->update(['closed_on' => '2026-11-02', 'outcome' => 'better']);
        $this->order($bench = $this->bench('?keep_up=1'))->assertCreated();

        $this->patient = $this->patient->replicate()->setAttribute('name', 'Another One');
        $this->patient->save();
        $this->screen();
        $this->order($bench)->assertUnprocessable()->assertJsonPath('errors.programme.0', 'There is no finished programme to keep up.');
    }

    public function test_an_earlier_programme_can_still_be_read_as_it_was_at_its_end(): void
    {
        $this->practise(5, ['anchor' => 'evening']);
        $this->close();
        $this->order($this->bench('?keep_up=1'))->assertCreated();
        $this->version = ProgrammeVersion::query()->orderByDesc('id')->firstOrFail();
        $this->practise(4, ['anchor' => 'evening', 'before' => 9]);

        $present = $this->course();
        self::assertSame([4, 2], [count($present['practices']), count($present['programmes'])]);
        $first = Programme::query()->orderBy('id')->firstOrFail();
        $earlier = $this->course("?programme={$first->id}");
        self::assertSame(['goal reached', 5, '2026-11-06', false], [$earlier['ended']['outcome'], count($earlier['practices']), $earlier['programme']['today'], $earlier['maintenance']]);
        self::assertNotContains(9, array_column($earlier['programme']['ratings'], 'before'));
        self::assertSame([['name' => 'Extended exhale', 'effect' => 'Tension −2 in the middle of 5 practices; lower after 100 %, higher after 0 %.']], $earlier['effects']);
        self::assertStringContainsString('Tension −5 in the middle of 4 practices', $present['effects'][0]['effect']);
        self::assertSame([[false, true], [true, false]], array_map(fn (array $each) => [$each['here'], $each['running']], $earlier['programmes']));

        $version = "/patients/{$this->patient->id}/versions/1";
        $page = fn (string $query): array => $this->get("$version$query")->assertOk()->viewData('page')['props']['version'];
        self::assertSame(['', "?programme={$first->id}"], [$page('')['query'], $page("?programme={$first->id}")['query']]);
        self::assertNotSame($page('')['items'][0]['fields']['anchors'], $page("?programme={$first->id}")['items'][0]['fields']['anchors']);
        $this->get("$version/sheet.pdf?programme={$first->id}")->assertOk();
        self::assertCount(2, (array) $this->get("$version/programme.json?programme={$first->id}")->assertOk()->json('items.0.anchors'));
        self::assertSame(['', "?programme={$first->id}"], array_column($this->get("/patients/{$this->patient->id}/record")->assertOk()->viewData('page')['props']['versions'], 'query'));
    }

    public function test_the_patient_has_it_on_those_days_and_nothing_on_the_others(): void
    {
        $this->close();
        $this->fromDevice($this->device()[1]);
        self::assertSame([], $this->todayOnDevice()['items'], 'home practice ends at once');
        $this->actingAs($this->practitioner, 'practitioner');
        $this->order($this->bench('?keep_up=1'))->assertCreated();
        foreach (['2026-11-02' => 1, '2026-11-03' => 0, '2026-11-04' => 1, '2026-11-07' => 0, '2027-06-11' => 1] as $day => $due) {
            $this->travelTo("$day 12:00:00");
            self::assertCount($due, $this->todayOnDevice()['slots'], $day);
        }
    }

    public function test_another_clinic_and_a_stranger_reach_no_earlier_programme(): void
    {
        $theirs = Programme::query()->sole();
        $pages = array_map(fn (string $page) => "/patients/{$this->patient->id}$page?programme={$theirs->id}", ['', '/versions/1', '/versions/1/sheet.pdf', '/versions/1/programme.json']);
        foreach ($pages as $page) {
            $this->get($page)->assertOk();
        }
        $this->actingAs(Practitioner::factory()->create(), 'practitioner');
        foreach ($pages as $page) {
            $this->get($page)->assertNotFound();
        }
        $this->app?->make('auth')->forgetGuards();
        foreach ($pages as $page) {
            $this->get($page)->assertRedirect('/sign-in');
        }
    }

    public function test_a_programme_of_another_patient_is_not_found_by_its_number(): void
    {
        $theirs = Programme::query()->sole();
        $this->patient = $this->patient->replicate()->setAttribute('name', 'Another One');
        $this->patient->save();
        $this->screen();
        $this->issue();
        foreach (['', '/versions/1', '/versions/1/sheet.pdf', '/versions/1/programme.json'] as $page) {
            $this->get("/patients/{$this->patient->id}$page?programme={$theirs->id}")->assertNotFound();
            $this->get("/patients/{$this->patient->id}$page?programme=none")->assertNotFound();
        }
    }

    public function test_how_it_ends_is_not_counted_as_a_programme_twice(): void
    {
        $this->close();
        $this->order($this->bench('?keep_up=1'));
        $this->close(keepUp: false);
        self::assertSame(2, Programme::query()->whereNotNull('outcome')->count());
        self::assertSame(1, $this->get('/clinic')->assertOk()->viewData('page')['props']['outcomes']['finished']['programmes']);
    }

    /** @return TestResponse<Response> */
    private function close(bool $keepUp = true): TestResponse
    {
        return $this->post("/patients/{$this->patient->id}/programme/close", ['outcome' => 'goal-reached', 'note' => '', 'keep_up' => $keepUp])->assertSessionHasNoErrors();
    }

    /** @return array<string, mixed> */
    private function bench(string $query = ''): array
    {
        return $this->get("/patients/{$this->patient->id}/bench$query")->assertOk()->viewData('page')['props'];
    }

    /**
     * @param  array<string, mixed>  $bench
     * @param  array<string, mixed>  $with
     * @return TestResponse<Response>
     */
    private function order(array $bench, array $with = []): TestResponse
    {
        return $this->postJson("/patients/{$this->patient->id}/versions", [
            'items' => array_map(fn (array $each) => ['id' => $each['id'], ...$each['fields']], $bench['answer']['items']), 'school' => $bench['answer']['school'], 'goal' => $bench['draft']['goal'],
            'weeks' => $bench['draft']['weeks'], 'review_on' => $bench['draft']['review_on'], 'starts_on' => $bench['draft']['starts_on'], 'rated_symptom' => $bench['draft']['rated_symptom'],
            'maintenance' => $bench['draft']['maintenance'], 'based_on' => $bench['version']['number'] ?? 0, ...$with,
        ]);
    }

    /** @return array<string, mixed> */
    private function line(): array
    {
        return CaseloadLines::of($this->practitioner->clinic, CarbonImmutable::now())[0];
    }
}
