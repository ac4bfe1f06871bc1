<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

use IvoryPace\Programme\Anchor;

/** When a practice is one of the night, and what lies then ends quietly. Common practice. */
final class Night
{
    /** Hours of the patient's clock: from this one on, and until that one, where no plan asked for the practice. */
    private const FROM_HOUR = 21;

    private const UNTIL_HOUR = 5;

    /** @return array{anchors: list<string>, from_hour: int, until_hour: int} for devices, which apply it without a network */
    public static function forDevices(): array
    {
        return [
            'anchors' => array_values(array_map(
                fn (Anchor $anchor) => $anchor->value, array_filter(Anchor::cases(), fn (Anchor $anchor) => $anchor->isNight()),
            )),
            'from_hour' => self::FROM_HOUR, 'until_hour' => self::UNTIL_HOUR,
        ];
    }
}
