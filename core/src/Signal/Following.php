<?php

declare(strict_types=1);

namespace IvoryPace\Signal;

use IvoryPace\InvalidValue;
use IvoryPace\Median;

/**
 * How far the breaths of a trace went with those that were played. A prescribed breath is followed when exactly one inhale starts between
 * a quarter of its length before its start and three quarters after it, and that one lies within a quarter. So whoever breathes twice as
 * fast does not follow, and whoever keeps the pace at another moment follows by chance, half of the time.
 */
final readonly class Following
{
    private const BEFORE = 0.25;

    private const AFTER = 0.75;

    private const WITHIN = 0.25;

    /** More of it is something else: nothing is said of this breath. */
    private const MOST_OTHER = 0.5;

    /**
     * @param  non-empty-list<Followed>  $breaths  one for each that was prescribed
     * @param  float|null  $lag  s, the middle of how late the inhales of those that were followed started; null when none was
     * @param  float|null  $ratioKept  the middle of their exhale over inhale, as a part of what was prescribed
     */
    private function __construct(public array $breaths, public ?float $lag, public ?float $ratioKept)
    {
    }

    /**
     * @param  list<array{start: float, length: float, ratio: float}>  $prescribed  s on the trace's clock, s, exhale over inhale
     *
     * @throws InvalidValue when nothing was prescribed
     */
    public static function of(array $prescribed, Breaths $observed, float $recordedFrom, float $recordedTo): self
    {
        if ($prescribed === []) {
            throw InvalidValue::because('Nothing was played that could have been followed.');
        }
        $all = $lags = $ratios = [];
        foreach ($prescribed as ['start' => $start, 'length' => $length, 'ratio' => $ratio]) {
            $from = $start - self::BEFORE * $length;
            $to = $start + self::AFTER * $length;
            $inhales = array_values(array_filter(
                $observed->all, fn (ObservedBreath $breath) => $breath->start >= $from && $breath->start < $to,
            ));
            $isSeen = $start >= $recordedFrom && $to <= $recordedTo && $observed->disturbed($from, $to) <= self::MOST_OTHER;
            $isOne = count($inhales) === 1 && abs($inhales[0]->start - $start) <= self::WITHIN * $length;
            $all[] = match (true) {
                ! $isSeen => Followed::Unknown,
                $isOne => Followed::Yes,
                default => Followed::No,
            };
            if ($isSeen && $isOne) {
                $lags[] = $inhales[0]->start - $start;
                if ($inhales[0]->isClear) {
                    $ratios[] = $inhales[0]->ratio() / $ratio;
                }
            }
        }

        return new self($all, $lags === [] ? null : Median::of($lags), $ratios === [] ? null : Median::of($ratios));
    }

    public function followed(): int
    {
        return count(array_keys($this->breaths, Followed::Yes, true));
    }

    /** Of how many something can be said. */
    public function seen(): int
    {
        return count($this->breaths) - count(array_keys($this->breaths, Followed::Unknown, true));
    }

    /** @return float|null 0 to 1; null when nothing can be said of most of them */
    public function share(): ?float
    {
        return 2 * $this->seen() < count($this->breaths) ? null : $this->followed() / $this->seen();
    }
}
