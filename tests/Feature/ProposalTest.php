<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\AnswerForm;
use App\Actions\AskForm;
use App\Actions\WriteDiary;
use App\Models\ChosenSymptom;
use App\Models\Device;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

/** What is proposed for an exercise in the session, from what was really practised and written. */
final class ProposalTest extends TestCase
{
    use RefreshDatabase, Scenario;

    private ProgrammeVersion $version;

    private Device $device;

    private ChosenSymptom $tension;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-11-01 06:00:00');
        $this->clinicWithPatient();
        $this->screen();
        $this->version = $this->issue(['times_a_day' => 1]);
        [$this->device] = $this->device();
        $this->tension = ChosenSymptom::query()->create(['patient_id' => $this->patient->id, 'name' => 'tension']);
    }

    public function test_a_patient_with_nothing_yet_is_too_early(): void
    {
        self::assertSame(['too-early', 'PROPOSE-TOO-EARLY'], $this->proposed());
    }

    public function test_ten_good_days_propose_the_next_rung_and_two_stops_a_step_back(): void
    {
        $this->practise(10);
        self::assertSame(['step-up', 'PROPOSE-STEP-UP'], $this->proposed());
        $this->practise(1, ['stop_class' => 'made-me-stop', 'stop_symptom' => 'dizziness']);
        self::assertSame('stay', $this->proposed()[0]);
        $this->practise(1, ['stop_class' => 'made-me-stop', 'stop_symptom' => 'tingling']);
        self::assertSame('step-back', $this->proposed()[0]);
    }

    public function test_little_practice_of_an_easy_breath_is_lightened(): void
    {
        $this->practise(6, every: 3);
        self::assertSame('lighten', $this->proposed()[0]);
    }

    public function test_a_symptom_that_is_reliably_worse_comes_before_everything(): void
    {
        for ($day = 0; $day < 20; $day++) {
            $this->practise(1);
            app(WriteDiary::class)($this->device, now()->format('Y-m-d'), [$this->tension->id => min(10, 3 + intdiv($day, 4))], null, null, CarbonImmutable::now());
        }
        self::assertSame('look', $this->proposed()[0]);
        self::assertStringContainsString('Tension is reliably worse: 3 in the first rated week, 7 in the last', $this->because());
    }

    public function test_so_does_a_questionnaire(): void
    {
        $this->answer('gad-7', [0, 1, 0, 1, 0, 1, 0]);
        $this->practise(10);
        $this->answer('gad-7', [2, 2, 2, 2, 2, 2, 2]);
        self::assertSame('look', $this->proposed()[0]);
        self::assertStringContainsString('GAD-7 is reliably worse: 3 at first, 14 now', $this->because());
    }

    /** @param  array<string, mixed>  $with */
    private function practise(int $times, array $with = [], int $every = 1): void
    {
        for ($n = 0; $n < $times; $n++) {
            $this->travel($every)->days();
            $this->store($this->device, $this->practiceLog($this->version, $with));
        }
    }

    /** @param  list<int>  $answers */
    private function answer(string $form, array $answers): void
    {
        app(AnswerForm::class)(app(AskForm::class)($this->patient, $this->practitioner, $form, 'room'), array_combine(range(1, count($answers)), $answers), true);
    }

    /** @return array{string, string} kind and rule */
    private function proposed(): array
    {
        $proposal = $this->decide()['proposal'];

        return [$proposal['kind'], $proposal['rule']];
    }

    private function because(): string
    {
        return $this->decide()['proposal']['because'];
    }

    /** @return array<string, mixed> */
    private function decide(): array
    {
        $this->actingAs($this->practitioner, 'practitioner')->post("/patients/{$this->patient->id}/sessions");
        $session = $this->patient->careSessions()->whereNull('closed_at')->sole();

        return $this->get("/patients/{$this->patient->id}/sessions/{$session->id}/decide")->viewData('page')['props']['shown']['items'][0];
    }
}
