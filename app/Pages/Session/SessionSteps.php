<?php

declare(strict_types=1);

namespace App\Pages\Session;

use App\Facts\DiaryOf;
use App\Facts\EvidenceOf;
use App\Facts\OnFile;
use App\Facts\PracticeOnFile;
use App\Facts\ProposalOf;
use App\Facts\ReachOf;
use App\Models\CareSession;
use App\Models\Patient;
use App\Models\Pause;
use App\Models\ProgrammeItem;
use App\Pages\Measure\MeasureDesk;
use App\Pages\Shared\ToTry;
use Carbon\CarbonImmutable;
use DateTimeZone;
use IvoryPace\Exercise\Ladder\Reach;
use IvoryPace\Programme\Goal;
use IvoryPace\Programme\Item;
use IvoryPace\Progress\GoalMeasure;
use IvoryPace\Progress\Proposal\Decision;
use IvoryPace\Progress\Proposal\RoutineStepped;
use IvoryPace\Progress\Proposal\StepTaken;
use IvoryPace\Session\Step;

/** What each step of a session shows. */
final class SessionSteps
{
    private const REMARKS = 20;

    /** @return array<string, mixed> */
    public static function of(Patient $patient, CareSession $session, Step $step, CarbonImmutable $now): array
    {
        $patient->loadMissing(
            'latestScreening.answers', 'latestScreening.practitioner', 'openRedFlags', 'activeProgramme.versions.items',
            'activeProgramme.versions.practitioner',
        );

        return match ($step) {
            Step::Brief => self::brief($patient, $session, $now),
            Step::CatchUp => self::catchUp($patient, $session, $now),
            Step::Measure => MeasureDesk::of($patient),
            Step::Teach => ['choices' => ToTry::of($patient)],
            Step::Decide => self::decide($patient, $now),
            Step::Prescribe => [],
            Step::HandOver => HandOverOf::session($patient, $session, $now),
            Step::Note => SessionNoteOf::session($patient, $session),
        };
    }

    /** @return array<string, mixed> */
    private static function brief(Patient $patient, CareSession $session, CarbonImmutable $now): array
    {
        $brief = BriefOf::patient($patient, $session, $now);
        $last = BriefOf::before($patient, $session);

        return [
            'lines' => $brief->lines, 'questions' => $brief->questions,
            'last' => $last === null ? null : [
                'id' => $last->id, 'number' => $last->number,
                'on' => $last->begun_at->setTimezone($patient->clinic->time_zone)->format('j M Y'),
                'note' => BriefOf::lastNote($last)?->text,
            ],
            'goal' => self::goal($patient),
        ];
    }

    /** @return array{words: string, summary: string}|null */
    private static function goal(Patient $patient): ?array
    {
        $goal = Goal::read($patient->activeProgramme?->latestVersion()->goal ?? [])[0];

        return $goal === null ? null : ['words' => $goal->words, 'summary' => GoalMeasure::inWords($goal)];
    }

    /** @return array<string, mixed> */
    private static function catchUp(Patient $patient, CareSession $session, CarbonImmutable $now): array
    {
        $evidence = EvidenceOf::on(OnFile::patient($patient, $now));
        $time = fn (PracticeOnFile $practice) => $practice->record->startedAt->setTimezone(
            new DateTimeZone($patient->time_zone),
        )->format('j M H:i');
        $since = BriefOf::before($patient, $session)?->begun_at;
        $practices = collect($evidence === null ? [] : array_reverse($evidence->practices));

        return [
            'exercises' => $evidence === null
                ? []
                : array_map(
                    fn (ProgrammeItem $row) => [
                        'name' => $row->item()->name(), 'lines' => $evidence->ofItem($row)->lines($evidence->since($row)),
                    ],
                    self::rows($patient),
                ),
            'stops' => $practices->filter(fn (PracticeOnFile $practice) => $practice->stopClass !== null)->take(10)
                ->map(
                    fn (PracticeOnFile $practice) => [
                        'on' => $time($practice), 'symptom' => $practice->stopSymptom?->label() ?? 'no symptom',
                        'remark' => $practice->remark() === '' ? null : $practice->remark(),
                    ],
                )->values(),
            'remarks' => $practices->filter(
                fn (PracticeOnFile $practice) => ($since === null || $practice->record->startedAt >= $since) && $practice->remark() !== '',
            )->take(self::REMARKS)
                ->map(fn (PracticeOnFile $practice) => ['on' => $time($practice), 'text' => $practice->remark()])->values(),
            'diary' => DiaryOf::patient($patient, $now),
            'screened' => $patient->latestScreening === null ? null : [
                'on' => $patient->latestScreening->completed_at->setTimezone($patient->clinic->time_zone)->format('j M Y'),
                'by' => $patient->latestScreening->practitioner->name,
                'today' => $patient->latestScreening->completed_at >= $session->begun_at->setTimezone($patient->clinic->time_zone)
                    ->startOfDay(),
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function decide(Patient $patient, CarbonImmutable $now): array
    {
        $file = OnFile::patient($patient, $now);
        $evidence = EvidenceOf::on($file);
        $proposals = $evidence === null ? null : ProposalOf::on($file, $evidence);

        return [
            'decisions' => array_map(
                fn (Decision $decision) => ['value' => $decision->value, 'label' => $decision->label()], Decision::offered(),
            ),
            'items' => $evidence === null ? [] : array_map(fn (ProgrammeItem $row) => [
                'lineage' => $row->lineage, 'name' => $row->item()->name(), 'summary' => $row->item()->summary(),
                'as_needed' => $row->item()->asNeeded !== null,
                'since' => CarbonImmutable::parse($evidence->changedOn($row)->date)->format('j M'),
                'lines' => $evidence->ofItem($row)->lines($evidence->since($row)),
                'paused' => self::pausedSince($row, $file),
                'next' => self::nextRung($row->item(), ReachOf::on($file)->reach),
                'proposal' => ($proposal = $proposals?->item($row)) === null
                    ? null
                    : [
                        'kind' => $proposal->kind->value, 'label' => $proposal->kind->label(), 'because' => $proposal->because,
                        'rule' => $proposal->kind->rule(),
                    ],
            ], self::rows($patient)),
        ];
    }

    private static function pausedSince(ProgrammeItem $row, OnFile $file): ?string
    {
        return $file->pauses->whereNull('until_at')->first(fn (Pause $pause) => $pause->concerns($row->lineage, $row->likeness()))
            ?->from_at->setTimezone($file->patient->time_zone)->format('j M H:i');
    }

    /** What the ladder would ask next; null at its top, and where it would lead too far. */
    private static function nextRung(Item $item, Reach $reach): ?string
    {
        return $item->routine === null
            ? StepTaken::nextRung($item, $reach)?->change()
            : RoutineStepped::up($item, $reach)?->change();
    }

    /** @return list<ProgrammeItem> of the latest version */
    private static function rows(Patient $patient): array
    {
        return array_values($patient->activeProgramme?->latestVersion()?->items->all() ?? []);
    }
}
