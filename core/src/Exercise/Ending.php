<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

/** How a practice ends. Common practice. */
enum Ending: string
{
    /** A bell, and getting up slowly after lying down. */
    case Bell = 'bell';
    /** No bell and no getting up; nothing sounds after the last cue. Lying, falling asleep is welcome. */
    case Quiet = 'quiet';
    /** The effect is noticed, then the eyes open and the head comes up, before the bell. */
    case Slow = 'slow';

    public function label(): string
    {
        return match ($this) {
            self::Bell => 'a bell and the way back',
            self::Quiet => 'quietly; lying, falling asleep is welcome',
            self::Slow => 'slowly, noticing the effect',
        };
    }
}
