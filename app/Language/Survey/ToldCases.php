<?php

declare(strict_types=1);

namespace App\Language\Survey;

use Generator;
use IvoryPace\Exercise\Body\Gaze;
use IvoryPace\Exercise\Ending;
use IvoryPace\Exercise\Length;
use IvoryPace\Exercise\Route;
use IvoryPace\Exercise\School;
use IvoryPace\Exercise\Technique;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Need\Way;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Prescriptions along seven axes: technique, position, routes, size, school, hands, ending; gaze, props and numbers at random. */
final class ToldCases
{
    private const RATIOS = ['4:6', '4:0:5:1', '4:7:8', '3:3:6', '2+1:6', '4:4:4:4', '5:5', '3:2:4', '2:4'];

    private Randomizer $chance;

    public function __construct(int $seed)
    {
        $this->chance = new Randomizer(new Mt19937($seed));
    }

    /**
     * So many that every pair of values of any two axes is met at least once.
     *
     * @return Generator<array<string, mixed>>
     */
    public function pairs(Technique $technique): Generator
    {
        $axes = self::axes($technique);
        $names = array_keys($axes);
        $met = [];
        foreach ($names as $one => $first) {
            foreach (array_slice($names, $one + 1) as $second) {
                foreach (array_keys($axes[$first]) as $a) {
                    foreach (array_keys($axes[$second]) as $b) {
                        if (isset($met["$first $a $second $b"])) {
                            continue;
                        }
                        $case = array_map(fn (array $values) => $this->chance->getInt(0, count($values) - 1), $axes);
                        $case = [...$case, $first => $a, $second => $b];
                        foreach ($names as $nth => $x) {
                            foreach (array_slice($names, $nth + 1) as $y) {
                                $met["$x {$case[$x]} $y {$case[$y]}"] = true;
                            }
                        }
                        yield $this->fields($technique, $axes, $case);
                    }
                }
            }
        }
    }

    /** @return array<string, mixed> anything at all */
    public function any(Technique $technique): array
    {
        $axes = self::axes($technique);

        return $this->fields($technique, $axes, array_map(fn (array $values) => $this->chance->getInt(0, count($values) - 1), $axes));
    }

    /** @return Generator<array<string, mixed>> the whole product */
    public function all(Technique $technique): Generator
    {
        $axes = self::axes($technique);
        $most = array_product(array_map(count(...), $axes));
        for ($number = 0; $number < $most; $number++) {
            $left = $number;
            $case = [];
            foreach ($axes as $name => $values) {
                $case[$name] = $left % count($values);
                $left = intdiv($left, count($values));
            }
            yield $this->fields($technique, $axes, $case);
        }
    }

    /** @return non-empty-array<string, non-empty-list<mixed>> values by axis */
    private static function axes(Technique $technique): array
    {
        $hands = [];
        foreach ($technique->positions as $position) {
            foreach ($technique->handsIn($position) as $each) {
                $hands[$each->value] = $each->value;
            }
        }
        $routes = [];
        foreach ($technique->routesIn as $in) {
            foreach ($technique->routesOut as $out) {
                $routes[] = [$in, $out];
            }
        }

        /** @var non-empty-array<string, non-empty-list<mixed>> $axes */
        $axes = [
            'position' => array_map(fn ($position) => $position->value, $technique->positions),
            'routes' => $routes,
            'effort' => array_map(fn ($effort) => $effort->value, $technique->efforts),
            'school' => array_map(fn (School $school) => $school->value, School::cases()),
            'hands' => array_values($hands),
            'ending' => [null, ...array_map(fn (Ending $ending) => $ending->value, Ending::cases())],
        ];

        return $axes;
    }

    /** @return list<string> */
    private static function ways(Technique $technique): array
    {
        $hasNoEnd = $technique->length === Length::Minutes && ! $technique->hasRatio();

        return array_map(fn (Way $way) => $way->value, match (true) {
            $technique->isRecovery => [Way::Led],
            $hasNoEnd => Way::cases(),
            default => [Way::Led, Way::Ticked],
        });
    }

    /**
     * @param  array<string, list<mixed>>  $axes
     * @param  array<string, int>  $case  place of each value
     * @return array<string, mixed>
     */
    private function fields(Technique $technique, array $axes, array $case): array
    {
        $at = fn (string $axis): mixed => $axes[$axis][$case[$axis]];
        /** @var array{Route, Route} $routes */
        $routes = $at('routes');
        $pick = fn (array $of): mixed => array_values($of)[$this->chance->getInt(0, count($of) - 1)];
        $parameters = [];
        foreach ($technique->parameters as $parameter) {
            $parameters[$parameter->name] = $pick([$parameter->default, $parameter->min, $parameter->max]);
        }
        $ratio = $pick([$technique->ratio, ...self::RATIOS]);
        if (($parameters['open'] ?? 1) === 2.0 && substr_count((string) $ratio, ':') > 2) {
            $ratio = $technique->ratio;
        }

        $fields = [
            'technique' => $technique->key, 'own_name' => $technique->isOwn ? 'Harbour breath' : null, 'position' => $at('position'),
            'route_in' => $routes[0]->value, 'route_out' => $routes[1]->value, 'effort' => $at('effort'), 'school' => $at('school'),
            'hands' => $at('hands'), 'ending' => $at('ending'), 'ratio' => $technique->hasRatio() ? $ratio : null,
            'breaths' => $technique->countsRepeats() ? $pick([1, 2, 6]) : null,
            'minutes' => $technique->length === Length::Minutes ? $pick([0.5, 1, 3.7]) : null, 'parameters' => $parameters,
            'start' => $pick($technique->starts)->value, 'gaze' => $pick(Gaze::cases())->value,
            'props' => array_values(array_unique([
                $pick(['blanket', 'mirror', 'strap']), $pick(['straw', 'tissue', 'chair-with-back', 'pillow-under-head']),
            ])),
            'slowest' => $pick([1, 1.2]), 'fastest' => $pick([1, 0.8]), 'times_a_day' => $pick([1, 2, 3]), 'bells_last' => $pick([0, 1, 3]),
            'own_prop' => $pick([null, 'the grey scarf']),
            ...($pick([false, false, true]) ? [
                'as_needed' => true, 'use_when' => 'worry comes', 'daily_most' => $pick([1, 4]),
                'way' => $pick(self::ways($technique)),
            ] : []),
        ];

        // Some sizes and ratios are nothing to be done unled.
        return isset(DraftReader::read($fields, 'x')->errors['way']) ? ['way' => Way::Led->value] + $fields : $fields;
    }
}
