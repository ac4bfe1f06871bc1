<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Models\CareSession;
use App\Models\Pause;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** A practitioner pauses an exercise or everything; the patient reads why, and what was found is read again. */
final class PauseByPractitionerTest extends TestCase
{
    use RefreshDatabase, Scenario;

    private string $lineage;

    protected function setUp(): void
    {
        parent::setUp();
        $this->clinicWithPatient();
        $this->screen();
        $this->travelTo('2026-11-10 10:00:00');
        $this->lineage = $this->issue()->items->sole()->lineage;
        $this->actingAs($this->practitioner, 'practitioner');
    }

    public function test_it_holds_at_once_says_why_and_ends_when_somebody_lets_it_go_on(): void
    {
        $this->post($this->pauses(), ['lineage' => $this->lineage, 'reason' => 'Rest your ribs until we have seen the picture.'])->assertSessionHasNoErrors();
        $pause = Pause::query()->sole();
        self::assertStringNotContainsString('ribs', (string) DB::table('pauses')->value('reason'));
        self::assertSame(
            "Paused by {$this->practitioner->name}: Rest your ribs until we have seen the picture.", $this->course()['pauses'][0]['text'],
        );
        [, $credential] = $this->device();
        $this->app?->make('auth')->forgetGuards();
        $item = $this->fromDevice($credential)->unlock()->getJson('/api/v1/today')->assertOk()->json('items');
        $item = array_values($item)[0][0];
        self::assertSame(['practitioner', 'Rest your ribs until we have seen the picture.'], [$item['paused'], $item['paused_note']]);

        $this->app?->make('auth')->forgetGuards();
        $this->actingAs($this->practitioner, 'practitioner');
        $this->post($this->pauses(), ['lineage' => $this->lineage, 'reason' => 'Once more.'])->assertSessionHasErrors(['lineage' => 'It is paused already.']);
        $this->post("/patients/{$this->patient->id}/sessions");
        $session = CareSession::query()->sole();
        $this->post("{$this->pauses()}/{$pause->id}/end", ['line' => 'The ribs are whole.'])->assertSessionHasNoErrors();
        self::assertSame([], $this->course()['pauses']);

        // What was found is read again: on the Course, in the record, in the note and in the next brief.
        $found = fn (mixed $lifted) => collect($lifted)->pluck('found')->all() === ['The ribs are whole.'];
        self::assertTrue($found($this->course()['lifted']));
        $this->get("/patients/{$this->patient->id}/record")->assertInertia(fn (AssertableInertia $page) => $page->where('lifted', $found));
        $this->get("/patients/{$this->patient->id}/sessions/{$session->id}/note")->assertInertia(
            fn (AssertableInertia $page) => $page->where('shown.draft', fn (string $text) => str_contains($text, 'Lifted: The ribs are whole.')),
        );
        $this->get("/patients/{$this->patient->id}/sessions/{$session->id}/brief")->assertInertia(
            fn (AssertableInertia $page) => $page->where('shown.lines', fn ($lines) => collect($lines)->contains(fn ($line) => str_contains($line['text'], 'Found: The ribs are whole.'))),
        );
    }

    public function test_everything_but_recovery_is_paused_together(): void
    {
        $this->issue(['technique' => 'forward-lean', 'position' => 'seated-forward', 'ratio' => null], basedOn: 1, reason: 'Recovery.');
        $this->post($this->pauses(), ['lineage' => '', 'reason' => 'You are ill.'])->assertSessionHasNoErrors();
        self::assertNull(Pause::query()->sole()->lineage);
        self::assertStringStartsWith('Every exercise but recovery is paused by', $this->course()['pauses'][0]['text']);
    }

    public function test_wrong_input_is_named_and_how_a_pause_began_stands(): void
    {
        foreach ([['reason' => ''], ['reason' => 'x'], ['reason' => ['a']], ['reason' => str_repeat('x', 301)]] as $wrong) {
            $this->post($this->pauses(), ['lineage' => $this->lineage, ...$wrong])->assertSessionHasErrors('reason');
        }
        $this->post($this->pauses(), ['lineage' => '01ARZ3NDEKTSV4RRFFQ69G5FAV', 'reason' => 'Not there.'])->assertSessionHasErrors('lineage');
        $this->post($this->pauses(), ['lineage' => 'x', 'reason' => 'Not there.'])->assertSessionHasErrors('lineage');
        self::assertSame(0, Pause::query()->count());
        $this->post($this->pauses(), ['lineage' => $this->lineage, 'reason' => 'Rest.']);
        $this->expectExceptionMessage('How a pause began cannot be changed.');
        DB::table('pauses')->update(['reason' => 'Another.']);
    }

    private function pauses(): string
    {
        return "/patients/{$this->patient->id}/pauses";
    }
}
