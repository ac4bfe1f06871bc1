<?php

declare(strict_types=1);

namespace IvoryPace\Signal\MadeUp;

use IvoryPace\InvalidValue;
use IvoryPace\Signal\Trace;

/**
 * Breathing that nobody breathed, with the truth beside it: what stand-ins of devices send, and what the analysis is tried on. Each
 * breath is a raised cosine in, a hold, one out, and a rest.
 */
final readonly class MadeUpBreathing
{
    private const SECONDS_BEFORE = 3.0;

    private const GRAVITY = 9.81;

    /** How far a phone on the belly tilts, rad. */
    private const TILT = 0.03;

    /** @var list<array{start: float, inhale: float, hold: float, exhale: float, rest: float, size: float}> s */
    public array $truth;

    private float $end;

    /**
     * @param  array{float, float, float, float}  $phases  s: inhale, hold, exhale, rest
     * @param  float  $noiseDb  signal over noise; INF for none
     * @param  float  $drift  of the baseline, in amplitudes a minute
     * @param  float  $irregular  deviation of the breaths' lengths and sizes, as a part
     * @param  list<float>  $coughs  s
     * @param  list<array{float, float}>  $speech  from and to, s
     * @param  list<float>  $moves  s, when the phone or the belt is moved
     * @param  array{int, float}|null  $held  after which breath, from 0, and for how long, s, nothing moves
     * @param  int|null  $sigh  which breath is two and a half times as large
     * @param  float|null  $slips  s, from when the chest's belt loses four fifths of its tension
     * @param  float  $apart  degrees by which the chest comes later than the belly
     *
     * @throws InvalidValue when a phase is not a length
     */
    public function __construct(
        array $phases,
        int $breaths,
        private int $seed = 1,
        private float $noiseDb = INF,
        private float $drift = 0.0,
        float $irregular = 0.0,
        private array $coughs = [],
        private array $speech = [],
        private array $moves = [],
        ?array $held = null,
        ?int $sigh = null,
        private ?float $slips = null,
        private float $apart = 0.0,
        private float $chestSize = 0.6,
    ) {
        [$in, $hold, $out, $rest] = $phases;
        $isLength = $in > 0 && $out > 0 && $hold >= 0 && $rest >= 0 && $breaths > 0;
        if (! $isLength || ($in + $hold + $out + $rest) * $breaths > Trace::LONGEST_S - 60) {
            throw InvalidValue::because('A made-up breath is like 4:0:5:1, in seconds, and all of them last less than an hour.');
        }
        $chance = new Chance($seed);
        $at = self::SECONDS_BEFORE;
        $truth = [];
        for ($n = 0; $n < $breaths; $n++) {
            $longer = max(0.5, 1 + $irregular * $chance->normal());
            $larger = max(0.6, 1 + $irregular * $chance->normal()) * ($n === $sigh ? 2.5 : 1.0);
            $pause = $held !== null && $held[0] === $n ? $held[1] : 0.0;
            $truth[] = [
                'start' => $at, 'inhale' => $in * $longer, 'hold' => $hold * $longer, 'exhale' => $out * $longer,
                'rest' => $rest * $longer + $pause, 'size' => $larger,
            ];
            $at += ($in + $hold + $out + $rest) * $longer + $pause;
        }
        $this->truth = $truth;
        $this->end = $at + self::SECONDS_BEFORE;
    }

    /** s, of the last sample and a little */
    public function end(): float
    {
        return $this->end;
    }

    /** How far between out (−1) and in (1) a breath is, once up and down in each, whatever its size and however long it is held. */
    public function sway(float $at): float
    {
        foreach ($this->truth as $breath) {
            $since = $at - $breath['start'];
            $length = $breath['inhale'] + $breath['hold'] + $breath['exhale'] + $breath['rest'];
            if ($since >= 0 && $since < $length) {
                return 2 * self::within($breath, $since) - 1;
            }
        }

        return -1.0;
    }

    /** @return list<array{float, float}> s and the belly's movement, 25 a second */
    public function belly(): array
    {
        return $this->samples(1, fn (float $at) => $this->height($at));
    }

    /** @return list<array{float, float}> s and the chest's movement, at the same moments */
    public function chest(): array
    {
        return $this->samples(2, function (float $at): float {
            $left = $this->slips !== null && $at >= $this->slips ? 0.2 : 1.0;

            return $this->chestSize * $left * $this->height($this->earlier($at));
        });
    }

    /** @return list<array{float, float, float, float}> s and the acceleration with gravity of a phone that lies askew, m/s² */
    public function phone(): array
    {
        $samples = [];
        foreach ($this->belly() as [$at, $height]) {
            $tilt = self::TILT * $height;
            $moved = count(array_filter($this->moves, fn (float $when) => $when <= $at));
            $along = self::GRAVITY * sin(0.2 + 0.3 * $moved + $tilt);
            $samples[] = [$at, 0.8 * $along, 0.6 * self::GRAVITY * sin(0.2 + $tilt), self::GRAVITY * cos(0.2 + $tilt)];
        }

        return $samples;
    }

    /**
     * @param  callable(float): float  $of
     * @return list<array{float, float}>
     */
    private function samples(int $channel, callable $of): array
    {
        $chance = new Chance($this->seed * 7 + $channel);
        $noise = $this->noise();
        $samples = [];
        for ($n = 0, $count = (int) ($this->end * Trace::RATE); $n < $count; $n++) {
            $at = $n / Trace::RATE;
            $value = $of($at) + $this->drift * $at / 60 + $this->disturbance($at, $chance);
            $samples[] = [$at, $value + ($noise > 0 ? $noise * $chance->normal() : 0.0)];
        }

        return $samples;
    }

    /** Deviation of the noise, against that of the breath: a raised cosine of height 1 has √⅛. */
    private function noise(): float
    {
        return is_infinite($this->noiseDb) ? 0.0 : sqrt(1 / 8) * 10 ** (-$this->noiseDb / 20);
    }

    private function disturbance(float $at, Chance $chance): float
    {
        $value = 0.0;
        foreach ($this->coughs as $cough) {
            if ($at >= $cough && $at < $cough + 0.8) {
                $value += 1.5 * sin(2 * M_PI * 5 * ($at - $cough)) * exp(-3 * ($at - $cough));
            }
        }
        foreach ($this->speech as [$from, $to]) {
            if ($at >= $from && $at < $to) {
                $value += 0.35 * sin(2 * M_PI * 3.7 * $at) + 0.25 * $chance->normal();
            }
        }
        foreach ($this->moves as $when) {
            $value += $at >= $when ? 3.0 : 0.0;
        }

        return $value;
    }

    /** Height of the breath: 0 out, 1 in. */
    private function height(float $at): float
    {
        foreach ($this->truth as $breath) {
            $since = $at - $breath['start'];
            $length = $breath['inhale'] + $breath['hold'] + $breath['exhale'] + $breath['rest'];
            if ($since < 0) {
                return 0.0;
            }
            if ($since < $length) {
                return $breath['size'] * self::within($breath, $since);
            }
        }

        return 0.0;
    }

    /** @param  array{start: float, inhale: float, hold: float, exhale: float, rest: float, size: float}  $breath */
    private static function within(array $breath, float $since): float
    {
        $rise = fn (float $part) => (1 - cos(M_PI * $part)) / 2;
        $out = $since - $breath['inhale'] - $breath['hold'];

        return match (true) {
            $since < $breath['inhale'] => $rise($since / $breath['inhale']),
            $out < 0 => 1.0,
            $out < $breath['exhale'] => 1 - $rise($out / $breath['exhale']),
            default => 0.0,
        };
    }

    /** The moment at which the belly was where the chest is now. */
    private function earlier(float $at): float
    {
        foreach ($this->truth as $n => $breath) {
            $length = $breath['inhale'] + $breath['hold'] + $breath['exhale'] + $breath['rest'];
            if ($at < $breath['start'] + $length || $n === count($this->truth) - 1) {
                return $at - $this->apart / 360 * $length;
            }
        }

        return $at;
    }
}
