<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

/** What can change about an item from one version to the next; a technique's own parameters have their own labels. */
enum ItemPart: string
{
    case Routine = 'routine';
    case Steps = 'steps';
    case School = 'school';
    case ShortVersion = 'short-version';
    case Why = 'why';
    case PracticesADay = 'practices-a-day';
    case When = 'when';
    case Ratio = 'ratio';
    case Count = 'count';
    case Length = 'length';
    case Position = 'position';
    case Props = 'with';
    case RouteIn = 'in-by';
    case RouteOut = 'out-by';
    case Size = 'size';
    case Gaze = 'gaze';
    case Counting = 'counting';
    case Fading = 'fading';
    case OwnPace = 'own-pace';

    /** For the practitioner. */
    public function label(): string
    {
        return match ($this) {
            self::Size => 'size and effort',
            self::Gaze => 'eyes',
            default => str_replace('-', ' ', $this->value),
        };
    }

    /** Whether a patient is told that it changes: what is practised, how much of it, where and when. */
    public function isTold(): bool
    {
        return in_array(
            $this,
            [self::Ratio, self::Length, self::Position, self::PracticesADay, self::When, self::Props, self::Steps, self::ShortVersion],
            true,
        );
    }
}
