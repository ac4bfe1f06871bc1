<?php

declare(strict_types=1);

namespace IvoryPace\Signal;

/** One breath as a trace shows it, from the start of an inhale to the start of the next. */
final readonly class ObservedBreath
{
    /**
     * @param  float  $start  s
     * @param  float  $inhale  s
     * @param  float  $hold  s with the breath in
     * @param  float  $exhale  s
     * @param  float  $rest  s with the breath out
     * @param  float  $amplitude  in the trace's unit
     * @param  bool  $isSigh  more than twice as large as the others
     * @param  bool  $isClear  nothing else is in it
     */
    public function __construct(
        public float $start,
        public float $inhale,
        public float $hold,
        public float $exhale,
        public float $rest,
        public float $amplitude,
        public bool $isSigh,
        public bool $isClear,
    ) {
    }

    /** s */
    public function length(): float
    {
        return $this->inhale + $this->hold + $this->exhale + $this->rest;
    }

    public function end(): float
    {
        return $this->start + $this->length();
    }

    /** Exhale over inhale. */
    public function ratio(): float
    {
        return $this->exhale / $this->inhale;
    }
}
