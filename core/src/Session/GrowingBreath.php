<?php

declare(strict_types=1);

namespace IvoryPace\Session;

use IvoryPace\Assessment\ComfortCeiling;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use LogicException;

/** Even breathing that grows by a count, led in the room until it stops being easy: so the comfort ceiling is found. */
final class GrowingBreath
{
    private const BREATHS = 2;

    public static function item(): Item
    {
        $first = ComfortCeiling::FIRST_COUNTS;

        return DraftReader::read([
            'technique' => 'even', 'breaths' => self::BREATHS, 'count_length' => 1, 'ratio' => "$first:$first",
            'parameters' => ['steps' => ComfortCeiling::LONGEST_COUNTS - $first + 1],
        ], 'ceiling')->item ?? throw new LogicException('The growing breath of the catalogue cannot be read.');
    }
}
