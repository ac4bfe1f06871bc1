<?php

declare(strict_types=1);

namespace App\Letters;

use App\Facts\AskedForms;
use App\Facts\Calendar\AppointmentsOf;
use App\Facts\Calendar\PausedNow;
use App\Facts\EvidenceOf;
use App\Facts\MeasureSheet;
use App\Facts\OnFile;
use App\Facts\PatientFactsOf;
use App\Facts\PracticeOnFile;
use App\Language\PlainWords;
use App\Models\Patient;
use App\Models\Programme;
use App\Models\ProgrammeItem;
use App\Models\RaisedRedFlag;
use Carbon\CarbonImmutable;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Letter\LetterFacts;
use IvoryPace\Letter\MeasuredTwice;
use IvoryPace\Numbers;
use IvoryPace\Progress\ThenNow;

/** What a letter may tell of a patient, from rows: of the running programme, or of the last that was closed. */
final readonly class LetterFactsOf
{
    private const MOST_CONCERNS = 10;

    private function __construct(
        public Patient $patient,
        public CarbonImmutable $now,
        public ?Programme $programme,
        public ?EvidenceOf $evidence,
    ) {
    }

    public static function patient(Patient $patient, CarbonImmutable $now): self
    {
        $patient->loadMissing('clinic', 'activeProgramme.versions.items');
        $programme = $patient->activeProgramme ?? $patient->lastClosedProgramme()->with('versions.items')->first();
        $closed = $programme?->closed_on === null ? null : $programme;
        // A closed one is read as it stood at the end of its last day.
        $at = $closed?->closed_on === null ? $now
            : CarbonImmutable::instance($patient->clock()->endsAt(PatientDay::of($closed->closed_on->format('Y-m-d'))))->subSecond()
                ->min($now);

        return new self(
            $patient, $now, $programme, $programme === null ? null : EvidenceOf::on(OnFile::patient($patient, $at, null, $closed)),
        );
    }

    public function facts(): LetterFacts
    {
        $patient = $this->patient;
        $version = $this->programme?->latestVersion();
        $closed = $this->programme?->closed_on !== null;
        $first = $this->programme?->history()->firstDay();
        $items = $version?->items;

        return new LetterFacts(
            name: $patient->name,
            born: $patient->birth_date->format('j M Y'),
            since: $this->firstSession()?->format('j M Y'),
            sessions: $patient->careSessions()->count(),
            conditions: PatientFactsOf::screened($patient->loadMissing('latestScreening.answers'), $this->now)->labels(),
            goal: trim((string) ($version->goal['words'] ?? '')),
            rated: trim($version->rated_symptom ?? ''),
            measures: $this->measures(),
            evidence: $first === null ? null : $this->evidence?->from($first),
            beforePractice: $this->beforePractice(),
            stops: $this->stops(),
            programme: $items === null ? []
                : array_values($items->map(fn (ProgrammeItem $row) => PlainWords::prescribed($row->item()))->all()),
            from: $version?->in_force_from->format('j M Y'),
            paused: $closed ? [] : $this->paused(),
            concerns: $this->concerns(),
            outcome: $this->programme?->outcome?->label(),
            outcomeNote: trim((string) $this->programme?->outcome_note),
            review: $closed ? null : $version?->review_on->format('j M Y'),
            appointment: AppointmentsOf::next($patient, $this->now)['words'] ?? null,
        );
    }

    /** @return list<MeasuredTwice> */
    private function measures(): array
    {
        $measures = [];
        foreach (MeasureSheet::of($this->patient) as $row) {
            if ($row['last'] !== null) {
                $print = fn (array $value): string => in_array($row['how'], ['hands', 'rhythm'], true)
                    ? (string) $value['words'] : trim(Numbers::print((float) $value['value'], 1)." {$row['unit']}");
                $measures[] = new MeasuredTwice(
                    (string) $row['label'], $print($row['last']), (string) $row['last']['on'],
                    $row['first'] === null ? null : $print($row['first']), $row['first']['on'] ?? null, (bool) $row['comparable'],
                );
            }
        }
        foreach (AskedForms::questionnaires($this->patient) as $form) {
            if ($form['last'] !== null && $form['last']['score'] !== null) {
                $then = ($form['first']['score'] ?? null) === null ? null : $form['first'];
                $print = fn (array $value): string => Numbers::print((float) $value['score'], 1)." of {$form['most']}"
                    .((string) $value['band'] === '' ? '' : " ({$value['band']})");
                $measures[] = new MeasuredTwice(
                    (string) $form['label'], $print($form['last']), (string) $form['last']['on'], $then === null ? null : $print($then),
                    $then['on'] ?? null, true, $form['change'],
                );
            }
        }

        return $measures;
    }

    /** Of the first rating of each day. */
    private function beforePractice(): ?ThenNow
    {
        $ratings = [];
        foreach ($this->evidence->practices ?? [] as $practice) {
            if ($practice->record->isCredited() && $practice->before !== null) {
                $ratings[$practice->day->date] ??= $practice->before;
            }
        }

        return ThenNow::of(array_values($ratings));
    }

    /** @return array<string, int> */
    private function stops(): array
    {
        return collect($this->evidence->practices ?? [])
            ->filter(fn (PracticeOnFile $practice) => $practice->record->isCredited() && $practice->isStoppedForSymptom())
            ->countBy(fn (PracticeOnFile $practice) => $practice->stopSymptom?->label() ?? 'a symptom')->sortDesc()->all();
    }

    /** @return list<string> */
    private function paused(): array
    {
        $lineages = $this->programme === null ? [] : PausedNow::lineages($this->patient, $this->programme, $this->now);
        $items = $this->programme?->latestVersion()->items ?? collect();

        return array_values(
            $items->whereIn('lineage', $lineages)->map(fn (ProgrammeItem $row) => $row->item()->name())->unique()->values()->all(),
        );
    }

    /** @return list<string> */
    private function concerns(): array
    {
        return array_values(
            $this->patient->openRedFlags()->limit(self::MOST_CONCERNS)->get()
                ->map(fn (RaisedRedFlag $raised) => $raised->label())->unique()->all(),
        );
    }

    /** In the clinic's time. */
    public function firstSession(): ?CarbonImmutable
    {
        return $this->patient->careSessions()->orderBy('begun_at')->first()?->begun_at
            ->setTimezone($this->patient->clinic->time_zone);
    }

    /** In the clinic's time. */
    public function nextAppointment(): ?CarbonImmutable
    {
        $next = AppointmentsOf::next($this->patient, $this->now);

        return $next === null ? null
            : CarbonImmutable::parse($next['starts_at'], 'UTC')->setTimezone($this->patient->clinic->time_zone);
    }
}
