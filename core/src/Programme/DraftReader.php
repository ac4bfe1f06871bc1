<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Ladder\Ladder;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\PrescriptionReader;
use IvoryPace\Exercise\Routine\Routine;
use IvoryPace\Exercise\Routine\RoutineFields;
use IvoryPace\Exercise\School;
use IvoryPace\Exercise\Technique;
use IvoryPace\Fields;
use IvoryPace\InvalidValue;
use IvoryPace\Programme\Need\AsNeeded;
use IvoryPace\Programme\Need\Way;

/**
 * Reads what a prescriber typed for one item of a programme, field by field, and says beside each field what is wrong.
 *
 * Fields of an exercise: those of {@see PrescriptionReader}, ladder (list of set and days; null for the generated one),
 * short (fields over the prescribed ones). Of a routine: kind "routine", routine_name, steps. Of both: school, why, checks (what is
 * asked afterwards),
 * as_needed, use_when, daily_most, way, times_a_day, anchors (list of anchor, from, to, days). Missing fields take defaults.
 */
final class DraftReader
{
    /**
     * @param  array<string, mixed>  $input
     * @param  string  $lineage  of the item that is read
     */
    public static function read(array $input, string $lineage): Draft
    {
        $given = new Fields(['school' => School::GentleControl->value, ...array_filter($input, fn (mixed $value) => $value !== null)]);
        $school = $given->attempt('school', fn () => $given->choice(School::class, 'school')) ?? School::GentleControl;
        if (($input['kind'] ?? '') === 'routine') {
            [$routine, $errors] = self::routine($given);
            $prescription = $routine?->exercises()[0] ?? null;
            $values = ['kind' => 'routine', ...$given->input];
        } else {
            $routine = null;
            [$prescription, $errors, $values] = PrescriptionReader::read($input, $school);
        }
        if (isset($errors['technique']) && $routine === null && ($input['kind'] ?? '') !== 'routine') {
            return new Draft(null, [...$errors, ...$given->errors()], $values);
        }
        $values = [...self::dose($values), 'school' => $school->value];
        $fields = new Fields($values);
        $fields->add([...$errors, ...$given->errors()]);
        $asNeeded = null;
        $plan = null;
        if ($fields->isTrue('as_needed')) {
            $most = $fields->attempt('daily_most', fn () => $fields->whole('daily_most', 1, AsNeeded::MAX_A_DAY, 'practices a day'));
            $way = $fields->attempt('way', fn () => self::way($fields, $routine === null ? $prescription : null)) ?? Way::Led;
            $asNeeded = $fields->attempt('use_when', fn () => new AsNeeded($fields->text('use_when'), $most ?? 1, $way));
        } else {
            $times = $fields->attempt('times_a_day', fn () => $fields->whole('times_a_day', 1, WeekPlan::MAX_A_DAY, 'practices a day'));
            $usual = match (true) {
                $routine !== null => UsualAnchors::ofRoutine($routine),
                $prescription !== null => UsualAnchors::of($prescription->technique),
                default => [],
            };
            $plan = $times === null ? null : $fields->attempt('times_a_day', fn () => PlanFields::read($values['anchors'], $times, $usual));
            $values['anchors'] = $plan === null ? $values['anchors'] : PlanFields::write($plan);
        }
        $why = $fields->attempt('why', fn () => $fields->shortText('why', Item::MAX_WHY, 'The reason for the patient'));
        $short = match (true) {
            $routine !== null => self::shortSteps($fields),
            $prescription !== null => $fields->attempt('short', fn () => self::short($fields, $prescription)),
            default => null,
        };
        $ladder = $routine === null && $prescription !== null
            ? $fields->attempt('ladder', fn () => self::ladder($fields, $prescription, $school))
            : null;
        $checks = $prescription === null ? [] : self::checks($fields, $prescription);
        $isComplete = $prescription !== null && $fields->errors() === [];

        return new Draft(
            $isComplete ? new Item(
                $lineage, $prescription, $plan, $asNeeded, $school, $routine, (string) $why, $short, $ladder, checks: $checks,
            ) : null,
            $fields->errors(), $values,
        );
    }

