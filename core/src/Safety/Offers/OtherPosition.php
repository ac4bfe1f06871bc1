<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Offers;

use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Body\Prop;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Technique;
use IvoryPace\Programme\Item;

/** Offers other positions. */
final class OtherPosition
{
    /**
     * Where the technique allows none of them, diaphragmatic breathing is offered in them instead.
     *
     * @param  list<Position>  $positions  in order of preference
     * @return list<Change>
     */
    public static function to(Item $item, array $positions): array
    {
        $own = self::in($item->prescription->technique, $positions, '', []);
        $plain = Catalogue::get('diaphragmatic');

        return $own !== [] ? $own : self::in($plain, $positions, 'diaphragmatic breathing, ', [
            'technique' => $plain->key, 'route_out' => $plain->routesOut[0]->value,
        ]);
    }

    /**
     * @param  list<Position>  $positions
     * @param  array<string, string>  $with
     * @return list<Change>
     */
    private static function in(Technique $technique, array $positions, string $named, array $with): array
    {
        $changes = [];
        foreach ($positions as $position) {
            if (in_array($position, $technique->positions, true)) {
                $changes[] = new Change($named.$position->label(), [
                    ...$with, 'position' => $position->value, 'props' => self::propsFor($position),
                ]);
            }
        }

        return $changes;
    }

    /** @return list<string> */
    private static function propsFor(Position $position): array
    {
        return match ($position) {
            Position::Reclined => [Prop::Wedge->value],
            Position::Seated => [Prop::ChairWithBack->value],
            Position::SideLying => [Prop::PillowUnderHead->value],
            default => [],
        };
    }
}
