<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

use IvoryPace\Exercise\Catalogue\LongerExhale;
use IvoryPace\Exercise\Catalogue\Plain;
use IvoryPace\Exercise\Catalogue\RestAndAttention;
use IvoryPace\Exercise\Catalogue\WeightAndShape;
use IvoryPace\Exercise\Catalogue\WithHolds;
use IvoryPace\InvalidValue;

/** All techniques that can be prescribed, by key. */
final class Catalogue
{
    /** @var array<string, Technique>|null techniques never change */
    private static ?array $all = null;

    /** @return array<string, Technique> */
    public static function all(): array
    {
        return self::$all ??= self::build();
    }

    /** @throws InvalidValue when there is no such technique */
    public static function get(string $key): Technique
    {
        return self::all()[$key] ?? throw InvalidValue::because("There is no technique “{$key}” in the catalogue.");
    }

    /** @return array<string, Technique> */
    private static function build(): array
    {
        $all = [];
        foreach (
            [
                ...LongerExhale::techniques(), ...Plain::techniques(), ...WithHolds::techniques(), ...WeightAndShape::techniques(),
                ...RestAndAttention::techniques(),
            ] as $technique
        ) {
            $all[$technique->key] = $technique;
        }

        return $all;
    }
}
