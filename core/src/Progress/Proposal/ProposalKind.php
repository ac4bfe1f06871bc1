<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Proposal;

/** What is proposed for an exercise, in the order in which the rules are asked. */
enum ProposalKind: string
{
    case Look = 'look';
    case StepBack = 'step-back';
    case TooEarly = 'too-early';
    case Lighten = 'lighten';
    case Finish = 'finish';
    case StepUp = 'step-up';
    /** Everything speaks for a step up but an old measurement that stands in the way. */
    case MeasureAgain = 'measure-again';
    case Stay = 'stay';

    public function label(): string
    {
        return match ($this) {
            self::Look => 'Look first', self::StepBack => 'Step back', self::TooEarly => 'Too early to say', self::Lighten => 'Lighten',
            self::Finish => 'Finish', self::StepUp => 'Step up', self::MeasureAgain => 'Measure again', self::Stay => 'Stay',
        };
    }

    /** Whether it asks for a decision; the others leave things as they are or are told elsewhere. */
    public function asksForDecision(): bool
    {
        return in_array($this, [self::StepBack, self::Lighten, self::Finish, self::StepUp, self::MeasureAgain], true);
    }

    /** The rule that proposes it, as it is named in the record. */
    public function rule(): string
    {
        return 'PROPOSE-'.strtoupper($this->value);
    }
}
