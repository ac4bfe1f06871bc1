<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Actions\Access\MakeAccessLink;
use App\Actions\Access\RegisterDevice;
use App\Actions\Assessment\CompleteScreening;
use App\Actions\Programme\IssueVersion;
use App\Models\ChosenSymptom;
use App\Models\Device;
use App\Models\Patient;
use App\Models\Practitioner;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use IvoryPace\Assessment\ScreeningQuestions;
use IvoryPace\Practice\DuePractices;
use IvoryPace\Programme\VersionOrder;
use LogicException;

/**
 * Many patients who have practised for long, to measure with: programmes are issued through the rules, what is due comes
 * from the core, and only the rows of practices and diary are written in bulk.
 */
final class Crowd
{
    private const AT_ONCE = 1000;

    private const CHANCE = 96;

    /** @var array<string, list<array<string, mixed>>> rows that wait to be written, by table */
    private array $rows = [];

    private int $practices = 0;

    public function __construct(private readonly Practitioner $by, private readonly int $days)
    {
    }

    /** @return int practices written */
    public function seed(int $patients): int
    {
        mt_srand(2026);
        for ($number = 1; $number <= $patients; $number++) {
            $this->patient($number);
        }
        foreach (array_keys($this->rows) as $table) {
            $this->write($table, 1);
        }

        return $this->practices;
    }

    private function patient(int $number): void
    {
        $patient = $this->at($this->days, fn () => Patient::query()->create([
            'clinic_id' => $this->by->clinic_id, 'practitioner_id' => $this->by->id, 'name' => sprintf('Measured Wren %04d', $number),
            'birth_date' => '1980-01-01',
            'time_zone' => $this->by->clinic->time_zone, 'day_start' => '04:00', 'minutes_a_day' => 30,
        ]));
        $device = $this->at($this->days, function () use ($patient) {
            app(CompleteScreening::class)($patient, $this->by, array_fill_keys(ScreeningQuestions::keys(), false));
            $link = app(MakeAccessLink::class)($patient, $this->by);

            return (
                app(RegisterDevice::class)('token_hash', hash('sha256', $link['token']), 'Phone') ?? throw new LogicException('No device.')
            )[0];
        });
        foreach (['4:0:5:1', '4:0:6:1', '4:0:7:1'] as $step => $ratio) {
            $this->at($this->days - intdiv($this->days * $step, 3), fn () => app(IssueVersion::class)($patient, $this->by, new VersionOrder(
                items: [['technique' => 'extended-exhale', 'ratio' => $ratio, 'breaths' => 12, 'position' => 'seated', 'times_a_day' => 3]],
                weeks: 52,
                reviewOn: $patient->dayOf(CarbonImmutable::now())->plusDays(30)->date,
                startsOn: $patient->dayOf(CarbonImmutable::now())->date, ratedSymptom: 'tension',
                reason: $step === 0 ? null : 'Next rung.', basedOn: $step,
            )));
        }
        $this->practise($patient, $device);
        $this->write('diary_entries', self::AT_ONCE);
    }

    private function practise(Patient $patient, Device $device): void
    {
        $now = CarbonImmutable::now();
        $programme = $patient->activeProgramme()->with('versions.items')->firstOrFail();
        $history = $programme->history();
        $due = new DuePractices($history, $patient->clock());
        $symptom = ChosenSymptom::query()->create(['patient_id' => $patient->id, 'name' => 'tension']);
        $versions = $programme->versions->keyBy('number');
        foreach ($history->firstDay()->through($patient->dayOf($now)) as $day) {
            $version = $versions->get($history->inForceOn($day)->number ?? 0);
            if ($version === null) {
                continue;
            }
            foreach ($due->on($day) as $slot) {
                $start = CarbonImmutable::instance($slot->opensAt)->addMinutes(mt_rand(1, 60))->utc();
                if ($start->isAfter($now) || mt_rand(1, 100) > self::CHANCE) {
                    continue;
                }
                $before = mt_rand(3, 7);
                $stopped = mt_rand(1, 1500) === 1;
                $this->rows['practices'][] = [
                    'uuid' => (string) Str::uuid(), 'patient_id' => $patient->id, 'programme_version_id' => $version->id,
                    'device_id' => $device->id, 'lineage' => $slot->lineage, 'anchor' => $slot->anchor->value,
                    'started_at' => $start->format('Y-m-d H:i:s'), 'ended_at' => $start->addMinutes(2)->format('Y-m-d H:i:s'),
                    'received_at' => $start->addMinutes(3)->format('Y-m-d H:i:s'),
                    'breaths_done' => 12, 'breaths_prescribed' => 12, 'seconds_done' => 120, 'seconds_prescribed' => 120,
                    'before' => $before, 'after' => $before - mt_rand(0, 2), 'effort' => mt_rand(1, 4),
                    'smooth' => mt_rand(1, 10) > 2 ? 'yes' : 'partly', 'stop_class' => $stopped ? 'made-me-stop' : null,
                    'stop_symptom' => $stopped ? 'dizziness' : null,
                ];
                $this->practices++;
            }
            $this->rows['diary_entries'][] = [
                'patient_id' => $patient->id, 'device_id' => $device->id, 'day' => $day->date, 'is_late' => false,
                'written_at' => "{$day->date} 20:00:00",
                'content' => Crypt::encryptString(
                    (string) json_encode(['ratings' => [$symptom->id => mt_rand(2, 6)], 'sleep' => mt_rand(4, 8), 'text' => null]),
                ),
            ];
        }
        foreach ([$this->days => 12, 5 => 6] as $daysAgo => $score) {
            $this->rows['asked_forms'][] = [
                'id' => strtolower((string) Str::ulid()), 'patient_id' => $patient->id, 'form' => 'gad-7', 'answered_on' => 'room',
                'practitioner_id' => $this->by->id, 'asked_at' => $now->subDays($daysAgo)->format('Y-m-d H:i:s'),
                'answers' => Crypt::encryptString('[]'), 'answered' => 7, 'score' => $score, 'missing' => 0,
                'completed_at' => $now->subDays($daysAgo)->format('Y-m-d H:i:s'),
                'settled_at' => $now->subDays($daysAgo)->format('Y-m-d H:i:s'),
            ];
        }
        foreach (['practices', 'diary_entries', 'asked_forms'] as $table) {
            $this->write($table, self::AT_ONCE);
        }
    }

    private function write(string $table, int $from): void
    {
        if (count($this->rows[$table] ?? []) >= $from) {
            foreach (array_chunk($this->rows[$table], self::AT_ONCE) as $some) {
                DB::table($table)->insert($some);
            }
            $this->rows[$table] = [];
        }
    }

    /**
     * @template T
     *
     * @param  callable(): T  $do
     * @return T
     */
    private function at(int $daysAgo, callable $do): mixed
    {
        $moment = CarbonImmutable::now()->subDays($daysAgo)->setTime(10, 0);

        return AtMoment::do($moment, $do);
    }
}
