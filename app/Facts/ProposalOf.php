<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\AskedForm;
use App\Models\ChosenSymptom;
use App\Models\MadeDecision;
use App\Models\Pause;
use App\Models\ProgrammeItem;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use IvoryPace\Assessment\ChangeClass;
use IvoryPace\Assessment\Questionnaire;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Practice\Windows;
use IvoryPace\Programme\Goal;
use IvoryPace\Progress\GoalMeasure;
use IvoryPace\Progress\Proposal\Proposal;
use IvoryPace\Progress\Proposal\ProposalFacts;
use IvoryPace\Progress\Proposal\ProposalKind;
use IvoryPace\Progress\Proposal\ReliablyWorse;
use IvoryPace\Progress\Proposal\StepTaken;
use IvoryPace\Progress\Proposal\Worsening;
use IvoryPace\Safety\PauseRules;
use stdClass;

/** What the evidence proposes for each exercise of a patient, from rows. */
final class ProposalOf
{
    private ?string $getHelp;

    public readonly ?Worsening $worse;

    private int $goalDays;

    private ?ReachOf $reach = null;

    private function __construct(private readonly OnFile $file, private readonly EvidenceOf $evidence)
    {
        $this->getHelp = $file->pauses->first(
            fn (Pause $pause) => $pause->until_at === null && $pause->rule === PauseRules::GET_HELP,
        )?->practice?->stop_symptom?->label();
        $this->worse = $this->worseSymptom() ?? $this->worseQuestionnaire();
        $this->goalDays = $this->goalDays(Goal::read($file->programme?->latestVersion()->goal ?? [])[0]);
    }

    public static function on(OnFile $file, EvidenceOf $evidence): self
    {
        return new self($file, $evidence);
    }

    /** @return list<array{label: string, exercise: string, short: string}> what asks for a decision and has none that holds */
    public function waiting(): array
    {
        $waiting = [];
        foreach ($this->file->programme?->latestVersion()->items ?? [] as $row) {
            $proposal = $this->item($row);
            if ($proposal?->kind->asksForDecision() === true && ! $this->isDecided($row, $proposal->kind)) {
                $waiting[] = ['label' => $proposal->kind->label(), 'exercise' => $row->item()->name(), 'short' => $proposal->short];
            }
        }

        return $waiting;
    }

    /** A decision about the same proposal holds for a time; a version that is ahead has answered it too. */
    private function isDecided(ProgrammeItem $row, ProposalKind $kind): bool
    {
        return $this->file->decisions
            ->contains(fn (MadeDecision $decision) => $decision->lineage === $row->lineage && $decision->proposed === $kind
            && $this->file->patient->dayOf($decision->decided_at)->daysUntil($this->file->today) < Proposal::HOLDS_DAYS);
    }

    /** Null for one that is used as needed: there is nothing to step. */
    public function item(ProgrammeItem $row): ?Proposal
    {
        $item = $row->item();
        if ($item->asNeeded !== null) {
            return null;
        }
        $from = $this->evidence->windowOf($row);
        $practices = $this->evidence->practicesOf($row, $from);
        $pick = fn (callable $of): array => array_values(array_filter(array_map($of, $practices), fn (mixed $value) => $value !== null));
        $reach = $this->reach ??= ReachOf::on($this->file);
        $next = StepTaken::nextRung($item, $reach->reach);
        [$heldBackBy, $measuredDaysAgo] = $next === null ? $reach->inWords(StepTaken::heldBackBy($item, $reach->reach)) : ['', null];

        return Proposal::for(new ProposalFacts(
            getHelp: $this->getHelp,
            worse: $this->worse,
            days: max(0, $this->evidence->changedOn($row)->daysUntil($this->file->today)),
            practices: count($practices),
            stops: count(
                array_filter(
                    $this->evidence->practicesLike($row, $from), fn (PracticeOnFile $practice) => $practice->isStoppedForSymptom(),
                ),
            ),
            efforts: $pick(fn (PracticeOnFile $practice) => $practice->effort),
            smooth: $pick(fn (PracticeOnFile $practice) => $practice->smooth === null ? null : $practice->smooth === 'yes'),
            ratings: $pick(
                fn (PracticeOnFile $practice) => $practice->before === null || $practice->after === null
                    ? null
                    : [$practice->before, $practice->after],
            ),
            adherence: $this->evidence->adherence->ofItem($row->lineage, $from, $this->file->today)->fraction(),
            goalDays: $this->goalDays,
            gateDays: $next === null ? 0 : $next->days,
            isAtCap: $next === null,
            isMaintenance: $this->file->programme->is_maintenance ?? false,
            ratesSymptom: trim($this->file->programme?->latestVersion()->rated_symptom ?? '') !== '',
            slight: count(array_filter($practices, fn (PracticeOnFile $practice) => $practice->slight)),
            neededLately: $this->needed(0),
            neededBefore: $this->needed(Windows::LATELY_DAYS),
            daysSinceStop: $this->daysSinceStop(),
            heldBackBy: $heldBackBy,
            measuredDaysAgo: $measuredDaysAgo,
            calmDays: $next->calmDays ?? 0,
            daysSincePause: $this->daysSincePause($row),
            felt: $pick(fn (PracticeOnFile $practice) => $practice->felt),
        ), $this->file->patient->clinic->thresholds());
    }

