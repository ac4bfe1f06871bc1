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

    /**
     * What is chosen from. "Go on" is what a change amounts to that is none of the others; whoever decides that nothing
     * changes says "stay".
     *
     * @return list<self>
     */
    public static function offered(): array
    {
        return [self::StepUp, self::Stay, self::StepBack, self::Lighten, self::Pause, self::Stop];
    }

    public function label(): string
    {
        return match ($this) {
            self::GoOn => 'changed otherwise',
            self::StepUp => 'step up',
            self::Stay => 'stay as it is',
            self::StepBack => 'step back',
            self::Lighten => 'lighten',
            self::Pause => 'pause',
            self::Stop => 'stop',
        };
    }

    /** Whether the next version is another because of it. */
    public function changesTheProgramme(): bool
    {
        return in_array($this, [self::StepUp, self::StepBack, self::Lighten, self::Stop], true);
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
