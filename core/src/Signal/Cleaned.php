<?php

declare(strict_types=1);

namespace IvoryPace\Signal;

use IvoryPace\Signal\Steps\Artefacts;
use IvoryPace\Signal\Steps\Drift;
use IvoryPace\Signal\Steps\Smoothing;

/** A trace without its drift, and smooth; and which seconds of it tell nothing. */
final readonly class Cleaned
{
    private function __construct(public Trace $trace, public Artefacts $artefacts)
    {
    }

    public static function of(Trace $raw): self
    {
        return new self(Smoothing::of(Drift::removed($raw)), Artefacts::in($raw));
    }

    /** How much of the time between two moments, in s, is something else or nothing: 0 to 1. */
    public function disturbed(float $from, float $to): float
    {
        $first = ($from - $this->trace->startsAt) * Trace::RATE;
        $last = ($to - $this->trace->startsAt) * Trace::RATE;

        return max($this->artefacts->share($first, $last), $this->trace->missing((int) round($first), (int) round($last)));
    }
}
