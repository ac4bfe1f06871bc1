<?php

declare(strict_types=1);

namespace IvoryPace\Breath;

/** What a stretch of a timeline asks of the patient. */
enum CueKind: string
{
    case LeadIn = 'lead-in';
    case Empty = 'empty';
    case Inhale = 'inhale';
    case TopUp = 'top-up';
    case Hold = 'hold';
    case Exhale = 'exhale';
    case Hum = 'hum';
    case Rest = 'rest';
    case Retention = 'retention';
    case Release = 'release';
    case Free = 'free';
    case Tense = 'tense';
    case LetGo = 'let-go';
    case Region = 'region';
    case Number = 'number';
    case Step = 'step';
    case Move = 'move';
    case Listen = 'listen';
    case Bell = 'bell';
    case Settle = 'settle';
    case Return = 'return';

    /**
     * How the lung volume moves during the cue, as the two control points of a cubic curve from (0, 0) to
     * (1, 1): time share, volume share. A passive exhale falls quickly at first and then tails off.
     *
     * @return array{float, float, float, float}
     */
    public function curve(): array
    {
        return match ($this) {
            self::Inhale, self::TopUp => [0.36, 0.0, 0.62, 1.0],
            self::Exhale, self::Hum, self::Empty, self::Release => [0.22, 0.0, 0.46, 1.0],
            default => [0.33, 0.0, 0.67, 1.0],
        };
    }
}
