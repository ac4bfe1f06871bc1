<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

/** How big a breath is and how its exhale ends. */
enum Effort: string
{
    /** No bigger than a resting breath, passive exhale. */
    case Gentle = 'gentle';
    /** A full inhale, passive exhale. */
    case Full = 'full';
    /** The belly drawn in at the end of the exhale. */
    case Active = 'active';
    /** Exhale to the last of the air. */
    case Complete = 'complete';

    public function label(): string
    {
        return match ($this) {
            self::Gentle => 'gentle',
            self::Full => 'full',
            self::Active => 'active at the end',
            self::Complete => 'complete',
        };
    }

    /** Lung volume at the top of the breath, 0–1 (common practice, for drawing and cueing only). */
    public function top(): float
    {
        return match ($this) {
            self::Gentle, self::Active => 0.5,
            self::Full, self::Complete => 1.0,
        };
    }

    /** Lung volume at the end of the exhale; below 0 is past the relaxed level. */
    public function bottom(): float
    {
        return match ($this) {
            self::Gentle, self::Full => 0.0,
            self::Active => -0.08,
            self::Complete => -0.2,
        };
    }
}
