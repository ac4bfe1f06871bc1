<?php

declare(strict_types=1);

namespace App\Facts\Caseload;

use App\Facts\DiaryOnFile;
use App\Facts\EvidenceOf;
use App\Facts\OnFile;
use App\Facts\PatientFactsOf;
use App\Facts\PracticeOnFile;
use App\Facts\ProposalOf;
use App\Facts\Safeguards;
use App\Models\NewFinding;
use App\Models\Pause;
use App\Models\ProgrammeItem;
use App\Models\RaisedRedFlag;
use Carbon\CarbonImmutable;
use IvoryPace\Assessment\EarlyWarning;
use IvoryPace\Assessment\Measure;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Health\Flag;
use IvoryPace\Practice\AdherenceResult;
use IvoryPace\Practice\DayTally;
use IvoryPace\Practice\DuePractices;
use IvoryPace\Practice\Stroke;
use IvoryPace\Practice\Windows;
use IvoryPace\Progress\CaseloadFacts;
use IvoryPace\Progress\CaseloadLine;
use IvoryPace\Progress\DailyLine;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PauseRules;

/** A patient's line of the caseload, from what is on file, and until when it holds if nothing happens. */
final class CaseloadLineOf
{
    /** Gaps are followed this far back. */
    private const LOOK_BACK_DAYS = 35;

    /**
     * @return array{line: array<string, mixed>, flags: int, urgency: int, since: CarbonImmutable|null, figures: array<string, mixed>,
     *     holds_until: CarbonImmutable}
     */
    public static function on(OnFile $file): array
    {
        $patient = $file->patient;
        $today = $file->today;
        $latest = $patient->activeProgramme?->latestVersion();
        $evidence = EvidenceOf::on($file);
        $proposals = $evidence === null ? null : ProposalOf::on($file, $evidence);
        $tally = $evidence?->adherence->ofProgramme($today->plusDays(1 - Windows::TALLY_DAYS), $today);
        $screened = PatientFactsOf::screened($patient, $file->now);
        $line = CaseloadLine::for(self::facts($file, $evidence, $proposals, $tally));

        return [
            'line' => [
                'id' => $patient->id,
                'name' => $patient->name,
                'born' => $patient->birth_date->format('Y-m-d'),
                'responsible' => $patient->practitioner_id,
                'flags' => $screened->labels(),
                'prescribed' => $latest?->items->map(fn (ProgrammeItem $item) => $item->item()->summary())->implode('; '),
                'reason' => $line->reason->value,
                'heading' => $line->reason->heading(),
                'number' => $line->number,
                'sentence' => $line->sentence,
                'tally' => implode(
                    ',',
                    array_map(
                        fn (DayTally $day) => implode('', array_map(fn (Stroke $stroke) => $stroke->letter(), $day->strokes)),
                        $tally->days ?? [],
                    ),
                ),
                'symptom' => self::symptom($file),
                'review_on' => $latest?->review_on->format('j M'),
            ],
            'flags' => CaseloadFilter::bits($screened->shown()),
            'urgency' => $line->reason->order(),
            'since' => $line->reason->isNewestFirst()
                ? $file->pauses->whereNull('until_at')->where('rule', PauseRules::GET_HELP)->max('from_at')
                : null,
            'figures' => OutcomeFigures::on($file, $evidence),
            'holds_until' => self::holdsUntil($file),
        ];
    }

