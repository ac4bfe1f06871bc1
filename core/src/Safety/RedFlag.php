<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

/** Something to refer before any breathing programme. Blocks issuing until a clinician records what was done. */
enum RedFlag: string
{
    /** Where the limits of rate, saturation, pulse and pressure come from; all else is common practice. */
    public const LIMITS_SOURCE = 'Royal College of Physicians, National Early Warning Score (NEWS) 2, 2017 (from memory).';

    case ChestPain = 'chest-pain';
    case BreathlessAtRest = 'breathless-at-rest';
    case CoughingBlood = 'coughing-blood';
    case BlueLips = 'blue-lips';
    case Fainting = 'fainting-now';
    case NewWheeze = 'new-wheeze';
    case WeightLossOrFever = 'weight-loss-or-fever';
    case CalfSwelling = 'calf-swelling';
    case FastDeepBreathing = 'fast-deep-breathing';
    case HeadInjury = 'head-injury';
    case Suicide = 'suicide';
    case RestingRate = 'resting-rate';
    case Saturation = 'saturation';
    case Pulse = 'pulse';
    case SystolicPressure = 'systolic-pressure';

    /** As asked in the screening. */
    public function question(): string
    {
        return match ($this) {
            self::ChestPain => 'Chest pain?',
            self::BreathlessAtRest => 'Breathless at rest, or waking breathless, and not yet investigated?',
            self::CoughingBlood => 'Coughing blood?',
            self::BlueLips => 'Blue lips?',
            self::Fainting => 'Fainting?',
            self::NewWheeze => 'A new wheeze, or signs on one side of the chest only?',
            self::WeightLossOrFever => 'Unexplained weight loss or fever?',
            self::CalfSwelling => 'A swollen calf together with breathlessness?',
            self::FastDeepBreathing => 'Fast deep breathing with thirst, vomiting or drowsiness?',
            self::HeadInjury => 'A recent head injury?',
            self::Suicide => 'Thoughts of suicide?',
            self::RestingRate => 'Resting rate 25 or more, or 8 or fewer, breaths a minute?',
            self::Saturation => 'Oxygen saturation 91 % or less, or below the patient’s own normal range?',
            self::Pulse => 'Pulse 131 or more, or 40 or less?',
            self::SystolicPressure => 'Systolic blood pressure 90 or less, or 220 or more?',
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::ChestPain => 'chest pain',
            self::BreathlessAtRest => 'breathlessness at rest, not investigated',
            self::CoughingBlood => 'coughing blood',
            self::BlueLips => 'blue lips',
            self::Fainting => 'fainting',
            self::NewWheeze => 'new wheeze or one-sided chest signs',
            self::WeightLossOrFever => 'unexplained weight loss or fever',
            self::CalfSwelling => 'swollen calf with breathlessness',
            self::FastDeepBreathing => 'fast deep breathing with thirst, vomiting or drowsiness',
            self::HeadInjury => 'recent head injury',
            self::Suicide => 'thoughts of suicide',
            self::RestingRate => 'resting rate out of range',
            self::Saturation => 'low oxygen saturation',
            self::Pulse => 'pulse out of range',
            self::SystolicPressure => 'blood pressure out of range',
        };
    }

    /** True when only an instrument can tell. */
    public function isMeasured(): bool
    {
        return in_array($this, [self::RestingRate, self::Saturation, self::Pulse, self::SystolicPressure], true);
    }

    /** What to bear in mind with the question; null when there is nothing. */
    public function note(): ?string
    {
        return match ($this) {
            self::FastDeepBreathing => 'It may be compensating: diabetes, kidneys, infection.',
            default => $this->isMeasured() ? 'Adults, not in pregnancy.' : null,
        };
    }
}
