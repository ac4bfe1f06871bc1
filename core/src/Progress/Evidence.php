<?php

declare(strict_types=1);

namespace IvoryPace\Progress;

use IvoryPace\Median;
use IvoryPace\Numbers;

/**
 * What an exercise's practices say, in numbers. A rating that is missing is left out, and never counts as good: how
 * many there were stands beside every share.
 */
final readonly class Evidence
{
    public int $practices;

    public int $stops;

    /** 0–10; null when nobody said. */
    public ?float $effort;

    public int $effortSaid;

    public ?float $before;

    public ?float $after;

    public int $smooth;

    public int $smoothSaid;

    /** Practices after which it was no worse than before, of those rated both times. */
    public int $noWorse;

    public int $ratedTwice;

    /** Practices that a device measured. */
    public int $measured;

    /** Breaths in them that were followed, of those that could be seen, 0–1; null when none was measured. */
    public ?float $followed;

    /** By how much they were begun late, s, in the middle. */
    public ?float $lag;

    /**
     * @param  list<RatedPractice>  $practices  since the last change
     * @param  int  $due  practices that were due
     * @param  float  $credit  of them practised
     */
    public function __construct(array $practices, public int $due, public float $credit)
    {
        // There may be hundreds: one walk over them.
        $efforts = $before = $after = [];
        $stops = $smooth = $smoothSaid = $noWorse = $ratedTwice = $measured = $followed = $seen = 0;
        $lags = [];
        foreach ($practices as $each) {
            $stops += $each->stoppedForSymptom ? 1 : 0;
            if ($each->effort !== null) {
                $efforts[] = $each->effort;
            }
            if ($each->before !== null) {
                $before[] = $each->before;
            }
            if ($each->after !== null) {
                $after[] = $each->after;
            }
            if ($each->smooth !== null) {
                $smoothSaid++;
                $smooth += $each->smooth === 'yes' ? 1 : 0;
            }
            if ($each->felt !== null) {
                $measured++;
                $followed += $each->felt->followed;
                $seen += $each->felt->seen;
                $lags = $each->felt->lag === null ? $lags : [...$lags, $each->felt->lag];
            }
            if ($each->before !== null && $each->after !== null) {
                $ratedTwice++;
                $noWorse += $each->after <= $each->before ? 1 : 0;
            }
        }
        $this->practices = count($practices);
        $this->stops = $stops;
        $this->effort = self::median($efforts);
        $this->effortSaid = count($efforts);
        $this->before = self::median($before);
        $this->after = self::median($after);
        $this->smooth = $smooth;
        $this->smoothSaid = $smoothSaid;
        $this->noWorse = $noWorse;
        $this->ratedTwice = $ratedTwice;
        $this->measured = $measured;
        $this->followed = $seen === 0 ? null : $followed / $seen;
        $this->lag = $lags === [] ? null : Median::of($lags);
    }

    /** Credit over due, 0–1; null when nothing was due. */
    public function adherence(): ?float
    {
        return $this->due === 0 ? null : $this->credit / $this->due;
    }

    /**
     * @param  string  $since  from when on
     * @param  string  $rated  what is rated before and after, where it is to be named
     * @return list<array{number: string, text: string}>
     */
    public function lines(string $since = 'since the last change', string $rated = ''): array
    {
        $stops = $this->stops === 0
            ? []
            : [
                [
                    'number' => (string) $this->stops,
                    'text' => $this->stops === 1 ? 'was stopped for a symptom.' : 'were stopped for a symptom.',
                ],
            ];

        return [...$this->linesWithoutStops($since, $rated), ...$stops];
    }

    /**
     * Where stops are told by their symptom instead.
     *
     * @return list<array{number: string, text: string}>
     */
    public function linesWithoutStops(string $since, string $rated = ''): array
    {
        $lines = [];
        if ($this->due > 0) {
            $lines[] = [
                'number' => round(100 * ($this->adherence() ?? 0)).' %',
                'text' => 'practised: '.Numbers::print($this->credit, 1)." of {$this->due} due.",
            ];
        }
        $lines[] = ['number' => (string) $this->practices, 'text' => $this->practices === 1 ? "practice $since." : "practices $since."];
        if ($this->effort !== null) {
            $lines[] = ['number' => (string) $this->effort, 'text' => 'of 10 is the median effort.'];
        }
        if ($this->smoothSaid > 0) {
            $lines[] = ['number' => "{$this->smooth} of {$this->smoothSaid}", 'text' => 'were smooth.'];
        }
        if ($this->followed !== null) {
            $late = $this->lag === null ? '' : ', begun '.Numbers::print(abs($this->lag), 1).' s '.($this->lag < 0 ? 'early' : 'late');
            $lines[] = [
                'number' => round(100 * $this->followed).' %',
                'text' => "of the breaths followed in {$this->measured} measured ".($this->measured === 1 ? 'practice' : 'practices')
                    ."$late.",
            ];
        }
        if ($this->ratedTwice > 0) {
            $lines[] = [
                'number' => "{$this->before} to {$this->after}",
                'text' => ltrim("$rated before to after, medians; no worse after {$this->noWorse} of {$this->ratedTwice}."),
            ];
        }

        return $lines;
    }

    /** @param  list<int>  $values */
    private static function median(array $values): ?float
    {
        return $values === [] ? null : Median::of($values);
    }
}
