<?php

declare(strict_types=1);

namespace IvoryPace\Signal;

use IvoryPace\InvalidValue;
use IvoryPace\Median;

/** The breaths of a trace, each from one trough to the next. */
final readonly class Breaths
{
    private const SIGH = 2.0;

    /** A breath of which more than this is something else is not clear. */
    public const MOST_OTHER = 0.25;

    /** @param  list<ObservedBreath>  $all */
    private function __construct(public array $all, public Cleaned $of)
    {
    }

    /** @param  Trace  $raw  as it was measured, in the sense in which the inhale rises */
    public static function in(Trace $raw): self
    {
        return self::of(Cleaned::of($raw));
    }

    public static function of(Cleaned $cleaned): self
    {
        $trace = $cleaned->trace;
        $turns = Turns::in($trace->values);
        $edges = [];
        for ($n = 0; $n + 2 < count($turns); $n += 2) {
            $edges[] = Movement::around($trace->values, $turns[$n][0], $turns[$n + 1][0], $turns[$n + 2][0]);
        }
        $median = $edges === [] ? 0.0 : Median::of(array_column($edges, 'amplitude'));
        $all = [];
        foreach ($edges as $n => $edge) {
            // The last ends at its trough: where the next begins is not known.
            $end = $edges[$n + 1]['start'] ?? (float) $edge['trough'];
            $start = $edge['start'];
            $in = min($edge['in'], $edge['out']);
            $out = min($edge['done'], $end);
            $all[] = new ObservedBreath(
                $trace->at($start), ($in - $start) / Trace::RATE, ($edge['out'] - $in) / Trace::RATE, ($out - $edge['out']) / Trace::RATE,
                ($end - $out) / Trace::RATE, $edge['amplitude'], $edge['amplitude'] > self::SIGH * $median,
                $cleaned->disturbed($trace->at($start), $trace->at($end)) <= self::MOST_OTHER,
            );
        }

        return new self($all, $cleaned);
    }

    /** How much of the time between two moments, in s, is something else or nothing: 0 to 1. */
    public function disturbed(float $from, float $to): float
    {
        return $this->of->disturbed($from, $to);
    }

    /** @return list<ObservedBreath> */
    public function clear(): array
    {
        return array_values(array_filter($this->all, fn (ObservedBreath $breath) => $breath->isClear));
    }

    /** @return list<float> s, of every inhale */
    public function starts(): array
    {
        return array_map(fn (ObservedBreath $breath) => $breath->start, $this->all);
    }

    /**
     * @return float breaths per minute, by the mean of the middle half of the lengths: a pause or a sigh changes nothing, and noise is
     *               levelled better than in one in the middle
     *
     * @throws InvalidValue when there are fewer than three
     */
    public function rate(): float
    {
        $lengths = $this->lengths();
        sort($lengths);
        $off = intdiv(count($lengths), 4);
        $middle = array_slice($lengths, $off, count($lengths) - 2 * $off);

        return 60 * count($middle) / array_sum($middle);
    }

    /**
     * @return float s, of one in the middle
     *
     * @throws InvalidValue when there are fewer than three
     */
    public function medianLength(): float
    {
        return Median::of($this->lengths());
    }

    /**
     * @return float standard deviation of their lengths over the mean
     *
     * @throws InvalidValue when there are fewer than three
     */
    public function variation(): float
    {
        $lengths = $this->lengths();
        $mean = array_sum($lengths) / count($lengths);
        $squares = array_map(fn (float $length) => ($length - $mean) ** 2, $lengths);

        return sqrt(array_sum($squares) / (count($lengths) - 1)) / $mean;
    }

    /**
     * @return float exhale over inhale, in the middle
     *
     * @throws InvalidValue when there are fewer than three
     */
    public function ratio(): float
    {
        $this->lengths();

        return Median::of(array_map(fn (ObservedBreath $breath) => $breath->ratio(), $this->clear()));
    }

    public function sighs(): int
    {
        return count(array_filter($this->clear(), fn (ObservedBreath $breath) => $breath->isSigh));
    }

    /** @return non-empty-list<float> */
    private function lengths(): array
    {
        $clear = $this->clear();
        if (count($clear) < 3) {
            throw InvalidValue::because('Fewer than three breaths can be seen; record a little longer, lying still.');
        }

        return array_map(fn (ObservedBreath $breath) => $breath->length(), $clear);
    }
}
