<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\Counting;
use IvoryPace\Breath\CountLength;
use IvoryPace\Breath\Phase;
use IvoryPace\Breath\Timeline\Tempo;
use IvoryPace\Exercise\Body\Gaze;
use IvoryPace\Exercise\Body\Hands;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Body\Prop;
use IvoryPace\Fields;
use IvoryPace\InvalidValue;
use IvoryPace\Numbers;

/**
 * Reads one exercise field by field, and says beside each field what is wrong.
 *
 * Fields: technique, ratio, count_length (s), breaths, minutes, parameters, position, props, route_in, route_out,
 * effort, gaze, hands, own_prop, start, ending (none: as fits the time of day), bells_first, bells_last, counting (by
 * phase), cue_word, fade, fastest, slowest, own_name, own_right, own_in, own_out (what is said to a breath). Missing ones take the
 * defaults of the technique in the school. Counts by phase may stand in place of a ratio.
 */
final class PrescriptionReader
{
    private function __construct(private readonly Fields $fields, private readonly Technique $technique)
    {
    }

    /**
     * @param  array<string, mixed>  $input
     * @return array{Prescription|null, array<string, string>, array<string, mixed>} the exercise, errors by field, completed fields
     */
    public static function read(array $input, School $school = School::GentleControl): array
    {
        $fields = new Fields($input);
        $technique = $fields->attempt('technique', fn () => Catalogue::get($fields->text('technique')));
        if ($technique === null) {
            return [null, $fields->errors(), $input];
        }
        $values = [...self::defaults($technique, $school), ...array_filter($input, fn (mixed $value) => $value !== null)];
        if (is_array($values['counts'] ?? null)) {
            $values['ratio'] = $fields->attempt('ratio', fn () => self::ratioOf(new Fields($values['counts']))) ?? $values['ratio'];
        }
        unset($values['counts']);
        $values = self::asWrittenNow($values, $input);
        $reader = new self(new Fields($values), $technique);
        $reader->fields->add($fields->errors());
        $prescription = $reader->prescription();
        if ($prescription !== null) {
            // What goes with the position is said as it was taken.
            $taken = PrescriptionFields::write($prescription);
            $carried = ['props' => 0, 'hands' => 0, 'gaze' => 0, 'start' => 0, 'route_in' => 0];
            $values = [...$values, ...array_intersect_key($taken, $carried)];
        }

        return [$prescription, $reader->fields->errors(), $values];
    }

    /**
     * How a scan ended was once a number among its parameters.
     *
     * @param  array<string, mixed>  $values
     * @param  array<string, mixed>  $input  as given
     * @return array<string, mixed>
     */
    private static function asWrittenNow(array $values, array $input): array
    {
        $end = is_array($input['parameters'] ?? null) ? ($input['parameters']['end'] ?? null) : null;
        if ($end !== null && ! isset($input['ending'])) {
            $values['ending'] = (is_numeric($end) && (int) $end === 2 ? Ending::Quiet : Ending::Bell)->value;
        }

        return $values;
    }

    /**
     * The fields of an exercise with some of them changed.
     *
     * @param  array<string, mixed>  $changes
     *
     * @throws InvalidValue with the first thing that is wrong
     */
    public static function changed(Prescription $prescription, array $changes): Prescription
    {
        [$changed, $errors] = self::read([...PrescriptionFields::write($prescription), ...$changes]);

        return $changed ?? throw InvalidValue::because(implode(' ', $errors));
    }

    /**
     * The defaults of a technique.
     *
     * @return array<string, mixed>
     */
    public static function defaults(Technique $technique, School $school = School::GentleControl): array
    {
        return [
            'technique' => $technique->key,
            'ratio' => $technique->ratio,
            'count_length' => $technique->count,
            'breaths' => $technique->breaths,
            'minutes' => $technique->minutes,
            'position' => $technique->positions[0]->value,
            'props' => array_map(fn (Prop $prop) => $prop->value, $technique->props),
            'route_in' => $technique->routeIn->value,
            'route_out' => $technique->routesOut[0]->value,
            'effort' => $technique->effort->value,
            'gaze' => Gaze::Choice->value,
            'hands' => null,
            'own_prop' => null,
            'start' => $technique->start->value,
            'ending' => null,
            'bells_first' => $technique->bells,
            'bells_last' => 1,
            ...PrescriptionFields::guidance($technique->guidance()),
            'parameters' => array_map(fn (Parameter $parameter) => $parameter->default, $technique->parameters),
            'own_name' => $technique->isOwn ? 'Counted breath' : null,
            'own_right' => null,
            'own_in' => null,
            'own_out' => null,
            ...$school->defaults($technique),
        ];
    }