    /** Uses as needed in the seven days that end so many days ago. */
    private function needed(int $daysAgo): int
    {
        $last = $this->file->today->plusDays(-$daysAgo);
        $first = $last->plusDays(1 - Windows::LATELY_DAYS);
        $lineages = [];
        foreach ($this->file->programme->versions ?? [] as $version) {
            foreach ($version->items as $row) {
                if ($row->item()->asNeeded !== null) {
                    $lineages[$row->lineage] = true;
                }
            }
        }

        return count(
            array_filter(
                $this->file->practices,
                fn (PracticeOnFile $practice) => isset(
                    $lineages[$practice->record->lineage]
                ) && ! $practice->day->isBefore($first) && ! $practice->day->isAfter($last),
            ),
        );
    }

    private function daysSincePause(ProgrammeItem $row): ?int
    {
        $since = null;
        foreach ($this->file->pauses as $pause) {
            if ($pause->concerns($row->lineage, $row->likeness())) {
                $days = $pause->until_at === null
                    ? 0 : max(0, $this->file->patient->dayOf($pause->until_at)->daysUntil($this->file->today));
                $since = min($since ?? $days, $days);
            }
        }

        return $since;
    }

    private function daysSinceStop(): ?int
    {
        $latest = null;
        foreach ($this->file->practices as $practice) {
            if ($practice->isStoppedForSymptom()) {
                $latest = $practice->day->daysUntil($this->file->today);
            }
        }

        return $latest;
    }

    private function worseSymptom(): ?Worsening
    {
        $first = $this->file->programme?->history()->firstDay() ?? $this->file->today;
        $rated = [];
        foreach ($this->file->symptoms as $symptom) {
            $rated[] = [$symptom->name, fn (DiaryOnFile $entry) => $entry->rating($symptom), false];
        }
        $rated[] = ['sleep', fn (DiaryOnFile $entry) => $entry->sleep, true];
        foreach ($rated as [$name, $of, $lessIsWorse]) {
            $ratings = [];
            foreach ($this->file->diary as $entry) {
                $rating = $of($entry);
                if ($rating !== null) {
                    $ratings[$first->daysUntil($entry->day)] = $rating;
                }
            }
            $worse = ReliablyWorse::of($ratings, $lessIsWorse);
            if ($worse !== null) {
                return Worsening::rating($name, $worse['then'], $worse['now'], $worse['over']);
            }
        }

        return null;
    }

    private function worseQuestionnaire(): ?Worsening
    {
        $first = $this->file->programme?->history()->firstDay();
        $from = $first === null ? null : $this->file->patient->clock()->startsAt($first->plusDays(-30));
        $done = $this->file->scored->filter(fn (AskedForm $form) => $from !== null && $form->completed_at >= $from)->groupBy('form');
        foreach (Questionnaire::all() as $questionnaire) {
            $forms = $done->get($questionnaire->key, new Collection);
            $then = $forms->first()?->score;
            $now = $forms->last()?->score;
            $own = $this->file->patient->clinic->reliabilities()->of($questionnaire);
            if (
                $forms->count() > 1 && $then !== null && $now !== null && $questionnaire->change($then, $now, $own) === ChangeClass::Worse
            ) {
                return Worsening::questionnaire($questionnaire->name, $then, $now);
            }
        }

        return null;
    }

    /** @return list<array{PatientDay, float}> values of the goal's measure since the programme began, in order */
    private function atGoal(): array
    {
        $first = $this->file->programme?->history()->firstDay() ?? $this->file->today;
        $values = array_map(fn (stdClass $row) => [
            $this->file->patient->dayOf(CarbonImmutable::parse((string) $row->at, 'UTC')), (float) $row->value,
        ], $this->file->atGoal);

        return array_values(array_filter($values, fn (array $value) => ! $value[0]->isBefore($first)));
    }

    /** The goal's measure is one of the symptoms of the diary, or one that is taken in the room. */
    private function goalDays(?Goal $goal): int
    {
        $symptom = $goal === null
            ? null
            : $this->file->symptoms->first(fn (ChosenSymptom $each) => mb_strtolower($each->name) === mb_strtolower($goal->measure));
        if ($goal === null) {
            return 0;
        }
        if ($symptom === null) {
            return GoalMeasure::of($goal) === null ? 0 : GoalMeasure::daysReached($goal, $this->atGoal(), $this->file->today);
        }

        return $goal->daysReached(array_map(fn (DiaryOnFile $entry) => $entry->rating($symptom), $this->file->diary));
    }
}
