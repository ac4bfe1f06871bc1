<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\AskedForm;
use App\Models\ChosenSymptom;
use App\Models\DiaryEntry;
use App\Models\Patient;
use App\Models\Practice;
use App\Models\ProgrammeItem;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use IvoryPace\Assessment\ChangeClass;
use IvoryPace\Assessment\Questionnaire;
use IvoryPace\Practice\PatientDay;
use IvoryPace\Programme\Goal;
use IvoryPace\Progress\Proposal\Proposal;
use IvoryPace\Progress\Proposal\ProposalFacts;
use IvoryPace\Progress\Proposal\ReliablyWorse;
use IvoryPace\Safety\PauseRules;

/** What the evidence proposes for each exercise of a patient, from rows. */
final class ProposalOf
{
    private const MOST_DAYS = 400;

    private ?string $getHelp;

    private ?string $worse;

    private int $goalDays;

    private function __construct(private readonly Patient $patient, private readonly EvidenceOf $evidence, private readonly PatientDay $today)
    {
        $programme = $patient->activeProgramme;
        $first = $programme?->history()->firstDay() ?? $today;
        $diary = $patient->diary()->where('day', '>=', $first->date)->orderBy('day')->limit(self::MOST_DAYS)->get();
        $symptoms = $patient->symptoms()->limit(ChosenSymptom::MOST)->get();
        $this->getHelp = $patient->pauses()->goingOn()->where('rule', PauseRules::GET_HELP)->with('practice')->first()?->practice?->stop_symptom?->label();
        $this->worse = $this->worseSymptom($diary, $symptoms, $first) ?? $this->worseQuestionnaire($first);
        $this->goalDays = $this->goalDays(Goal::read($programme?->latestVersion()->goal ?? [])[0], $diary, $symptoms);
    }

    public static function patient(Patient $patient, EvidenceOf $evidence, CarbonImmutable $now): self
    {
        return new self($patient, $evidence, $patient->dayOf($now));
    }

    /** Null for one that is used as needed: there is nothing to step. */
    public function item(ProgrammeItem $row): ?Proposal
    {
        $item = $row->item();
        if ($item->asNeeded !== null) {
            return null;
        }
        $from = $this->evidence->changedOn($row);
        $practices = $this->evidence->from($from)->where('lineage', $row->lineage);
        $rated = $practices->filter(fn (Practice $practice) => $practice->before !== null && $practice->after !== null);
        $next = $item->ladder()?->next();

        return Proposal::for(new ProposalFacts(
            getHelp: $this->getHelp,
            worse: $this->worse,
            days: max(0, $from->daysUntil($this->today)),
            practices: $practices->count(),
            stops: $practices->filter(fn (Practice $practice) => $practice->stop_class?->isSymptom() === true)->count(),
            efforts: array_values($practices->map(fn (Practice $practice) => $practice->effort)->filter(fn (?int $effort) => $effort !== null)->all()),
            smooth: array_values($practices->filter(fn (Practice $practice) => $practice->smooth !== null)->map(fn (Practice $practice) => $practice->smooth === 'yes')->all()),
            ratings: array_values($rated->map(fn (Practice $practice) => [(int) $practice->before, (int) $practice->after])->all()),
            adherence: $this->evidence->ofItem($row)->adherence(),
            goalDays: $this->goalDays,
            gateDays: $next === null ? 0 : $next->days,
            isAtCap: $next === null,
        ), $this->patient->clinic->thresholds());
    }

    /**
     * @param  Collection<int, DiaryEntry>  $diary
     * @param  Collection<int, ChosenSymptom>  $symptoms
     */
    private function worseSymptom(Collection $diary, Collection $symptoms, PatientDay $first): ?string
    {
        foreach ($symptoms as $symptom) {
            $ratings = [];
            foreach ($diary as $entry) {
                $rating = $entry->content['ratings'][$symptom->id] ?? null;
                if ($rating !== null) {
                    $ratings[$first->daysUntil(PatientDay::of($entry->day->format('Y-m-d')))] = (int) $rating;
                }
            }
            $worse = ReliablyWorse::of($ratings);
            if ($worse !== null) {
                return ucfirst($symptom->name)." is reliably worse: {$worse['then']} in the first rated week, {$worse['now']} in the last";
            }
        }

        return null;
    }

    private function worseQuestionnaire(PatientDay $first): ?string
    {
        $done = $this->patient->askedForms()->where('form', '!=', AskedForm::SCREENING)->whereNotNull('completed_at')->whereNotNull('score')
            ->where('completed_at', '>=', $this->patient->clock()->startsAt($first->plusDays(-30)))->orderBy('completed_at')->limit(200)->get()->groupBy('form');
        foreach (Questionnaire::all() as $questionnaire) {
            $forms = $done->get($questionnaire->key, new Collection);
            $then = $forms->first()?->score;
            $now = $forms->last()?->score;
            if ($forms->count() > 1 && $then !== null && $now !== null && $questionnaire->change($then, $now) === ChangeClass::Worse) {
                return "{$questionnaire->name} is reliably worse: $then at first, $now now";
            }
        }

        return null;
    }

    /**
     * Days, up to the latest rated one, on which the goal's measure was rated at its target without a day above it between.
     *
     * @param  Collection<int, DiaryEntry>  $diary
     * @param  Collection<int, ChosenSymptom>  $symptoms
     */
    private function goalDays(?Goal $goal, Collection $diary, Collection $symptoms): int
    {
        $symptom = $goal === null ? null : $symptoms->first(fn (ChosenSymptom $each) => mb_strtolower($each->name) === mb_strtolower($goal->measure));
        if ($goal === null || $symptom === null) {
            return 0;
        }
        $days = 0;
        foreach ($diary->reverse() as $entry) {
            $rating = $entry->content['ratings'][$symptom->id] ?? null;
            if ($rating === null) {
                continue;
            }
            if ($goal->atMost ? $rating > $goal->target : $rating < $goal->target) {
                break;
            }
            $days++;
        }

        return $days;
    }
}