    /** @throws InvalidValue when a count is none */
    private static function ratioOf(Fields $counts): string
    {
        $of = fn (Phase $phase) => ($counts->input[$phase->value] ?? 0) === 0 ? 0.0 : $counts->number($phase->value, 'counts');

        return BreathPattern::of($of(Phase::Inhale), $of(Phase::Exhale), $of(Phase::Hold), $of(Phase::Rest), $of(Phase::TopUp))->toString();
    }

    private function prescription(): ?Prescription
    {
        $fields = $this->fields;
        $technique = $this->technique;
        $pattern = $technique->hasRatio() ? $fields->attempt('ratio', fn () => BreathPattern::parse($fields->text('ratio'))) : null;
        $count = $fields->attempt('count_length', fn () => CountLength::seconds($fields->number('count_length', 'seconds a count')));
        $breaths = $technique->countsRepeats()

                ? $fields->attempt('breaths', fn () => $fields->whole('breaths', 1, Prescription::MAX_BREATHS, $technique->length->value))
                : null;
        $minutes = $technique->length === Length::Minutes

                ? $fields->attempt(
                    'minutes', fn () => $fields->numberIn('minutes', Prescription::MIN_MINUTES, Prescription::MAX_MINUTES, 'minutes'),
                )
                : null;
        $position = $fields->attempt('position', fn () => $fields->choice(Position::class, 'position'));
        $routeIn = $fields->attempt('route_in', fn () => $fields->choice(Route::class, 'route_in'));
        // What was chosen for another technique, or another position, is left behind with it.
        $routeIn = $routeIn !== null && ! in_array($routeIn, $technique->routesIn, true) ? $technique->routesIn[0] : $routeIn;
        $routeOut = $fields->attempt('route_out', fn () => $fields->choice(Route::class, 'route_out'));
        $props = $fields->attempt('props', fn () => $this->props($position, $routeOut));
        $hands = $fields->attempt('hands', fn () => $this->hands($position));
        $start = $fields->attempt('start', fn () => $fields->choice(Start::class, 'start'));
        $start = $start !== null && ! in_array($start, $technique->starts, true) ? $technique->start : $start;
        $ending = $fields->attempt(
            'ending', fn () => ($fields->input['ending'] ?? '') === '' ? null : $fields->choice(Ending::class, 'ending'),
        );
        $bellsFirst = $fields->attempt('bells_first', fn () => $fields->whole('bells_first', 0, Prescription::MAX_BELLS, 'bells'));
        $bellsLast = $fields->attempt('bells_last', fn () => $fields->whole('bells_last', 0, Prescription::MAX_BELLS, 'bells'));
        $ownProp = $fields->attempt('own_prop', fn () => $fields->shortText('own_prop', Prop::MAX_OWN, 'What else is needed'));
        $parameters = $fields->attempt('parameters', fn () => $this->parameters());
        $effort = $fields->attempt('effort', fn () => $this->effort());
        $gaze = $fields->attempt('gaze', fn () => $fields->choice(Gaze::class, 'gaze'));
        $gaze = $position !== null && $gaze?->suits($position) === false ? Gaze::Choice : $gaze;
        $guidance = $this->guidance();
        $right = $fields->attempt('own_right', fn () => $fields->shortText('own_right', Own::MAX_RIGHT, 'What right looks like'));
        $in = $fields->attempt('own_in', fn () => $fields->shortText('own_in', Own::MAX_CUE, 'What is said to the breath in'));
        $out = $fields->attempt('own_out', fn () => $fields->shortText('own_out', Own::MAX_CUE, 'What is said to the breath out'));
        $own = $fields->attempt('own_name', fn () => $this->own((string) $right, (string) $in, (string) $out));
        if ($pattern !== null && ($parameters['open'] ?? 0.0) === 2.0 && ! $pattern->rest->isZero()) {
            $fields->add(['ratio' => Prescription::NO_REST_AFTER_OPEN]);
        }
        if ($fields->errors() !== [] || $count === null || $position === null || $props === null || $routeIn === null || $routeOut === null
            || $effort === null || $parameters === null || $gaze === null || $guidance === null || $hands === null || $start === null
            || $bellsFirst === null || $bellsLast === null) {
            return null;
        }

        return $fields->attempt('position', fn () => new Prescription(
            $technique, $pattern, $count, $breaths, $minutes, $position, $props, $routeIn, $routeOut, $effort, $parameters, $gaze,
            $guidance, $own, $hands, $start, $ending, $bellsFirst, $bellsLast, (string) $ownProp,
        ));
    }

