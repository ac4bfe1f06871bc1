<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

/** A daily habit that a practice hangs on. Windows are starting points that the prescriber can change. */
enum Anchor: string
{
    case Waking = 'waking';
    case Breakfast = 'breakfast';
    case MidMorning = 'mid-morning';
    case Lunch = 'lunch';
    case Afternoon = 'afternoon';
    case WayHome = 'way-home';
    case EveningMeal = 'evening-meal';
    case Evening = 'evening';
    case LightsOut = 'lights-out';

    public function label(): string
    {
        return match ($this) {
            self::Waking => 'on waking',
            self::Breakfast => 'after breakfast',
            self::MidMorning => 'mid-morning',
            self::Lunch => 'before lunch',
            self::Afternoon => 'mid-afternoon',
            self::WayHome => 'on the way home',
            self::EveningMeal => 'before the evening meal',
            self::Evening => 'in the evening',
            self::LightsOut => 'lights out',
        };
    }

    /** Where one is about to sleep: what lies then ends quietly. */
    public function isNight(): bool
    {
        return $this === self::LightsOut;
    }

    /** @return array{string, string} usual window, from and to */
    public function usualWindow(): array
    {
        return match ($this) {
            self::Waking => ['05:30', '09:00'],
            self::Breakfast => ['07:00', '10:00'],
            self::MidMorning => ['09:30', '11:30'],
            self::Lunch => ['11:30', '14:00'],
            self::Afternoon => ['14:00', '16:30'],
            self::WayHome => ['16:00', '18:30'],
            self::EveningMeal => ['17:30', '20:00'],
            self::Evening => ['19:30', '22:00'],
            self::LightsOut => ['21:30', '01:30'],
        };
    }

    /**
     * Anchors for n practices a day, spread over the day.
     *
     * @return list<self>
     */
    public static function spread(int $timesADay): array
    {
        return match (max(0, min($timesADay, count(self::cases())))) {
            0 => [],
            1 => [self::LightsOut],
            2 => [self::Waking, self::LightsOut],
            3 => [self::Waking, self::Lunch, self::LightsOut],
            4 => [self::Waking, self::Lunch, self::EveningMeal, self::LightsOut],
            5 => [self::Waking, self::Lunch, self::Afternoon, self::EveningMeal, self::LightsOut],
            6 => [self::Waking, self::MidMorning, self::Lunch, self::Afternoon, self::EveningMeal, self::LightsOut],
            7 => [self::Waking, self::MidMorning, self::Lunch, self::Afternoon, self::EveningMeal, self::Evening, self::LightsOut],
            8 => [
                self::Waking, self::Breakfast, self::MidMorning, self::Lunch, self::Afternoon, self::EveningMeal, self::Evening,
                self::LightsOut,
            ],
            default => self::cases(),
        };
    }
}
