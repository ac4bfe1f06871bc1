<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\Counting;
use IvoryPace\Breath\CountLength;
use IvoryPace\Breath\Phase;
use IvoryPace\Breath\Timeline\Tempo;
use IvoryPace\Fields;
use IvoryPace\InvalidValue;
use IvoryPace\Numbers;

/**
 * Reads one exercise field by field, and says beside each field what is wrong.
 *
 * Fields: technique, ratio, count_length (s), breaths, minutes, parameters, position, props, route_in, route_out,
 * effort, gaze, counting (by phase), cue_word, fade, fastest, slowest, own_name, own_right. Missing ones take the
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
        $reader = new self(new Fields($values), $technique);
        $reader->fields->add($fields->errors());
        $prescription = $reader->prescription();

        return [$prescription, $reader->fields->errors(), $values];
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
            ...PrescriptionFields::guidance($technique->guidance()),
            'parameters' => array_map(fn (Parameter $parameter) => $parameter->default, $technique->parameters),
            'own_name' => $technique->isOwn ? 'Counted breath' : null,
            'own_right' => null,
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
        $props = $fields->attempt('props', fn () => $this->props());
        // What was chosen for another position is left behind with it.
        $props = $position === null || $props === null
            ? $props
            : array_values(array_filter($props, fn (Prop $prop) => $prop->suits($position)));
        $routeIn = $fields->attempt('route_in', fn () => $fields->choice(Route::class, 'route_in'));
        $routeOut = $fields->attempt('route_out', fn () => $fields->choice(Route::class, 'route_out'));
        $parameters = $fields->attempt('parameters', fn () => $this->parameters());
        $effort = $fields->attempt('effort', fn () => $this->effort());
        $gaze = $fields->attempt('gaze', fn () => $fields->choice(Gaze::class, 'gaze'));
        $guidance = $this->guidance();
        $right = $fields->attempt('own_right', fn () => $fields->shortText('own_right', Own::MAX_RIGHT, 'What right looks like'));
        $own = $fields->attempt('own_name', fn () => $this->own($right ?? ''));
        if ($fields->errors() !== [] || $count === null || $position === null || $props === null || $routeIn === null || $routeOut === null
            || $effort === null || $parameters === null || $gaze === null || $guidance === null) {
            return null;
        }

        return $fields->attempt('position', fn () => new Prescription(
            $technique, $pattern, $count, $breaths, $minutes, $position, $props, $routeIn, $routeOut, $effort, $parameters, $gaze,
            $guidance, $own,
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

    private function own(string $right): ?Own
    {
        $name = $this->fields->shortText('own_name', Own::MAX_NAME, 'The name');
        if (! $this->technique->isOwn) {
            return null;
        }
        if ($name === '') {
            throw InvalidValue::because('A counted breath of your own needs a name.');
        }

        return new Own($name, $right);
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

    /** @return list<Prop> */
    private function props(): array
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
