<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Offers;

use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Programme\Item;

/** Offers another technique in place of one that does not suit. */
final class OtherTechnique
{
    public static function extendedExhale(Item $item, string $label): Change
    {
        return self::to(
            'extended-exhale', $item, $label, ['breaths' => min(Prescription::MAX_BREATHS, max(1, $item->prescription->totalBreaths()))],
        );
    }

    /** Without a count: diaphragmatic breathing. */
    public static function plain(Item $item, string $label): Change
    {
        return self::to('diaphragmatic', $item, $label);
    }

    /**
     * The present position is kept where the other technique allows it.
     *
     * @param  array<string, mixed>  $set
     */
    public static function to(string $key, Item $item, string $label, array $set = []): Change
    {
        $technique = Catalogue::get($key);
        $position = $item->prescription->position;

        return new Change($label, [
            'technique' => $technique->key,
            'ratio' => $technique->ratio,
            'breaths' => $technique->breaths,
            'minutes' => $technique->minutes,
            'position' => (in_array($position, $technique->positions, true) ? $position
                : (in_array(Position::Seated, $technique->positions, true) ? Position::Seated : $technique->positions[0]))->value,
            'route_out' => $technique->routesOut[0]->value,
            'effort' => $technique->effort->value,
            'parameters' => [],
            ...$set,
        ]);
    }
}
