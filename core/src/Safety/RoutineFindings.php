<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Routine\Routine;
use IvoryPace\Exercise\Routine\RoutineFields;
use IvoryPace\Programme\Item;

/** What the rules say of a routine: of each of its exercises, with changes that change its step. */
final class RoutineFindings
{
    /**
     * @param  list<Item>  $others
     * @return list<Finding> gravest first, each rule once, with every step that it speaks of
     */
    public static function of(Item $item, Routine $routine, PatientFacts $patient, array $others, bool $ofTheWhole): array
    {
        $steps = RoutineFields::write($routine)['steps'];
        $byRule = [];
        foreach ($routine->steps as $index => $step) {
            if ($step->prescription !== null) {
                foreach (RuleBook::check($item->ofStep($step->prescription), $patient, [], false) as $finding) {
                    $byRule[$finding->rule][$index] = $finding;
                }
            }
        }
        $found = array_map(fn (array $ofSteps) => self::together($ofSteps, $routine, $steps), $byRule);
        foreach ($ofTheWhole ? RuleBook::ofTheWhole($item, $patient, $others) : [] as $finding) {
            // How often it is practised can be changed; how long it is follows from its steps.
            $found[$finding->rule] = $finding->offering(array_values(array_filter(
                $finding->changes, fn (Change $change) => $change->add !== null || array_keys($change->set) === ['times_a_day'],
            )));
        }
        usort($found, fn (Finding $a, Finding $b) => $b->level->rank() <=> $a->level->rank());

        return $found;
    }

    /**
     * One finding for all the steps that a rule speaks of, so that none is hidden behind another.
     *
     * @param  non-empty-array<int, Finding>  $ofSteps  by place of the step
     * @param  list<array<string, mixed>>  $steps
     */
    private static function together(array $ofSteps, Routine $routine, array $steps): Finding
    {
        $first = array_key_first($ofSteps);
        $one = $ofSteps[$first];
        $messages = array_map(
            fn (int $index, Finding $finding) => 'Step '.($index + 1).", {$routine->steps[$index]->label()}: {$finding->message}", array_keys($ofSteps), $ofSteps,
        );
        $changes = count($ofSteps) === 1
            ? array_map(fn (Change $change) => self::ofSteps([$first => $change], $steps), $one->changes)
            : self::forAll($ofSteps, $steps);

        return new Finding($one->rule, $one->level, $one->title, implode(' ', $messages), "steps.$first", $changes, $one->basis);
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
}
