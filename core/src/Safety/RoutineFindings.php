<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use IvoryPace\Breath\Counts;
use IvoryPace\Breath\Phase;
use IvoryPace\Breath\Ventilation;
use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Effort;
use IvoryPace\Exercise\Routine\Routine;
use IvoryPace\Exercise\Routine\RoutineFields;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Rules\Sizing;

/** What the rules say of a routine: of each of its exercises, with changes that change its step. */
final class RoutineFindings
{
    private const OVER_BREATHING = 'OVER-BREATHING';

    /**
     * @param  list<Item>  $others
     * @return list<Finding> gravest first, each rule once, with every step that it speaks of
     */
    public static function of(Item $item, Routine $routine, PatientFacts $patient, array $others, bool $ofTheWhole): array
    {
        $ofStep = fn (Item $step) => RuleBook::check($step, $patient, [], false);
        $whole = array_map(
            // How often it is practised can be changed; how long it is follows from its steps.
            fn (Finding $finding) => $finding->offering(
                array_values(
                    array_filter(
                        $finding->changes, fn (Change $change) => $change->add !== null || array_keys($change->set) === ['times_a_day'],
                    ),
                ),
            ),
            $ofTheWhole ? RuleBook::ofTheWhole($item, $patient, $others) : [],
        );

        return self::sorted([...self::bySteps($item, $routine, $ofStep), ...$whole]);
    }

    /**
     * The same without any changes.
     *
     * @param  list<Item>  $others
     * @return list<Finding> gravest first
     */
    public static function plain(Item $item, Routine $routine, PatientFacts $patient, array $others, bool $ofTheWhole): array
    {
        $ofStep = fn (Item $step) => RuleBook::findings($step, $patient, [], false);

        return self::sorted(
            [...self::bySteps($item, $routine, $ofStep), ...($ofTheWhole ? RuleBook::ofTheWhole($item, $patient, $others) : [])],
        );
    }

    /**
     * @param  callable(Item): list<Finding>  $ofStep
     * @return list<Finding>
     */
    private static function bySteps(Item $item, Routine $routine, callable $ofStep): array
    {
        $steps = RoutineFields::write($routine)['steps'];
        $byRule = [];
        foreach ($routine->steps as $index => $step) {
            $goesOn = $index < count($routine->steps) - 1;
            foreach ($step->prescription === null ? [] : $ofStep($item->ofStep($step->prescription, $goesOn)) as $finding) {
                $byRule[$finding->rule][$index] = $finding;
            }
        }
        $found = array_map(fn (array $ofSteps) => self::together($ofSteps, $routine, $steps), $byRule);
        $inARow = self::overBreathing($routine, $steps);
        if (
            $inARow !== null
                && $inARow->level->rank() > (isset($found[self::OVER_BREATHING]) ? $found[self::OVER_BREATHING]->level->rank() : 0)
        ) {
            $found[self::OVER_BREATHING] = $inARow;
        }

        return array_values($found);
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<Finding> gravest first
     */
    private static function sorted(array $findings): array
    {
        usort($findings, fn (Finding $a, Finding $b) => $b->level->rank() <=> $a->level->rank());

        return $findings;
    }

    /**
     * One finding for all the steps that a rule speaks of, so that none is hidden behind another. It is as grave as the
     * gravest of them.
     *
     * @param  non-empty-array<int, Finding>  $ofSteps  by place of the step
     * @param  list<array<string, mixed>>  $steps
     */
    private static function together(array $ofSteps, Routine $routine, array $steps): Finding
    {
        $first = array_key_first($ofSteps);
        $one = $ofSteps[$first];
        $level = $one->level;
        $cause = new Cause;
        $messages = [];
        foreach ($ofSteps as $index => $finding) {
            $level = $finding->level->rank() > $level->rank() ? $finding->level : $level;
            $cause = $cause->and($finding->cause->inStep($index + 1));
            $messages[] = 'Step '.($index + 1).", {$routine->steps[$index]->label()}: {$finding->message}";
        }
        $changes = count($ofSteps) === 1
            ? array_map(fn (Change $change) => self::ofSteps([$first => $change], $steps), $one->changes)
            : self::forAll($ofSteps, $steps);

        return new Finding($one->rule, $level, $one->title, implode(' ', $messages), "steps.$first", $cause, $changes, $one->basis);
    }

    /**
     * The first change of every step at once; nothing when a step offers none.
     *
     * @param  array<int, Finding>  $ofSteps
     * @param  list<array<string, mixed>>  $steps
     * @return list<Change>
     */
    private static function forAll(array $ofSteps, array $steps): array
    {
        $changes = array_filter(array_map(fn (Finding $finding) => $finding->changes[0] ?? null, $ofSteps));

        return count($changes) === count($ofSteps) ? [self::ofSteps($changes, $steps)] : [];
    }

    /**
     * @param  array<int, Change>  $changes  by place of the step
     * @param  list<array<string, mixed>>  $steps
     */
    private static function ofSteps(array $changes, array $steps): Change
    {
        $labels = [];
        foreach ($changes as $index => $change) {
            $steps[$index] = [...$steps[$index], ...$change->set];
            $labels[] = 'step '.($index + 1).": {$change->label}";
        }

        return new Change(implode('; ', $labels), ['steps' => $steps]);
    }

    /**
     * What steps amount to that follow each other without a minute of free breathing: each alone may be short enough.
     *
     * @param  list<array<string, mixed>>  $steps
     */
    private static function overBreathing(Routine $routine, array $steps): ?Finding
    {
        $all = new Ventilation([]);
        $changes = [];
        foreach ($routine->steps as $index => $step) {
            if ($step->prescription === null) {
                $all = $all->then(new Ventilation([['litres' => 0.0, 'seconds' => $step->seconds, 'breaths' => 0]]));

                continue;
            }
            $features = Features::of($step->prescription);
            $all = $all->then($features->ventilation());
            if ($features->mostVentilation() > Ventilation::TWICE_REST + 1e-9) {
                $withoutTopUp = $step->prescription->hasTopUp()
                    ? ['ratio' => $step->prescription->pattern?->with(Phase::TopUp, Counts::zero())->toString()]
                    : [];
                $changes[$index] = new Change('resting-size breaths', ['effort' => Effort::Gentle->value, ...$withoutTopUp]);
            }
        }
        $seen = $changes === [] ? null : Sizing::over($all);
        if ($seen === null || $seen->level === null) {
            return null;
        }
        $first = array_key_first($changes);

        return new Finding(
            self::OVER_BREATHING, $seen->level, 'More air than is needed',
            'Steps '.implode(' and ', array_map(fn (int $index) => $index + 1, array_keys($changes))).' in a row: '.$seen->text.'.',
            "steps.$first",
            new Cause([], $seen->numbers), [self::ofSteps($changes, $steps)],
        );
    }
}
