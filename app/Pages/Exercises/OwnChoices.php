<?php

declare(strict_types=1);

namespace App\Pages\Exercises;

use IvoryPace\Exercise\Body\Hands;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Route;

/** What a clinic chooses from for a counted breath of its own. */
final class OwnChoices
{
    private const TECHNIQUE = 'own';

    /** @return array<string, mixed> */
    public static function all(): array
    {
        $technique = Catalogue::get(self::TECHNIQUE);

        return [
            'positions' => array_map(fn (Position $position) => [
                ...self::choice($position), 'hands' => array_map(self::choice(...), $technique->handsIn($position)),
            ], $technique->positions),
            'routes_in' => array_map(self::choice(...), $technique->routesIn),
            'routes_out' => array_map(self::choice(...), $technique->routesOut),
        ];
    }

    /** @return array{value: string, label: string} */
    private static function choice(Position|Hands|Route $choice): array
    {
        return ['value' => $choice->value, 'label' => $choice->label()];
    }
}
