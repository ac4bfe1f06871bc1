<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Actions\Programme\IssueVersion;
use App\Models\Measurement;
use Illuminate\Foundation\Testing\RefreshDatabase;
use IvoryPace\Programme\VersionOrder;
use Tests\Feature\Practising;
use Tests\TestCase;

/** A goal in seconds, from the Bench to the proposal to finish. */
final class GoalInUnitsTest extends TestCase
{
    use Practising, RefreshDatabase;

    public function test_a_goal_in_seconds_is_chosen_shown_and_after_two_weeks_proposed_as_reached(): void
    {
        $this->patientWithAProgramme();
        $this->actingAs($this->practitioner, 'practitioner');
        $url = "/patients/{$this->patient->id}";
        $goals = array_column($this->get("$url/bench")->viewData('page')['props']['goals'], 'unit', 'name');
        self::assertSame(['s', 'cm'], [$goals['Comfortable exhale or hum'], $goals['Rib expansion']]);

        $today = $this->patient->dayOf(now());
        app(IssueVersion::class)($this->patient, $this->practitioner, new VersionOrder(
            items: [['technique' => 'extended-exhale', 'ratio' => '4:0:5:1', 'position' => 'seated', 'times_a_day' => 1, 'id' => $this->version->items()->sole()->lineage]],
            weeks: 8, reviewOn: $today->plusDays(40)->date, startsOn: $today->date, ratedSymptom: 'tension', reason: 'a goal', basedOn: 1,
            goal: ['words' => 'One line of the song', 'measure' => 'comfortable exhale or hum', 'target' => '8', 'direction' => 'at-least'],
        ));
        $this->measured(7.5);
        $this->practise(3);
        $this->measured(8.0);
        $this->practise(5);
        self::assertNotSame('finish', $this->proposed()[0]);

        $course = $this->course();
        self::assertSame(['Comfortable exhale or hum', '8 s or more'], [$course['programme']['measures'][0]['name'], $course['programme']['measures'][0]['goal']]);
        self::assertSame('comfortable exhale or hum at least 8 s', $this->get("$url/versions/2")->viewData('page')['props']['version']['goal']['summary']);
        $this->post("$url/sessions");
        $session = $this->patient->careSessions()->firstOrFail();
        self::assertSame(
            ['words' => 'One line of the song', 'summary' => 'comfortable exhale or hum at least 8 s'],
            $this->get("$url/sessions/{$session->id}/brief")->viewData('page')['props']['shown']['goal'],
        );

        $this->practise(10);
        self::assertSame(['finish', 'PROPOSE-FINISH'], $this->proposed());
        $this->measured(7.0);
        self::assertNotSame('finish', $this->proposed()[0], 'the latest value is off the target');
    }

    /** @return array{string, string} kind and rule */
    private function proposed(): array
    {
        $this->actingAs($this->practitioner, 'practitioner')->post("/patients/{$this->patient->id}/sessions");
        $session = $this->patient->careSessions()->latest('id')->firstOrFail();
        $proposal = $this->get("/patients/{$this->patient->id}/sessions/{$session->id}/decide")->viewData('page')['props']['shown']['items'][0]['proposal'];

        return [$proposal['kind'], $proposal['rule']];
    }

    private function measured(float $value): void
    {
        Measurement::query()->create([
            'patient_id' => $this->patient->id, 'practitioner_id' => $this->practitioner->id, 'measure' => 'exhale', 'value' => $value,
            'position' => 'seated', 'method' => 'tries', 'measured_at' => now(),
        ]);
    }
}