    /**
     * The defaults of a technique as a draft.
     *
     * @return array<string, mixed>
     */
    public static function defaults(Technique $technique, School $school = School::GentleControl): array
    {
        return [...self::dose(PrescriptionReader::defaults($technique, $school)), 'school' => $school->value];
    }

    /** @return array{Routine|null, array<string, string>} */
    private static function routine(Fields $given): array
    {
        [$routine, $errors] = RoutineFields::read(['name' => $given->text('routine_name'), 'steps' => $given->list('steps')]);
        if (isset($errors['name'])) {
            $errors['routine_name'] = $errors['name'];
            unset($errors['name']);
        }

        return [$routine, $errors];
    }

    /** @return array<string, mixed>|null null for the technique's own */
    private static function short(Fields $fields, Prescription $prescription): ?array
    {
        /** @var array<string, mixed> $given */
        $given = $fields->list('short');
        if ($given === []) {
            return null;
        }
        PrescriptionReader::changed($prescription, $given);

        return $given;
    }

    /** @throws InvalidValue where it is done in no such way */
    private static function way(Fields $fields, ?Prescription $prescription): Way
    {
        $way = $fields->choice(Way::class, 'way');

        return $way->suits($prescription) ? $way : throw InvalidValue::because($way->refusal());
    }

    /** @return list<SelfCheck> those that are asked for and can be answered here */
    private static function checks(Fields $fields, Prescription $prescription): array
    {
        $given = array_filter(array_map(
            fn (mixed $check) => is_string($check) ? SelfCheck::tryFrom($check) : null, $fields->list('checks'),
        ));

        return array_values(array_unique(array_filter($given, fn (SelfCheck $check) => $check->suits($prescription)), SORT_REGULAR));
    }

    /** @return array{steps: list<int>}|null of a routine: the steps that are led on a bad day */
    private static function shortSteps(Fields $fields): ?array
    {
        $steps = $fields->list('short')['steps'] ?? null;
        $chosen = array_values(array_map(intval(...), array_filter(is_array($steps) ? $steps : [], is_numeric(...))));

        return $chosen === [] ? null : ['steps' => $chosen];
    }

    private static function ladder(Fields $fields, Prescription $prescription, School $school): ?Ladder
    {
        if (! is_array($fields->input['ladder'] ?? null)) {
            return null;
        }
        $steps = [];
        foreach ($fields->list('ladder') as $index => $given) {
            $step = new Fields(is_array($given) ? $given : []);
            /** @var array<string, mixed> $set */
            $set = $step->list('set');
            $steps[] = ['set' => $set, 'days' => $step->whole('days', 0, Ladder::MAX_DAYS, 'days on rung '.((int) $index + 1))];
        }

        return Ladder::of($prescription, $school, $steps);
    }

    /**
     * @param  array<string, mixed>  $values
     * @return array<string, mixed>
     */
    private static function dose(array $values): array
    {
        $technique = is_string($values['technique'] ?? null) && isset(Catalogue::all()[$values['technique']])
            ? Catalogue::get($values['technique'])
            : null;
        $isRecovery = $technique !== null && $technique->isRecovery;

        $usual = [
            'as_needed' => $isRecovery,
            'use_when' => $isRecovery ? 'breath is short' : null,
            'daily_most' => $technique->timesADay ?? 3,
            'way' => Way::Led->value,
            'times_a_day' => $technique->timesADay ?? 1,
            'anchors' => [],
            'why' => null,
            'checks' => [],
            'short' => null,
            'ladder' => null,
        ];
        foreach ($usual as $field => $value) {
            $values[$field] ??= $value;
        }

        // A recovery exercise has no schedule that could be missed.
        return $isRecovery ? [...$values, 'as_needed' => true] : $values;
    }
}
