<?php

declare(strict_types=1);

namespace App\Actions\Practice;

use App\Facts\PaperGrid;
use App\Facts\PracticeOnFile;
use App\Models\Patient;
use App\Models\Practice;
use App\Models\Programme;
use App\Models\ProgrammeItem;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Health\StopSymptom;
use IvoryPace\InvalidValue;
use IvoryPace\Practice\DuePractices;
use IvoryPace\Practice\DueSlot;
use IvoryPace\Practice\PracticeRecord;
use IvoryPace\Practice\SlotCredit;
use stdClass;

/**
 * Enters what a patient ticked on the printed sheet. Each tick is a practice in full at one of that day's times that has
 * none yet; without ratings, which never count as good, and marked as paper. A stop
 * that was noted there acts as any other.
 */
final class EnterFromPaper
{
    private const MOST_A_DAY = 50;

    public function __construct(private readonly PauseAfterStop $pause)
    {
    }

    /**
     * @param  list<array{day: string, lineage: string, done: int, stop: StopSymptom|null}>  $ticks
     * @return int practices entered
     *
     * @throws ValidationException when one cannot be: then none is
     */
    public function __invoke(Patient $patient, array $ticks): int
    {
        return DB::transaction(function () use ($patient, $ticks) {
            $patient = Patient::query()->lockForUpdate()->findOrFail($patient->id);
            $programme = $patient->activeProgramme()->with('versions.items')->first() ?? $this->refuse('No programme is running.');
            $entered = 0;
            foreach ($ticks as $tick) {
                $entered += $this->day($patient, $programme, $tick);
            }

            return $entered;
        });
    }

    /** @param  array{day: string, lineage: string, done: int, stop: StopSymptom|null}  $tick */
    private function day(Patient $patient, Programme $programme, array $tick): int
    {
        $now = CarbonImmutable::now();
        try {
            $day = PatientDay::of($tick['day']);
        } catch (InvalidValue $problem) {
            $this->refuse($problem->getMessage(), $tick);
        }
        $today = $patient->dayOf($now);
        $when = CarbonImmutable::parse($day->date)->format('D j M');
        if ($day->isAfter($today) || $day->daysUntil($today) >= PaperGrid::DAYS) {
            $this->refuse("$when is not among the last ".PaperGrid::DAYS.' days.', $tick);
        }
        $version = $programme->versionOn($day);
        $row = $version?->items->firstWhere('lineage', $tick['lineage']);
        $slots = (new DuePractices($programme->history(), $patient->clock()))->ofItem($day, $tick['lineage']);
        if ($version === null || $row === null || $slots === []) {
            $this->refuse("Nothing of this exercise was planned for $when.", $tick);
        }
        $free = array_values(
            array_filter(
                SlotCredit::free($slots, $this->known($patient, $day, $tick['lineage'])), fn (DueSlot $slot) => $slot->opensAt <= $now,
            ),
        );
        if ($tick['done'] > count($free)) {
            $this->refuse(
                "{$row->item()->name()}, $when: ".(
                    count($free) === 0
                        ? 'every practice of that day is entered already.'
                        : 'only '.count($free).' of that day '.(count($free) === 1 ? 'is' : 'are').' without a practice.'
                ),
                $tick,
            );
        }
        $entered = array_slice($free, 0, $tick['done']);
        foreach ($entered as $index => $slot) {
            // The patient wrote a symptom to the day: it ended the last of its practices.
            $this->enter($patient, $version->id, $row, $slot, $now, $index === count($entered) - 1 ? $tick['stop'] : null);
        }

        return $tick['done'];
    }

    /** @return list<PracticeRecord> what is known of that exercise on that day */
    private function known(Patient $patient, PatientDay $day, string $lineage): array
    {
        $clock = $patient->clock();

        return array_values(DB::table('practices')->where('patient_id', $patient->id)->whereNull('struck_at')->where('lineage', $lineage)
            ->where('started_at', '>=', $clock->startsAt($day))->where('started_at', '<', $clock->endsAt($day))->orderBy('started_at')
            ->limit(self::MOST_A_DAY)->get(PracticeOnFile::COLUMNS)
            ->map(fn (stdClass $row) => PracticeOnFile::read($row, $clock)->record)->all());
    }

    private function enter(
        Patient $patient,
        int $version,
        ProgrammeItem $row,
        DueSlot $slot,
        CarbonImmutable $now,
        ?StopSymptom $stop,
    ): void {
        $item = $row->item();
        $seconds = (int) round($item->seconds());
        $start = CarbonImmutable::instance($slot->opensAt)->utc();
        $practice = Practice::query()->create([
            'uuid' => (string) Str::uuid(), 'patient_id' => $patient->id, 'programme_version_id' => $version, 'lineage' => $row->lineage,
            'anchor' => $slot->anchor,
            'started_at' => $start, 'ended_at' => $start->addSeconds($seconds)->min($now->max($start)), 'received_at' => $now,
            'source' => Practice::PAPER,
            'breaths_done' => $stop === null ? $item->countedBreaths() : 0, 'breaths_prescribed' => $item->countedBreaths(),
            'seconds_done' => $stop === null ? $seconds : 0, 'seconds_prescribed' => $seconds,
            'stop_class' => $stop?->stopClass(), 'stop_symptom' => $stop,
        ]);
        ($this->pause)($patient, $practice, $row);
    }

    /** @param  array{day: string, lineage: string}|null  $tick  where it stands in the grid */
    private function refuse(string $message, ?array $tick = null): never
    {
        throw ValidationException::withMessages([$tick === null ? 'paper' : "paper {$tick['day']} {$tick['lineage']}" => $message]);
    }
}
