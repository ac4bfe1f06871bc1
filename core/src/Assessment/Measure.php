<?php

declare(strict_types=1);

namespace IvoryPace\Assessment;

use IvoryPace\InvalidValue;
use IvoryPace\Numbers;

/** What a practitioner measures as a number, with what is possible and what is usual. */
enum Measure: string
{
    case RestingRate = 'resting-rate';
    case Inhale = 'inhale';
    case Hold = 'hold';
    case Exhale = 'exhale';
    case Ceiling = 'ceiling';
    case HandCheck = 'hand-check';
    case HandCheckDeep = 'hand-check-deep';
    case RibExpansion = 'rib-expansion';
    case Girth = 'girth';
    case RibFlare = 'rib-flare';
    case Rhythm = 'rhythm';
    case Pulse = 'pulse';
    case Saturation = 'saturation';
    case Systolic = 'systolic';
    case Diastolic = 'diastolic';
    case PeakFlow = 'peak-flow';
    case PeakFlowBest = 'peak-flow-best';
    /** The lowest saturation seen during a hold or retention; never one at rest. */
    case SaturationFall = 'saturation-fall';
    case Symptom = 'symptom';

    /** @return list<self> those that every patient has; symptoms are chosen for each */
    public static function ofEveryone(): array
    {
        $measures = [];
        foreach (self::cases() as $measure) {
            if ($measure !== self::Symptom) {
                $measures[] = $measure;
            }
        }

        return $measures;
    }

    /** @return list<self> whose latest value the safety rules and ladders look at */
    public static function ofRules(): array
    {
        return [self::RestingRate, self::Inhale, self::Hold, self::Exhale, self::Ceiling, self::SaturationFall];
    }

    /** How it is taken. */
    public function how(): Taking
    {
        return match ($this) {
            self::RestingRate => Taking::Taps,
            self::Inhale, self::Hold, self::Exhale => Taking::Tries,
            self::Ceiling => Taking::Ceiling,
            self::HandCheck, self::HandCheckDeep => Taking::Hands,
            self::RibExpansion => Taking::Ribs,
            self::Rhythm => Taking::Rhythm,
            self::Symptom => Taking::Rating,
            self::SaturationFall => Taking::Fall,
            default => Taking::Typed,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::RestingRate => 'Resting rate',
            self::Inhale => 'Comfortable inhale',
            self::Hold => 'Comfortable hold',
            self::Exhale => 'Comfortable exhale or hum',
            self::Ceiling => 'Comfort ceiling',
            self::HandCheck => 'Hand check',
            self::HandCheckDeep => 'Hand check, deep breath',
            self::RibExpansion => 'Rib expansion',
            self::Girth => 'Girth at rest, lower ribs',
            self::RibFlare => 'Rib flare, angle',
            self::Rhythm => 'Route and rhythm',
            self::Pulse => 'Pulse',
            self::Saturation => 'Oxygen saturation',
            self::Systolic => 'Systolic pressure',
            self::Diastolic => 'Diastolic pressure',
            self::PeakFlow => 'Peak flow',
            self::PeakFlowBest => 'Personal best of peak flow',
            self::SaturationFall => 'Lowest saturation in a hold',
            self::Symptom => 'Symptom',
        };
    }

    public function unit(): string
    {
        return match ($this) {
            self::RestingRate => 'breaths/min',
            self::Inhale, self::Hold, self::Exhale, self::Ceiling => 's',
            self::HandCheck, self::HandCheckDeep => '% at the chest',
            self::RibExpansion, self::Girth => 'cm',
            self::RibFlare => '°',
            self::Rhythm => 'sighs in 5 min',
            self::Pulse => 'beats/min',
            self::Saturation, self::SaturationFall => '%',
            self::Systolic, self::Diastolic => 'mmHg',
            self::PeakFlow, self::PeakFlowBest => 'l/min',
            self::Symptom => 'of 10',
        };
    }

    /** @return array{float, float} outside of these nothing is stored */
    public function possible(): array
    {
        return match ($this) {
            self::RestingRate => [2, 80],
            self::Inhale, self::Hold, self::Exhale => [0.5, 120],
            self::Ceiling => [0.5, 60],
            self::HandCheck, self::HandCheckDeep => [0, 100],
            self::RibExpansion => [0, 20],
            self::Girth => [40, 200],
            self::RibFlare => [30, 150],
            self::Rhythm => [0, 50],
            self::Pulse => [20, 250],
            self::Saturation, self::SaturationFall => [50, 100],
            self::Systolic => [50, 280],
            self::Diastolic => [20, 180],
            self::PeakFlow, self::PeakFlowBest => [30, 900],
            self::Symptom => [0, 10],
        };
    }

    /**
     * Outside of these it is asked once more. Rate, pulse, saturation and systolic pressure: {@see EarlyWarning}; the others
     * are common practice.
     *
     * @return array{float, float}
     */
    public function usual(): array
    {
        [$min, $max] = $this->possible();
        $urgent = EarlyWarning::range($this);

        return $urgent !== null ? [(float) $urgent[0], (float) min($max, $urgent[1])] : match ($this) {
            self::Inhale => [1.5, 12],
            self::Hold => [1, 40],
            self::Exhale => [2, 40],
            self::Ceiling => [2, 15],
            self::RibExpansion => [1, 9],
            self::Girth => [55, 150],
            self::RibFlare => [60, 110],
            self::Rhythm => [0, 20],
            self::Diastolic => [41, 119],
            self::PeakFlow, self::PeakFlowBest => [100, 800],
            default => [$min, $max],
        };
    }

    /** True when it is taken at rest, so that a value may be urgent. */
    public function isAtRest(): bool
    {
        return in_array($this, [self::RestingRate, self::Saturation, self::Pulse, self::Systolic, self::Diastolic, self::PeakFlow], true);
    }

    /** The best of several tries, in seconds. */
    public function isLimit(): bool
    {
        return $this->how() === Taking::Tries;
    }

    /** @throws InvalidValue when it is impossible, with the range */
    public function check(float $value): float
    {
        [$min, $max] = $this->possible();
        if ($value < $min || $value > $max) {
            throw InvalidValue::because(
                "{$this->label()} of ".Numbers::print($value)." {$this->unit()} is outside ".Numbers::print($min).' to '
                    .Numbers::print($max).'.',
            );
        }

        return $value;
    }

    public function isUnusual(float $value): bool
    {
        [$min, $max] = $this->usual();

        return $value < $min || $value > $max;
    }
}
