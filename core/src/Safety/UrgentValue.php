<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use IvoryPace\Assessment\Measure;

/**
 * A measured value that has to be looked into before any breathing programme: a red flag of its own. In adults who are
 * not pregnant. Limits: Royal College of Physicians, National Early Warning Score (NEWS) 2, 2017 (from memory).
 */
final class UrgentValue
{
    public const ID = 'URGENT-VALUE';

    private const ADULT = 16;

    /**
     * @param  float  $value  in the unit of the measure
     * @param  float|null  $ownLowSaturation  lower end of the patient's own recorded normal range, %
     * @return RedFlag|null null when nothing is claimed
     */
    public static function of(Measure $measure, float $value, PatientFacts $patient, ?float $ownLowSaturation = null): ?RedFlag
    {
        if (($patient->age !== null && $patient->age < self::ADULT) || $patient->has(Flag::Pregnancy)) {
            return null;
        }

        return match (true) {
            $measure === Measure::RestingRate && ($value >= 25 || $value <= 8) => RedFlag::RestingRate,
            $measure === Measure::Saturation && ($ownLowSaturation === null ? $value <= 91 : $value < $ownLowSaturation) => RedFlag::Saturation,
            $measure === Measure::Pulse && ($value >= 131 || $value <= 40) => RedFlag::Pulse,
            $measure === Measure::Systolic && ($value <= 90 || $value >= 220) => RedFlag::SystolicPressure,
            default => null,
        };
    }
}
