<?php

declare(strict_types=1);

namespace IvoryPace\Assessment;

use IvoryPace\InvalidValue;

/** One hand on the upper chest, one on the belly: which moves first and how much. Common practice. */
final readonly class HandCheck
{
    /** Chest share over which the pattern is called upper-chest, and under which abdominal (common practice). */
    private const UPPER = 0.6;

    private const ABDOMINAL = 0.4;

    /**
     * @param  int  $chest  movement of the chest hand, 0–4
     * @param  int  $belly  movement of the belly hand, 0–4
     * @param  string  $first  chest, belly or together
     *
     * @throws InvalidValue
     */
    public function __construct(
        public int $chest,
        public int $belly,
        public string $first,
        public bool $shouldersLift = false,
        public bool $ribsFlared = false,
    ) {
        foreach (['chest' => $chest, 'belly' => $belly] as $name => $amount) {
            if ($amount < 0 || $amount > 4) {
                throw InvalidValue::because("A movement of the $name of $amount is outside 0 to 4.");
            }
        }
        if ($chest + $belly === 0) {
            throw InvalidValue::because('One of the hands moves at least a little.');
        }
        if (! in_array($first, ['chest', 'belly', 'together'], true)) {
            throw InvalidValue::because('Say which hand moves first: chest, belly or together.');
        }
    }

    /** Share of the movement that is at the upper chest, 0–1. */
    public function chestShare(): float
    {
        return $this->chest / ($this->chest + $this->belly);
    }

    public function pattern(): string
    {
        return match (true) {
            $this->chestShare() > self::UPPER => 'upper-chest',
            $this->chestShare() < self::ABDOMINAL => 'abdominal',
            default => 'mixed',
        };
    }

    /** "upper-chest, chest first, 75 % at the chest; shoulders lift". */
    public function inWords(): string
    {
        $more = array_filter([$this->shouldersLift ? 'shoulders lift' : '', $this->ribsFlared ? 'ribs flared at rest' : '']);

        return "{$this->pattern()}, {$this->first} first, ".round($this->chestShare() * 100).' % at the chest'
            .($more === [] ? '' : '; '.implode(', ', $more));
    }
}
