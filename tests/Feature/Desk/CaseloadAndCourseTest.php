<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Models\Patient;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use IvoryPace\Progress\CaseloadReason;
use Tests\Feature\Scenario;
use Tests\TestCase;

final class CaseloadAndCourseTest extends TestCase
{
    use RefreshDatabase, Scenario;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-11-01 10:00:00');
        $this->clinicWithPatient();
        $this->actingAs($this->practitioner, 'practitioner');
    }

    public function test_reasons_follow_a_patient_from_new_to_no_practice(): void
    {
        self::assertSame('not-screened', $this->reason());
        $this->screen(['red.blue-lips']);
        self::assertSame('red-flag', $this->reason());
        $this->screen();
        self::assertSame('red-flag', $this->reason(), 'a later no does not close it: an action does');
        $this->actOnRedFlags();
        self::assertSame('no-programme', $this->reason());
        $version = $this->issue();
        self::assertSame('access-unused', $this->reason());
        [$device] = $this->device();
        self::assertSame('on-track', $this->reason());
        $this->store($device, $this->practiceLog($version));
        $this->travelTo('2026-11-08 10:00:00');
        self::assertSame('no-practice', $this->reason());
        self::assertStringContainsString('7 days', $this->lines()[0]['number']);
    }

    public function test_a_review_that_is_overdue_is_named_with_its_days(): void
    {
        $this->screen();
        $version = $this->issue();
        [$device] = $this->device();
        for ($day = 2; $day <= 18; $day++) {
            $this->travelTo(sprintf('2026-11-%02d 08:00:00', $day));
            $this->store($device, $this->practiceLog($version));
        }
        self::assertSame(['review-overdue', '3 days'], [$this->reason(), $this->lines()[0]['number']]);
    }

    public function test_the_most_urgent_come_first_and_the_number_of_queries_does_not_grow(): void
    {
        $this->screen(['red.blue-lips']);
        $this->add(2);
        $this->get('/')->assertOk();
        $few = $this->queries(fn () => $this->get('/')->assertOk());
        $this->add(12);
        $this->get('/')->assertOk();
        $many = $this->queries(fn () => $this->get('/')->assertOk());

        self::assertSame($few, $many);
        $orders = array_map(fn (string $reason) => CaseloadReason::from($reason)->order(), array_column($this->lines(), 'reason'));
        $sorted = $orders;
        sort($sorted);
        self::assertSame($sorted, $orders);
        self::assertSame('red-flag', $this->lines()[0]['reason']);
    }

    public function test_each_version_is_measured_against_itself(): void
    {
        $this->screen();
        $first = $this->issue();
        [$device] = $this->device();
        $this->travelTo('2026-11-02 08:00:00');
        $this->store($device, $this->practiceLog($first));
        $this->travelTo('2026-11-03 12:00:00');
        $before = $this->versions()[0]['adherence'];
        $this->issue(['ratio' => '4:0:6:1', 'times_a_day' => 1], basedOn: 1, reason: 'Next rung.');
        $this->travelTo('2026-11-06 12:00:00');
        [$one, $two] = $this->versions();

        self::assertSame([1.0, 4], [$before['credit'], $before['due']]);
        self::assertSame([1.0, 6], [$one['adherence']['credit'], $one['adherence']['due']], 'the change leaves version 1 as it was');
        self::assertSame([0.0, 2], [$two['adherence']['credit'], $two['adherence']['due']]);
        self::assertSame(['2026-11-01', '2026-11-03', '2026-11-04'], [$one['from'], $one['to'], $two['from']]);
    }

    public function test_a_course_without_anything_is_empty_in_words(): void
    {
        $this->get("/patients/{$this->patient->id}")->assertInertia(fn ($page) => $page->component('Course')->where('programme', null)->where('practices', []));
    }

    private function add(int $number): void
    {
        foreach (Patient::factory()->count($number)->create(['practitioner_id' => $this->practitioner->id, 'clinic_id' => $this->practitioner->clinic_id]) as $patient) {
            $this->screen(['flag.copd'], $patient);
            $version = $this->issue(patient: $patient);
            [$device] = $this->device($patient);
            $this->store($device, $this->practiceLog($version, ['stop_class' => 'get-help', 'stop_symptom' => 'chest-pain']));
        }
    }

    private function queries(callable $do): int
    {
        DB::flushQueryLog();
        DB::enableQueryLog();
        $do();
        DB::disableQueryLog();

        return count(DB::getQueryLog());
    }

    private function reason(): string
    {
        return $this->lines()[0]['reason'];
    }

    /** @return list<array<string, mixed>> */
    private function lines(): array
    {
        return $this->props($this->get('/'))['lines'];
    }

    /** @return list<array<string, mixed>> */
    private function versions(): array
    {
        return $this->props($this->get("/patients/{$this->patient->id}"))['programme']['versions'];
    }
}
