<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

/** How a programme ended. */
enum Outcome: string
{
    case GoalReached = 'goal-reached';
    case Better = 'better';
    case NoChange = 'no-change';
    case Symptoms = 'symptoms';
    case Patient = 'patient';
    case ReferredOn = 'referred-on';

    public function label(): string
    {
        return match ($this) {
            self::GoalReached => 'goal reached', self::Better => 'better, goal not reached', self::NoChange => 'no change',
            self::Symptoms => 'ended for symptoms', self::Patient => 'ended by the patient', self::ReferredOn => 'referred on',
        };
    }
}
