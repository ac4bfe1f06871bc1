<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Programme\Draft;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\ItemFields;
use IvoryPace\Safety\Offers\OtherTechnique;
use IvoryPace\Safety\Rules\Attending;
use IvoryPace\Safety\Rules\ComfortLimit;
use IvoryPace\Safety\Rules\Exhaling;
use IvoryPace\Safety\Rules\FlatLowBack;
use IvoryPace\Safety\Rules\FourSevenEightBreaths;
use IvoryPace\Safety\Rules\FullSizeBreaths;
use IvoryPace\Safety\Rules\Holding;
use IvoryPace\Safety\Rules\InhaleAtStart;
use IvoryPace\Safety\Rules\MinutesADay;
use IvoryPace\Safety\Rules\Placing;
use IvoryPace\Safety\Rules\RecoveryMissing;
use IvoryPace\Safety\Rules\SaturationFallen;
use IvoryPace\Safety\Rules\Sizing;
use IvoryPace\Safety\Rules\SlowPace;
use IvoryPace\Safety\Rules\Touching;
use IvoryPace\Safety\Rules\TwoAxes;

/** All rules, and what they say together. */
final class RuleBook
{
    /** Rules that look at the programme rather than at one exercise. */
    private const OF_THE_WHOLE = ['RECOVERY-MISSING', 'MINUTES-A-DAY'];

    /** @var array<string, Rule>|null rules never change */
    private static ?array $rules = null;

    /** @return array<string, Rule> by id; within a level, findings come in this order */
    public static function rules(): array
    {
        if (self::$rules === null) {
            $all = [
                ...Holding::rules(), new SaturationFallen, ...Exhaling::rules(), ...Placing::rules(), new ComfortLimit,
                new FourSevenEightBreaths, new FullSizeBreaths, ...Sizing::rules(),
                new InhaleAtStart, ...Touching::rules(), ...Attending::rules(), new SlowPace, new RecoveryMissing, new FlatLowBack,
                new MinutesADay, new TwoAxes,
            ];
            self::$rules = array_combine(array_map(fn (Rule $rule) => $rule->id(), $all), $all);
        }

        return self::$rules;
    }

    /** True when a rule looks at the programme rather than at one exercise. */
    public static function concernsTheWhole(string $rule): bool
    {
        return in_array($rule, self::OF_THE_WHOLE, true);
    }

    /**
     * The findings for one exercise, gravest first, each with the changes that help.
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
        if ($findings === []) {
            return [];
        }
        $look = new Look($item, $patient, $others);
        $draft = new Draft($item, [], ItemFields::write($item));

        return array_map(fn (Finding $finding) => $finding->offering(self::helpful($finding, $findings, $draft, $look)), $findings);
    }

    /**
     * The findings that look at the programme rather than at one exercise, with changes that are not tried.
     *
     * @param  list<Item>  $others
     * @return list<Finding>
     */
    public static function ofTheWhole(Item $item, PatientFacts $patient, array $others): array
    {
        $look = new Look($item, $patient, $others);
        $findings = array_filter(array_map(fn (string $rule) => self::rules()[$rule]->check($look), self::OF_THE_WHOLE));

        return array_values(
            array_map(fn (Finding $finding) => $finding->offering(self::rules()[$finding->rule]->changes($look, $finding)), $findings),
        );
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
     * The findings for one exercise without any changes.
     *
     * @param  list<Item>  $others
     * @return list<Finding> gravest first
     */
    public static function findings(Item $item, PatientFacts $patient, array $others = [], bool $ofTheWhole = true): array
    {
        if ($item->routine !== null) {
            return RoutineFindings::plain($item, $item->routine, $patient, $others, $ofTheWhole);
        }
        $look = new Look($item, $patient, $others);
        $findings = [];
        foreach (self::rules() as $id => $rule) {
            $finding = $ofTheWhole || ! self::concernsTheWhole($id) ? $rule->check($look) : null;
            if ($finding !== null) {
                $findings[] = $finding;
            }
        }
        usort($findings, fn (Finding $a, Finding $b) => $b->level->rank() <=> $a->level->rank());

        return $findings;
    }

    /**
     * Changes that clear a finding (or, of a plain note, ease it) and raise no graver one. Those after which something
     * else has to be looked at come last, and say so.
     *
     * @param  list<Finding>  $present
     * @return list<Change>
     */
    private static function helpful(Finding $finding, array $present, Draft $draft, Look $look): array
    {
        $before = [];
        foreach ($present as $each) {
            $before[$each->rule] = $each;
        }
        $offered = self::tried(self::rules()[$finding->rule]->changes($look, $finding), $finding, $before, $draft, $look);

        // Where nothing of its own helps, the gentlest exercise there is, in whatever position suits.
        return $offered !== [] || $finding->level === Level::Note ? $offered : self::tried(array_map(
            fn (Position $position) => OtherTechnique::to(
                'diaphragmatic', $look->item, 'diaphragmatic breathing, '.$position->label(), ['position' => $position->value],
            ),
            Catalogue::get('diaphragmatic')->positions,
        ), $finding, $before, $draft, $look);
    }

    /**
     * @param  list<Change>  $changes
     * @param  array<string, Finding>  $before  by rule
     * @return list<Change>
     */
    private static function tried(array $changes, Finding $finding, array $before, Draft $draft, Look $look): array
    {
        $clean = [];
        $thenSomething = [];
        $seen = [];
        foreach ($changes as $change) {
            $after = isset($seen[$change->label]) ? null : self::after($change, $draft, $look, self::concernsTheWhole($finding->rule));
            $seen[$change->label] = true;
            $stays = $after === null || (isset($after[$finding->rule]) && ! $change->onlyEases);
            if ($stays) {
                continue;
            }
            $others = array_filter($after, fn (Finding $each) => $each->rule !== $finding->rule && $each->level !== Level::Note);
            $raised = array_filter($others, fn (Finding $each) => $each->isWorseThan($before[$each->rule] ?? null));
            if (array_filter($raised, fn (Finding $each) => $each->level->rank() > $finding->level->rank()) !== []) {
                continue;
            }
            // What else is said of the very thing that was changed stays to be looked at, new or not.
            $first = [...$raised, ...array_filter($others, fn (Finding $each) => $each->field === $finding->field)];
            if ($first === []) {
                $clean[] = $change;
            } else {
                $first = $first[array_key_first($first)];
                $thenSomething[] = new Change("$change->label (then: ".lcfirst($first->title).')', $change->set, $change->add);
            }
        }

        return [...$clean, ...$thenSomething];
    }

    /**
     * @param  bool  $ofTheWhole  what looks at the programme says no more than a note, and is asked only for changes of its own
     * @return array<string, Finding>|null by rule: what is said once it is changed; null when it cannot be
     */
    private static function after(Change $change, Draft $draft, Look $look, bool $ofTheWhole): ?array
    {
        $changed = $change->set === [] ? $draft->item : $draft->with($change->set, $look->item->lineage)->item;
        $added = $change->add === null ? null : DraftReader::read($change->add, 'added')->item;
        if ($changed === null || ($change->add !== null && $added === null)) {
            return null;
        }
        $findings = [];
        foreach (
            self::findings($changed, $look->patient, $added === null ? $look->others : [...$look->others, $added], $ofTheWhole) as $finding
        ) {
            $findings[$finding->rule] = $finding;
        }

        return $findings;
    }
}
