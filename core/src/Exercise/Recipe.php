<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Timeline\Segment;

/** How a technique becomes a timeline: what is its own about it, without lead-in, bell and return. */
interface Recipe
{
    /**
     * The exercise and what leads into it, in order.
     *
     * @return list<Segment> at least one
     */
    public function segments(Prescription $prescription): array;

    /**
     * Every breath that is breathed, once each, the first first; empty when breaths are not paced.
     *
     * @return list<Cycle>
     */
    public function cycles(Prescription $prescription): array;
}
