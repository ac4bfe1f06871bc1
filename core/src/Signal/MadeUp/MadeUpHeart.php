<?php

declare(strict_types=1);

namespace IvoryPace\Signal\MadeUp;

use IvoryPace\InvalidValue;

/**
 * A heart that nobody has: it is fastest at the end of each inhale and slowest at the end of each exhale, and a long hold lowers
 * the saturation.
 */
final readonly class MadeUpHeart
{
    /** s after a hold until a finger shows it. */
    private const LATE_S = 15;

    /** s of a hold that change nothing. */
    private const FREE_S = 15;

    /**
     * @param  float  $rate  beats/min, in the middle
     * @param  float  $swing  beats/min, highest minus lowest within a breath
     * @param  float  $saturation  %
     * @param  float  $fall  % that it falls for each second of a hold beyond the first quarter of a minute
     * @param  int  $missed  every so many beats one is not seen; 0 for none
     *
     * @throws InvalidValue when it would not beat
     */
    public function __construct(
        private MadeUpBreathing $breathing,
        private float $rate = 70.0,
        private float $swing = 10.0,
        private float $saturation = 97.0,
        private float $fall = 0.0,
        private int $missed = 0,
        private int $seed = 1,
    ) {
        $beats = $rate >= 30 && $rate <= 200 && $swing >= 0 && $swing < $rate;
        if (! $beats || $saturation < 60 || $saturation > 100 || $fall < 0) {
            throw InvalidValue::because('A made-up heart beats 30 to 200 times a minute; its saturation is 60 to 100 %.');
        }
    }

    /** @return list<array{float, float}> s of each beat, ms since the one before */
    public function beats(): array
    {
        $chance = new Chance($this->seed * 11 + 5);
        $beats = [];
        $last = $at = 0.0;
        for ($n = 1; $at < $this->breathing->end(); $n++) {
            $rate = $this->rate + $this->swing / 2 * $this->breathing->sway($at);
            $at += 60 / $rate * (1 + 0.004 * $chance->normal());
            if ($this->missed === 0 || $n % $this->missed !== 0) {
                $beats[] = [$at, ($at - $last) * 1000];
                $last = $at;
            }
        }

        return $beats;
    }

    /** @return list<array{float, float, float}> s, saturation in %, pulse a minute; one a second */
    public function oximeter(): array
    {
        $values = [];
        for ($second = 0; $second < $this->breathing->end(); $second++) {
            $rate = $this->rate + $this->swing / 2 * $this->breathing->sway($second - 3);
            $values[] = [(float) $second, max(60.0, round($this->saturation - $this->fallen($second))), round($rate)];
        }

        return $values;
    }

    /** A hold is any rest or hold; what it takes comes back within ten seconds. */
    private function fallen(float $at): float
    {
        $fallen = 0.0;
        foreach ($this->breathing->truth as $breath) {
            $out = $breath['inhale'] + $breath['hold'] + $breath['exhale'];
            foreach ([[$breath['inhale'], $breath['hold']], [$out, $breath['rest']]] as [$from, $length]) {
                $depth = $this->fall * max(0.0, $length - self::FREE_S);
                $since = $at - $breath['start'] - $from - $length - self::LATE_S;
                $part = $since <= 0 ? 1 + $since / max(1.0, $length - self::FREE_S) : 1 - $since / 10;
                $fallen = max($fallen, $depth * max(0.0, min(1.0, $part)));
            }
        }

        return $fallen;
    }
}