    private static function facts(OnFile $file, ?EvidenceOf $evidence, ?ProposalOf $proposals, ?AdherenceResult $tally): CaseloadFacts
    {
        $patient = $file->patient;
        $latest = $patient->activeProgramme?->latestVersion();
        $back = $evidence?->adherence->ofProgramme($file->today->plusDays(-self::LOOK_BACK_DAYS), $file->today);
        $goingOn = $file->pauses->whereNull('until_at');
        $help = $goingOn->firstWhere('rule', PauseRules::GET_HELP);
        $paused = $goingOn->firstWhere('rule', PauseRules::TWICE_IN_THREE);
        $lookedAt = $file->pauses->filter(fn (Pause $pause) => $pause->wasLookedAt() && PauseRules::settlesStops($pause->rule))
            ->max('until_at');
        $lately = $file->today->plusDays(1 - Windows::LATELY_DAYS);
        $lookedAt = $lookedAt?->format('Y-m-d H:i:s');
        $stops = array_values(array_filter($file->practices, fn (PracticeOnFile $practice) => $practice->isStoppedForSymptom()
            && ! $practice->day->isBefore($lately) && ($lookedAt === null || $practice->receivedAt > $lookedAt)));
        $lastStop = end($stops);
        $endsOn = $latest?->ends_on === null ? null : PatientDay::of($latest->ends_on->format('Y-m-d'));
        $daysSince = fn (CarbonImmutable $then): int => max(0, $patient->dayOf($then)->daysUntil($file->today));

        return new CaseloadFacts(
            screened: $patient->latestScreening !== null,
            openRedFlags: Safeguards::openRedFlags($patient),
            daysSinceAdded: $daysSince($patient->created_at),
            hasProgramme: $latest !== null,
            getHelp: $help?->practice?->stop_symptom,
            pausedExercise: $paused === null ? null : $latest?->items->first(
                fn (ProgrammeItem $row) => $paused->concerns($row->lineage, $row->likeness()),
            )
                ?->item()->name(),
            stopsLately: count($stops),
            lastStop: ($lastStop === false ? null : $lastStop->stopSymptom) ?? $paused?->practice?->stop_symptom,
            presentGap: $back->presentGap ?? 0,
            adherence: $tally?->share(),
            dueLately: $tally->due ?? 0,
            creditLately: $tally->credit ?? 0.0,
            daysSinceAccess: $file->access === null ? null : $daysSince(CarbonImmutable::parse((string) $file->access->made, 'UTC')),
            accessUsed: (bool) ($file->access->used ?? false),
            reviewOverdue: $latest === null ? null : PatientDay::of($latest->review_on->format('Y-m-d'))->daysUntil($file->today),
            hasEnded: $endsOn !== null && $file->today->isAfter($endsOn),
            newFinding: self::gravest($file),
            screeningWaits: $file->screeningSentAt === null ? null : $daysSince($file->screeningSentAt),
            redFlagFromHome: $patient->openRedFlags->first()?->source === 'home',
            keptAside: (int) ($file->aside->waiting ?? 0),
            urgentAside: (bool) ($file->aside->urgent ?? false),
            redFlagAside: (bool) ($file->aside->red_flag ?? false),
            redFlagWaits: $patient->openRedFlags->isNotEmpty() && $patient->openRedFlags->every(
                fn (RaisedRedFlag $raised) => $raised->actions->isNotEmpty(),
            ),
            homeRate: self::homeRate($file),
            worse: $proposals?->worse,
            proposals: $proposals?->waiting() ?? [],
            outcome: $file->lastClosed?->outcome?->label(),
            isMaintenance: $patient->activeProgramme->is_maintenance ?? false,
            archivedOn: $patient->archived_at?->setTimezone($patient->clinic->time_zone)->format('j M Y'),
            lockedOut: (int) ($file->access->locked_out ?? 0),
        );
    }

    /** Until the day is over, or a window closes and what was open is missed. */
    private static function holdsUntil(OnFile $file): CarbonImmutable
    {
        $clock = $file->patient->clock();
        $turns = [$clock->endsAt($file->today)];
        $programme = $file->programme;
        foreach ($programme === null ? [] : (new DuePractices($programme->history(), $clock))->on($file->today) as $slot) {
            if ($slot->closesAt > $file->now) {
                $turns[] = $slot->closesAt;
            }
        }

        return CarbonImmutable::instance(min($turns))->utc();
    }

    /** @return array{rate: float, on: string}|null an urgent rate tapped at home, unless one was measured since */
    private static function homeRate(OnFile $file): ?array
    {
        $check = $file->homeCheck;
        if ($check === null || EarlyWarning::points(Measure::RestingRate, (float) $check->rate) !== EarlyWarning::SINGLE) {
            return null;
        }
        $at = CarbonImmutable::parse((string) $check->at, 'UTC');
        $measured = $file->measured[Measure::RestingRate->value] ?? null;

        return $measured !== null && CarbonImmutable::parse((string) $measured->at, 'UTC') >= $at ? null
            : ['rate' => (float) $check->rate, 'on' => $at->setTimezone($file->patient->time_zone)->format('j M')];
    }

    /** @return array{title: string, exercise: string, paused: bool}|null */
    private static function gravest(OnFile $file): ?array
    {
        // What is a plain note, like a flag that is over, stands on the Course.
        $first = $file->patient->newFindings->reject(fn (NewFinding $finding) => $finding->level === Level::Note)
            ->sortByDesc(fn (NewFinding $finding) => $finding->level->rank())->first();

        return $first === null
            ? null
            : ['title' => $first->title, 'exercise' => $first->exercise, 'paused' => $first->level === Level::NeedsReason];
    }

    /**
     * @return array{name: string, days: list<float|null>}|null the first chosen symptom by the diary; what is rated before practices where
     * there is none
     */
    private static function symptom(OnFile $file): ?array
    {
        $from = $file->today->plusDays(1 - Windows::TALLY_DAYS);
        foreach ($file->symptoms as $symptom) {
            $ratings = array_filter(
                array_map(
                    fn (DiaryOnFile $entry) => ($rating = $entry->rating($symptom)) === null ? null : [$entry->day->date, $rating],
                    $file->diary,
                ),
            );
            $days = DailyLine::of(array_values($ratings), $from, $file->today);
            if (array_filter($days, is_float(...)) !== []) {
                return ['name' => $symptom->name, 'days' => $days];
            }
        }
        $rated = $file->programme?->latestVersion()?->rated_symptom;
        $ratings = array_filter(
            array_map(
                fn (PracticeOnFile $practice) => $practice->before === null ? null : [$practice->day->date, $practice->before],
                $file->practices,
            ),
        );
        $days = DailyLine::of(array_values($ratings), $from, $file->today);

        return $rated === null || array_filter($days, is_float(...)) === [] ? null : ['name' => "$rated before practice", 'days' => $days];
    }
}
