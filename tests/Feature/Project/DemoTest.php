<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use App\Models\Device;
use Carbon\CarbonImmutable;
use Database\Seeders\Demo\DemoSeeder;
use Database\Seeders\Demo\Promises;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** The demo shows what it promises, on whatever day and at whatever hour it is played. */
final class DemoTest extends TestCase
{
    use RefreshDatabase, Scenario;

    private const PAGES = ['today', 'as-needed', 'diary', 'progress', 'sheet'];

    /** Drawn, not read. */
    private const DRAWN = ['timeline', 'ridge'];

    /** @return iterable<string, array{string, string}> local time, zone */
    public static function instants(): iterable
    {
        yield 'Tuesday that is the 29th of February' => ['2028-02-29 12:30', 'Europe/Berlin'];
        yield 'Wednesday before the patient’s day begins' => ['2026-11-25 03:30', 'Europe/Lisbon'];
        yield 'Sunday on which the clocks go forward, Berlin' => ['2027-03-28 10:15', 'Europe/Berlin'];
        if (getenv('MORE_DAYS') === '1') {
            yield from self::more();
        }
    }

    /** @return iterable<string, array{string, string}> each of them takes as long as all that a day has to show */
    private static function more(): iterable
    {
        yield 'Thursday that is the last day of the year' => ['2026-12-31 23:50', 'Europe/Lisbon'];
        yield 'Sunday on which the clocks go back, Lisbon' => ['2026-10-25 03:30', 'Europe/Lisbon'];
        yield 'Saturday' => ['2026-11-28 18:20', 'Europe/Berlin'];
        yield 'Monday after a week of holidays' => ['2027-01-04 09:00', 'Europe/Lisbon'];
        yield 'Friday when the patient’s day has just begun' => ['2026-11-27 04:10', 'Europe/Lisbon'];
        foreach (['2026-03-29', '2026-10-25', '2027-03-28', '2027-10-31'] as $day) {
            yield "Sunday on which the clocks change, $day, Lisbon" => ["$day 03:30", 'Europe/Lisbon'];
            yield "Sunday on which the clocks change, $day, Berlin" => ["$day 10:15", 'Europe/Berlin'];
        }
        yield 'Monday after the clocks went back' => ['2026-10-26 09:00', 'Europe/Lisbon'];
        yield 'Monday after the clocks went forward' => ['2027-03-29 00:10', 'Europe/Berlin'];
    }

    #[DataProvider('instants')]
    public function test_every_state_that_is_promised_is_there(string $local, string $zone): void
    {
        $now = CarbonImmutable::parse($local, $zone);
        $this->travelTo($now);
        (new DemoSeeder)->run($zone);
        self::assertTrue(Carbon::now()->equalTo($now), 'the demo leaves the clock as it was');
        self::assertSame([], Promises::broken(CarbonImmutable::now()));
        self::assertSame(count(Promises::all()), count(array_unique(array_column(Promises::all(), 'patient'))));
    }

    public function test_every_number_that_a_patient_reads_is_rounded(): void
    {
        $this->travelTo(CarbonImmutable::parse('2026-11-27 10:00', 'Europe/Lisbon'));
        (new DemoSeeder)->run();
        $read = 0;
        foreach (Device::query()->whereNotNull('pin')->whereNull('revoked_at')->with('patient.practitioner')->get()->unique('patient_id') as $known) {
            $this->practitioner = $known->patient->practitioner;
            [, $credential] = $this->device($known->patient);
            $this->app?->make('auth')->forgetGuards();
            $this->fromDevice($credential)->unlock();
            foreach (self::PAGES as $page) {
                $this->walk($this->getJson("/api/v1/$page")->assertOk()->json(), "{$known->patient->name} $page");
                $read++;
            }
        }
        self::assertGreaterThan(80, $read);
    }

    private function walk(mixed $value, string $where): void
    {
        if (is_array($value)) {
            foreach ($value as $key => $each) {
                if (! in_array($key, self::DRAWN, true)) {
                    $this->walk($each, "$where.$key");
                }
            }
        } elseif (is_float($value)) {
            self::assertEqualsWithDelta(round($value, 2), $value, 1e-9, "$where is $value");
        } elseif (is_string($value)) {
            self::assertDoesNotMatchRegularExpression('/\d\.\d{3,}(?!\d*Z)/', $value, $where);
        }
    }
}
