<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Assessment\SaturationFall;
use IvoryPace\Numbers;
use IvoryPace\Safety\Cause;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\Look;
use IvoryPace\Safety\Rule;

/** A retention, or a pause over 2 s, of someone whose oxygen saturation fell during one. Common practice. */
final class SaturationFallen implements Rule
{
    public function id(): string
    {
        return 'SATURATION-FALL';
    }

    /** What a fall says of holds and retentions; null when it is nothing to speak of. */
    public static function levelOf(SaturationFall $fall): ?Level
    {
        return match (true) {
            $fall->isDeep() => Level::NeedsReason,
            $fall->isLasting() => Level::Caution,
            default => null,
        };
    }

    public function check(Look $look): ?Finding
    {
        $fall = $look->patient->saturationFall;
        $level = $fall === null ? null : self::levelOf($fall);
        if ($fall === null || $level === null || ($look->of->retention <= 0 && $look->of->pause() <= Holding::SHORT + 1e-9)) {
            return null;
        }
        $seconds = max($look->of->retention, $look->of->pause());

        return new Finding(
            $this->id(), $level, 'Saturation fell during a hold',
            'From '.Numbers::print($fall->from).' % to '.Numbers::print($fall->lowest).' % for '.Numbers::print($fall->seconds)
                .' s; here nothing moves for '.Numbers::print($seconds).' s.',
            $look->of->retention > 0 ? 'parameters' : 'hold',
            new Cause([], ['fall' => 100 - $fall->lowest, 'points' => $fall->points(), 'seconds' => $seconds]),
        );
    }

    public function changes(Look $look, Finding $finding): array
    {
        return $look->of->retention > 0 ? Holding::withoutRetention($look) : Holding::shorterPause($look);
    }
}