    private function effort(): Effort
    {
        $effort = $this->fields->choice(Effort::class, 'effort');
        if (! in_array($effort, $this->technique->efforts, true)) {
            throw InvalidValue::because("The breath of {$this->technique->name} is not {$effort->label()}.");
        }

        return $effort;
    }

    private function guidance(): ?Guidance
    {
        $fields = $this->fields;
        $counting = $fields->attempt('counting', function () use ($fields) {
            $typed = new Fields($fields->list('counting'));
            $counting = [];
            foreach ([Phase::Inhale, Phase::Hold, Phase::Exhale, Phase::Rest] as $phase) {
                $counting[$phase->value] = isset($typed->input[$phase->value])
                    ? $typed->choice(Counting::class, $phase->value) : $this->technique->guidance()->counting($phase);
            }

            return $counting;
        });
        $fade = $fields->attempt('fade', fn () => $fields->choice(Fade::class, 'fade'));
        // Each end by itself, so that its problem stands beside it.
        $fastest = $fields->attempt('fastest', fn () => new Tempo(fastest: $fields->number('fastest', 'times the pace')));
        $slowest = $fields->attempt('slowest', fn () => new Tempo(slowest: $fields->number('slowest', 'times the pace')));
        $tempo = $fastest === null || $slowest === null ? null : new Tempo($fastest->fastest, $slowest->slowest);

        return $counting === null || $fade === null || $tempo === null
            ? null : new Guidance($counting, $fields->isTrue('cue_word'), $fade, $tempo);
    }

    private function own(string $right, string $in, string $out): ?Own
    {
        $name = $this->fields->shortText('own_name', Own::MAX_NAME, 'The name');
        if (! $this->technique->isOwn) {
            return null;
        }
        if ($name === '') {
            throw InvalidValue::because('A counted breath of your own needs a name.');
        }

        return new Own($name, $right, $in, $out);
    }

    /** @return array<string, float> by name */
    private function parameters(): array
    {
        $typed = $this->fields->list('parameters');

        return array_map(
            fn (Parameter $parameter) => $parameter->check(
                Numbers::read($typed[$parameter->name] ?? $parameter->default, $parameter->label),
            ),
            $this->technique->parameters,
        );
    }

    /** Those that are given, where position and technique allow them; otherwise the usual ones. */
    private function hands(?Position $position): Hands
    {
        $given = ($this->fields->input['hands'] ?? null) === null ? null : $this->fields->choice(Hands::class, 'hands');
        $there = $this->technique->handsIn($position ?? $this->technique->positions[0]);

        return $given !== null && in_array($given, $there, true) ? $given : $there[0];
    }

    /** @return list<Prop> those that are given, as far as position and route allow; a lost support is replaced */
    private function props(?Position $position, ?Route $out): array
    {
        $given = $this->givenProps();
        $props = $position === null ? $given : Prop::carried($given, $position);

        return array_values(array_filter($props, fn (Prop $prop) => $out === null || $prop->suitsRoute($out)));
    }

    /** @return list<Prop> */
    private function givenProps(): array
    {
        $names = $this->fields->input['props'] ?? [];
        if (! is_array($names)) {
            throw InvalidValue::because('Props are a list.');
        }
        $props = [];
        foreach ($names as $name) {
            $prop = is_string($name) ? Prop::tryFrom($name) : null;
            $props[$prop->value ?? ''] = $prop ?? throw InvalidValue::because('There is no such prop.');
        }

        return array_values($props);
    }
}
