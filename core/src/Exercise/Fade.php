<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

/** What drops out over a set, until the breath goes by itself. Stop and the end stay as they are. */
enum Fade: string
{
    case Nothing = 'nothing';
    case Sound = 'sound';
    case SoundThenSight = 'sound-then-sight';

    public function label(): string
    {
        return match ($this) {
            self::Nothing => 'sound and sight all through',
            self::Sound => 'the sound fades out',
            self::SoundThenSight => 'the sound, then the sight fades out',
        };
    }

    /**
     * Loudness of a breath's tones, 0–1: full for a third of the set, gone after two thirds.
     *
     * @param  float  $share  how far the set is when the breath begins, 0–1
     */
    public function sound(float $share): float
    {
        return $this === self::Nothing ? 1.0 : self::falling($share, 1 / 3, 2 / 3);
    }

    /** How clearly a breath is drawn, 0–1: full until two thirds of the set, gone at its end. */
    public function sight(float $share): float
    {
        return $this === self::SoundThenSight ? self::falling($share, 2 / 3, 1.0) : 1.0;
    }

    private static function falling(float $share, float $from, float $to): float
    {
        return round(max(0.0, min(1.0, ($to - $share) / ($to - $from))), 3);
    }
}
