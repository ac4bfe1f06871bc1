<?php

declare(strict_types=1);

namespace App\Facts\Calendar;

use App\Models\Absence;
use App\Models\Appointment;
use App\Models\Practitioner;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use IvoryPace\Calendar\Slot;

/** What somebody already has at the time of new appointments. It is said, not forbidden. */
final class WhatMeets
{
    private const MOST = 60;

    /** So many are named; of the others it is said how many. */
    private const NAMED = 3;

    /**
     * @param  non-empty-list<Appointment>  $new  with one practitioner; stored or not
     * @return list<string> sentences, in the clinic's time
     */
    public static function sentences(Practitioner $with, array $new): array
    {
        $slots = array_map(fn (Appointment $each) => $each->slot(), $new);
        $zone = $with->clinic->time_zone;
        $said = [];
        foreach (self::appointments($with, $new) as $other) {
            if (self::meetsAny($other->slot(), $slots)) {
                $at = $other->starts_at->setTimezone($zone)->format('D j M, H:i');
                $said[] = "{$with->name} also sees {$other->patient->name} on {$at}.";
            }
        }
        foreach (self::absences($with, $slots) as $absence) {
            if (self::meetsAny($absence->slot(), $slots)) {
                $until = $absence->ends_at->setTimezone($zone);
                $until = $until->format('H:i') === '00:00' ? $until->subDay()->format('D j M') : $until->format('D j M, H:i');
                $said[] = "{$with->name} is away until {$until}.";
            }
        }
        $more = count($said) - self::NAMED;

        return $more > 0 ? [...array_slice($said, 0, self::NAMED), "{$more} more meet as well."] : $said;
    }

    /** @param  list<Slot>  $slots */
    private static function meetsAny(Slot $one, array $slots): bool
    {
        foreach ($slots as $slot) {
            if ($one->meets($slot)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  non-empty-list<Appointment>  $new
     * @return iterable<Appointment>
     */
    private static function appointments(Practitioner $with, array $new): iterable
    {
        $ids = array_filter(array_map(fn (Appointment $each) => $each->id ?? null, $new));

        return Appointment::query()->with('patient')->where('practitioner_id', $with->id)->whereNull('cancelled_at')->whereNotIn('id', $ids)
            ->where(function (Builder $either) use ($new) {
                foreach ($new as $each) {
                    $slot = $each->slot();
                    $either->orWhereBetween('starts_at', [
                        CarbonImmutable::instance($slot->starts)->subMinutes(Slot::LONGEST), CarbonImmutable::instance($slot->ends),
                    ]);
                }
            })->orderBy('starts_at')->limit(self::MOST)->get();
    }

    /**
     * @param  non-empty-list<Slot>  $slots
     * @return iterable<Absence>
     */
    private static function absences(Practitioner $with, array $slots): iterable
    {
        return Absence::query()->where('practitioner_id', $with->id)->where(function (Builder $either) use ($slots) {
            foreach ($slots as $slot) {
                $either->orWhere(fn (Builder $one) => $one->where('starts_at', '<', $slot->ends)->where('ends_at', '>', $slot->starts));
            }
        })->orderBy('starts_at')->limit(self::MOST)->get();
    }
}
