<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Models\NewFinding;
use App\Models\Pause;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Scenario;
use Tests\TestCase;

final class NewFindingsTest extends TestCase
{
    use RefreshDatabase;
    use Scenario;

    protected function setUp(): void
    {
        parent::setUp();
        $this->clinicWithPatient();
        $this->screen();
        $this->issue(['ratio' => '4:12:6']);
        $this->device();
        $this->actingAs($this->practitioner, 'practitioner');
    }

    public function test_a_new_flag_pauses_what_needs_a_reason_and_heads_the_caseload(): void
    {
        $this->screen(['flag.epilepsy']);

        self::assertSame(['HOLD-LONG'], NewFinding::query()->pluck('rule')->all());
        self::assertSame('PAUSE-NEW-FINDING', Pause::query()->sole()->rule);
        $this->get('/')->assertInertia(fn (AssertableInertia $page) => $page->where('lines.0.reason', 'new-finding')->where('lines.0.sentence', fn ($text) => str_contains($text, 'Extended exhale is paused')));
        $this->get("/patients/{$this->patient->id}")->assertInertia(fn (AssertableInertia $page) => $page->has('new_findings', 1)->where('pauses.0.text', fn ($text) => str_contains($text, 'Paused after what is newly known. Extended exhale')));

        $this->screen(['flag.epilepsy']);
        self::assertSame([1, 1], [NewFinding::query()->count(), Pause::query()->count()], 'once is enough');
        $this->post("/patients/{$this->patient->id}/pauses/".Pause::query()->sole()->id.'/end', ['line' => 'Agreed with the neurologist.'])->assertRedirect();
        self::assertNotNull(NewFinding::query()->sole()->settled_at);
        $this->get('/')->assertInertia(fn (AssertableInertia $page) => $page->where('lines.0.reason', fn ($reason) => $reason !== 'new-finding'));
    }

    public function test_a_new_version_ends_the_pause_when_it_takes_effect(): void
    {
        [, $credential] = $this->device();
        $this->screen(['flag.epilepsy']);
        $this->issue(['ratio' => '4:0:6'], basedOn: 1, reason: 'No hold.');
        $paused = function () use ($credential): bool {
            return $this->fromDevice($credential)->todayOnDevice()['items'][0]['paused'] === 'answers';
        };
        self::assertTrue($paused(), 'today the old version is still in force');
        self::assertSame(0, $this->patient->pauses()->goingOn()->count(), 'but nobody has to look again');
        $this->travel(2)->days();
        self::assertFalse($paused());
    }

    public function test_a_caution_is_shown_and_settled_with_a_line_or_a_new_version(): void
    {
        $this->issue(['ratio' => '4:4:6'], basedOn: 1, reason: 'Shorter.');
        $this->travel(1)->days();
        $this->screen(['flag.copd']);
        self::assertSame(0, Pause::query()->count());
        self::assertSame(['HOLD-MODERATE', 'INHALE-START'], NewFinding::query()->orderBy('rule')->pluck('rule')->all());
        $this->post("/patients/{$this->patient->id}/new-findings/settle", ['line' => ''])->assertSessionHasErrors('line');
        $this->post("/patients/{$this->patient->id}/new-findings/settle", ['line' => 'Short holds are fine here.'])->assertRedirect();
        self::assertSame(['Short holds are fine here.'], NewFinding::query()->get()->map(fn (NewFinding $finding) => $finding->looked_at)->unique()->all());

        $this->screen();
        $this->screen(['flag.panic']);
        self::assertSame(1, $this->patient->newFindings()->count());
        $this->issue(['ratio' => '4:0:6'], basedOn: 2, reason: 'No hold.');
        self::assertSame(0, $this->patient->newFindings()->count());
    }
}
