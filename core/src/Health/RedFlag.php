<?php

declare(strict_types=1);

namespace IvoryPace\Health;

/** Something to refer before any breathing programme. Blocks issuing until a clinician records what was done. */
enum RedFlag: string
{
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
    /** Of measured values together; never asked. Likewise those below. */
    case EarlyWarning = 'early-warning';
    case DiastolicPressure = 'diastolic-pressure';
    case PeakFlow = 'peak-flow';
    /** Advice to be arranged the same day: it pauses nothing, and issuing waits for it. */
    case SameDayAdvice = 'same-day-advice';
    case MaternityAdvice = 'maternity-advice';

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
            self::EarlyWarning => 'measured values that are urgent together',
            self::DiastolicPressure => 'diastolic pressure out of range',
            self::PeakFlow => 'peak flow under half of the personal best',
            self::SameDayAdvice => 'same-day medical advice for blood pressure',
            self::MaternityAdvice => 'speak to the maternity unit today',
        };
    }

    /** True when only an instrument can tell. */
    public function isMeasured(): bool
    {
        return in_array($this, [self::RestingRate, self::Saturation, self::Pulse, self::SystolicPressure], true) || ! $this->isAsked();
    }

    /** False for what only follows from measured values. */
    public function isAsked(): bool
    {
        return ! in_array(
            $this, [self::EarlyWarning, self::DiastolicPressure, self::PeakFlow, self::SameDayAdvice, self::MaternityAdvice], true,
        );
    }

    /** True when every exercise but recovery waits until a practitioner says that it may go on; advice pauses nothing. */
    public function pauses(): bool
    {
        return ! in_array($this, [self::SameDayAdvice, self::MaternityAdvice], true);
    }

    /** @return list<self> those that a screening asks */
    public static function asked(): array
    {
        return array_values(array_filter(self::cases(), fn (self $flag) => $flag->isAsked()));
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
