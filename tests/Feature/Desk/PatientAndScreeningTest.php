<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Models\Patient;
use App\Models\Screening;
use App\Models\ScreeningAnswer;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use IvoryPace\Assessment\ScreeningQuestions as Questions;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\Scenario;
use Tests\TestCase;

final class PatientAndScreeningTest extends TestCase
{
    use RefreshDatabase, Scenario;

    private const PATIENT = ['name' => 'Hanna Low', 'birth_date' => '1970-02-03', 'time_zone' => 'Europe/Lisbon', 'day_start' => '04:00', 'contact' => '', 'minutes_a_day' => ''];

    protected function setUp(): void
    {
        parent::setUp();
        $this->clinicWithPatient();
        $this->actingAs($this->practitioner, 'practitioner');
    }

    public function test_adds_a_patient_and_goes_to_the_screening(): void
    {
        $response = $this->post('/patients', ['contact' => '+351 000 000', 'minutes_a_day' => '15'] + self::PATIENT);
        $patient = Patient::query()->where('name', 'Hanna Low')->sole();

        $response->assertRedirect("/patients/{$patient->id}/screening");
        self::assertSame($this->practitioner->clinic_id, $patient->clinic_id);
        self::assertSame('+351 000 000', $patient->contact);
        self::assertStringNotContainsString('351', (string) DB::table('patients')->where('id', $patient->id)->value('contact'), 'stored encrypted');
    }

    /** @return iterable<string, array{array<string, string>, string}> */
    public static function badPatients(): iterable
    {
        yield 'no name' => [['name' => ''], 'name'];
        yield 'born tomorrow' => [['birth_date' => '2999-01-01'], 'birth_date'];
        yield 'born long ago' => [['birth_date' => '1800-01-01'], 'birth_date'];
        yield 'no date' => [['birth_date' => '31.12.1970'], 'birth_date'];
        yield 'no such zone' => [['time_zone' => 'Mars/Base'], 'time_zone'];
        yield 'no such time' => [['day_start' => '25:00'], 'day_start'];
        yield 'no such minutes' => [['minutes_a_day' => '999'], 'minutes_a_day'];
    }

    /** @param  array<string, string>  $wrong */
    #[DataProvider('badPatients')]
    public function test_says_beside_the_field_what_is_wrong(array $wrong, string $field): void
    {
        $this->post('/patients', $wrong + self::PATIENT)->assertSessionHasErrors($field);
        self::assertSame(1, Patient::query()->count());
    }

    public function test_the_screening_is_kept_dated_and_attributed(): void
    {
        $answers = ['flag.copd' => true, 'flag.pregnancy' => true] + array_fill_keys(Questions::keys(), false);
        $this->post($this->url('screening'), ['answers' => $answers, 'ends_on' => ['flag.copd' => now()->addYear()->format('Y-m-d')], 'pregnancy_weeks' => '21'])
            ->assertRedirect($this->url('screening'));
        $screening = Screening::query()->sole();

        self::assertSame($this->practitioner->id, $screening->practitioner_id);
        self::assertTrue($screening->completed_at->isToday());
        self::assertSame(count(Questions::keys()), $screening->answers()->count());
        self::assertSame(21, $screening->answers()->where('question', 'flag.pregnancy')->sole()->pregnancy_weeks);
        $this->get($this->url('bench'))->assertInertia(fn ($page) => $page->where('patient.flags', ['COPD', 'pregnancy from 20 weeks'])->where('patient.obstacle', null));
    }

    public function test_a_screening_with_a_gap_is_not_kept(): void
    {
        $answers = array_fill_keys(array_slice(Questions::keys(), 2), false);

        $this->post($this->url('screening'), ['answers' => $answers])->assertSessionHasErrors(['answers' => '2 questions are not answered yet.']);
        self::assertSame(0, Screening::query()->count() + ScreeningAnswer::query()->count());
    }

    public function test_a_flag_that_has_ended_no_longer_counts(): void
    {
        $answers = ['flag.vertigo' => true] + array_fill_keys(Questions::keys(), false);
        $this->post($this->url('screening'), ['answers' => $answers, 'ends_on' => ['flag.vertigo' => now()->addDays(3)->format('Y-m-d')]]);
        $flags = fn () => $this->get($this->url('bench'))->viewData('page')['props']['patient']['flags'];

        self::assertSame(['dizziness or vertigo'], $flags());
        $this->travel(5)->days();
        self::assertSame([], $flags());
    }

    public function test_a_red_flag_blocks_until_an_action_is_recorded(): void
    {
        $this->screen(['red.blue-lips']);
        $this->get($this->url('bench'))->assertInertia(fn ($page) => $page->where('patient.obstacle', fn ($text) => str_contains($text, 'blue lips')));
        $raised = $this->patient->openRedFlags()->sole();

        $this->post($this->url("red-flags/{$raised->id}/actions"), ['line' => 'no'])->assertSessionHasErrors('line');
        $this->post($this->url("red-flags/{$raised->id}/actions"), ['line' => 'Sent to the emergency department.'])->assertSessionHasErrors(['outcome' => 'Say whether practice may go on, or waits.']);
        $this->post($this->url("red-flags/{$raised->id}/actions"), ['line' => 'Sent to the emergency department.', 'outcome' => 'waiting'])->assertRedirect();
        $this->get($this->url('bench'))->assertInertia(fn ($page) => $page->where('patient.obstacle', fn ($text) => str_contains($text, 'blue lips')));
        $this->post($this->url("red-flags/{$raised->id}/actions"), ['line' => 'Seen there, lungs clear.', 'outcome' => 'may-go-on'])->assertRedirect();
        $this->get($this->url('bench'))->assertInertia(fn ($page) => $page->where('patient.obstacle', null));
        self::assertSame([$this->practitioner->id], $raised->actions()->pluck('practitioner_id')->unique()->all());
    }

    private function url(string $path): string
    {
        return "/patients/{$this->patient->id}/$path";
    }
}
