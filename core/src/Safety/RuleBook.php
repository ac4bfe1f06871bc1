<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Programme\Draft;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\ItemFields;
use IvoryPace\Safety\Rules\ActiveExhale;
use IvoryPace\Safety\Rules\BodyScan;
use IvoryPace\Safety\Rules\ComfortLimit;
use IvoryPace\Safety\Rules\CompleteExhale;
use IvoryPace\Safety\Rules\EyesClosed;
use IvoryPace\Safety\Rules\FlatLowBack;
use IvoryPace\Safety\Rules\FloorOrForward;
use IvoryPace\Safety\Rules\FourSevenEightBreaths;
use IvoryPace\Safety\Rules\FullSizeBreaths;
use IvoryPace\Safety\Rules\HoldLong;
use IvoryPace\Safety\Rules\HoldModerate;
use IvoryPace\Safety\Rules\Humming;
use IvoryPace\Safety\Rules\InhaleAtStart;
use IvoryPace\Safety\Rules\LyingFlat;
use IvoryPace\Safety\Rules\MinutesADay;
use IvoryPace\Safety\Rules\NeckMoves;
use IvoryPace\Safety\Rules\NostrilClosing;
use IvoryPace\Safety\Rules\ProneNeck;
use IvoryPace\Safety\Rules\ProneSurgery;
use IvoryPace\Safety\Rules\RecoveryMissing;
use IvoryPace\Safety\Rules\Retention;
use IvoryPace\Safety\Rules\SlowPace;
use IvoryPace\Safety\Rules\TwoAxes;
use IvoryPace\Safety\Rules\WeightOnBelly;

/** All rules, and what they say together. */
final class RuleBook
{
    /** Rules that look at the programme rather than at one exercise. */
    private const OF_THE_WHOLE = ['RECOVERY-MISSING', 'MINUTES-A-DAY'];

    /**
     * The findings that look at the programme rather than at one exercise.
     *
     * @param  list<Item>  $others
     * @return list<Finding>
     */
    public static function ofTheWhole(Item $item, PatientFacts $patient, array $others): array
    {
        return array_values(array_filter(array_map(
            fn (Rule $rule) => self::concernsTheWhole($rule->id()) ? $rule->check($item, $patient, $others) : null, self::rules(),
        )));
    }

    /** True when a rule looks at the programme rather than at one exercise. */
    public static function concernsTheWhole(string $rule): bool
    {
        return in_array($rule, self::OF_THE_WHOLE, true);
    }

    /** @return list<Rule> */
    public static function rules(): array
    {
        return [
            new Retention, new HoldLong, new ActiveExhale, new ProneSurgery, new WeightOnBelly, new ProneNeck, new HoldModerate, new ComfortLimit, new FourSevenEightBreaths,
            new FullSizeBreaths, new CompleteExhale, new LyingFlat, new FloorOrForward, new InhaleAtStart,
            new NostrilClosing, new Humming, new BodyScan, new EyesClosed, new NeckMoves, new SlowPace, new RecoveryMissing, new FlatLowBack, new MinutesADay, new TwoAxes,
        ];
    }

    /**
     * The findings for one exercise, gravest first. Only changes that clear their finding and raise no graver one are
     * offered.
     *
     * @param  list<Item>  $others  the other exercises of the programme
     * @param  bool  $ofTheWhole  also by the rules that look at the programme
     * @return list<Finding>
     */
    public static function check(Item $item, PatientFacts $patient, array $others = [], bool $ofTheWhole = true): array
    {
        if ($item->routine !== null) {
            return RoutineFindings::of($item, $item->routine, $patient, $others, $ofTheWhole);
        }
        $findings = self::findings($item, $patient, $others, $ofTheWhole);
        $draft = new Draft($item, [], ItemFields::write($item));

        return array_map(fn (Finding $finding) => $finding->offering(array_values(array_filter(
            $finding->changes,
            fn (Change $change) => self::helps($change, $finding, $findings, $draft, $item->lineage, $patient, $others),
        ))), $findings);
    }

    /**
     * The findings for a whole programme, by exercise. What concerns the programme as a whole stands with the first one.
     *
     * @param  list<Item>  $items
     * @param  array<string, Prescription>  $inForce  by lineage: the exercises as they are prescribed now
     * @return array<string, list<Finding>> by lineage
     */
    public static function checkProgramme(array $items, PatientFacts $patient, array $inForce = []): array
    {
        $byItem = [];
        foreach ($items as $index => $item) {
            $others = array_values(array_filter($items, fn (Item $each) => $each !== $item));
            $byItem[$item->lineage] = self::check($item, $patient->comparedWith($inForce[$item->lineage] ?? null), $others, $index === 0);
        }

        return $byItem;
    }

    /**
     * The findings for one exercise with every change that might help, tried or not.
     *
     * @param  list<Item>  $others
     * @return list<Finding> gravest first
     */
    public static function findings(Item $item, PatientFacts $patient, array $others = [], bool $ofTheWhole = true): array
    {
        $findings = array_values(array_filter(array_map(
            fn (Rule $rule) => $ofTheWhole || ! self::concernsTheWhole($rule->id()) ? $rule->check($item, $patient, $others) : null, self::rules(),
        )));
        usort($findings, fn (Finding $a, Finding $b) => $b->level->rank() <=> $a->level->rank());

        return $findings;
    }

    /**
     * @param  list<Finding>  $present
     * @param  list<Item>  $others
     */
    private static function helps(
        Change $change, Finding $finding, array $present, Draft $draft, string $lineage, PatientFacts $patient, array $others,
    ): bool {
        $changed = $change->set === [] ? $draft->item : $draft->with($change->set, $lineage)->item;
        $added = $change->add === null ? null : DraftReader::read($change->add, 'added')->item;
        if ($changed === null || ($change->add !== null && $added === null)) {
            return false;
        }
        $known = array_map(fn (Finding $each) => $each->rule, $present);
        $with = $added === null ? $others : [...$others, $added];
        foreach (self::rules() as $rule) {
            $mayNotFire = $rule->id() === $finding->rule
                || ($rule->level()->rank() > $finding->level->rank() && ! in_array($rule->id(), $known, true));
            if ($mayNotFire && $rule->check($changed, $patient, $with) !== null) {
                return false;
            }
        }

        return true;
    }
}
