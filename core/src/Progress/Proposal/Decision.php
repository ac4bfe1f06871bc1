<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Proposal;

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

    /** Whether it does what was proposed. Null where a proposal asks for something else than a step: to look first. */
    public function follows(ProposalKind $proposal): ?bool
    {
        return match ($proposal) {
            ProposalKind::Look, ProposalKind::MeasureAgain => null,
            ProposalKind::StepBack => $this === self::StepBack,
            ProposalKind::TooEarly, ProposalKind::Stay => $this === self::Stay || $this === self::GoOn,
            ProposalKind::Lighten => $this === self::Lighten,
            ProposalKind::Finish => $this === self::Stop,
            ProposalKind::StepUp => $this === self::StepUp,
        };
    }
}
