<?php

declare(strict_types=1);

namespace IvoryPace\Progress;

/** Why a patient stands where they stand in the caseload, most urgent first. */
enum CaseloadReason: string
{
    case RedFlag = 'red-flag';
    case GetHelp = 'get-help';
    case Paused = 'paused';
    case NewFinding = 'new-finding';
    case Worse = 'worse';
    case HomeRate = 'home-rate';
    case ScreeningWaiting = 'screening-waiting';
    case KeptAside = 'kept-aside';
    case StoppedOnce = 'stopped-once';
    case LockedOut = 'locked-out';
    case NoPractice = 'no-practice';
    case AccessUnused = 'access-unused';
    case ReviewOverdue = 'review-overdue';
    case ProposalWaiting = 'proposal-waiting';
    case NotScreened = 'not-screened';
    case NoProgramme = 'no-programme';
    case OnTrack = 'on-track';
    case Finished = 'finished';
    case Archived = 'archived';

    /** Lower is more urgent. */
    public function order(): int
    {
        return (int) array_search($this, self::cases(), true);
    }

    /** True for what somebody should look at today. */
    public function isUrgent(): bool
    {
        return in_array($this, [self::RedFlag, self::GetHelp, self::Paused, self::Worse, self::HomeRate, self::StoppedOnce], true);
    }

    /** True where who needed help last stands first. */
    public function isNewestFirst(): bool
    {
        return $this === self::GetHelp;
    }

    /** @return list<string> values of the urgent ones, for the pages */
    public static function urgent(): array
    {
        return array_values(
            array_map(fn (self $reason) => $reason->value, array_filter(self::cases(), fn (self $reason) => $reason->isUrgent())),
        );
    }

    public function heading(): string
    {
        return match ($this) {
            self::RedFlag => 'Red flag',
            self::GetHelp => 'Needed help',
            self::Paused => 'Paused',
            self::NewFinding => 'New finding',
            self::Worse => 'Worse',
            self::HomeRate => 'Rate at home',
            self::ScreeningWaiting => 'Answers wait',
            self::KeptAside => 'Kept aside',
            self::LockedOut => 'Locked out',
            self::NoPractice => 'No practice',
            self::AccessUnused => 'Access not used',
            self::ReviewOverdue => 'Review overdue',
            self::StoppedOnce => 'Stopped once',
            self::ProposalWaiting => 'Proposal waits',
            self::NotScreened => 'New',
            self::NoProgramme => 'No programme yet',
            self::OnTrack => 'On track',
            self::Finished => 'Finished',
            self::Archived => 'Archived',
        };
    }
}
