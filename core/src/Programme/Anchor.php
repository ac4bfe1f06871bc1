<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

/** A daily habit that a practice hangs on. Windows are starting points that the prescriber can change. */
enum Anchor: string
{
    case Waking = 'waking';
    case BeforeBreakfast = 'before-breakfast';
    case Breakfast = 'breakfast';
    case MidMorning = 'mid-morning';
    case Lunch = 'lunch';
    case Afternoon = 'afternoon';
    case WayHome = 'way-home';
    case EveningMeal = 'evening-meal';
    case Evening = 'evening';
    case LightsOut = 'lights-out';
    /** A habit of the patient's own, named by the prescriber. */
    case Own = 'own';

    public function label(): string
    {
        return match ($this) {
            self::Waking => 'on waking',
            self::BeforeBreakfast => 'before breakfast',
            self::Breakfast => 'after breakfast',
            self::MidMorning => 'mid-morning',
            self::Lunch => 'before lunch',
            self::Afternoon => 'mid-afternoon',
            self::WayHome => 'on the way home',
            self::EveningMeal => 'before the evening meal',
            self::Evening => 'in the evening',
            self::LightsOut => 'lights out',
            self::Own => 'a habit of their own',
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
            self::BeforeBreakfast => ['06:00', '09:00'],
            self::Breakfast => ['07:00', '10:00'],
            self::MidMorning => ['09:30', '11:30'],
            self::Lunch => ['11:30', '14:00'],
            self::Afternoon => ['14:00', '16:30'],
            self::WayHome => ['16:00', '18:30'],
            self::EveningMeal => ['17:30', '20:00'],
            self::Evening => ['19:30', '22:00'],
            self::LightsOut => ['21:30', '01:30'],
            self::Own => ['12:00', '14:00'],
        };
    }

    /** Anchors over a day, in the order in which they are taken when there are more and more practices. */
    private const FILLED = [
        self::LightsOut, self::Waking, self::Lunch, self::EveningMeal, self::Afternoon, self::MidMorning, self::Evening, self::Breakfast,
        self::WayHome, self::BeforeBreakfast,
    ];

    /**
     * @param  list<self>  $first
     * @return list<self> all of them, the most usual first
     */
    public static function byPriority(array $first): array
    {
        return array_values(array_unique([...$first, ...self::FILLED], SORT_REGULAR));
    }

    /**
     * Anchors for n practices a day, spread over the day: those that are asked for first, then as many others as there is
     * need of.
     *
     * @param  list<self>  $first  at which it is usually practised
     * @param  bool  $isForBed  whether it may end the day
     * @return list<self> in the order of the day
     */
    public static function spread(int $timesADay, array $first = [], bool $isForBed = true): array
    {
        $others = array_filter(self::FILLED, fn (self $anchor) => $isForBed || $anchor !== self::LightsOut);
        $taken = array_slice(array_unique([...$first, ...$others], SORT_REGULAR), 0, max(0, $timesADay));

        return array_values(array_filter(self::cases(), fn (self $anchor) => in_array($anchor, $taken, true)));
    }
}
