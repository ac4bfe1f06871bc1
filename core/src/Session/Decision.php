<?php

declare(strict_types=1);

namespace IvoryPace\Session;

/** What a practitioner decides for a prescribed exercise. */
enum Decision: string
{
    case GoOn = 'go-on';
    case StepUp = 'step-up';
    case Stay = 'stay';
    case StepBack = 'step-back';
    case Lighten = 'lighten';
    case Pause = 'pause';
    case Stop = 'stop';

    public function label(): string
    {
        return match ($this) {
            self::GoOn => 'go on',
            self::StepUp => 'step up',
            self::Stay => 'stay',
            self::StepBack => 'step back',
            self::Lighten => 'lighten',
            self::Pause => 'pause',
            self::Stop => 'stop',
        };
    }
}
