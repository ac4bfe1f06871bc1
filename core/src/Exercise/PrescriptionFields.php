<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

use IvoryPace\Breath\Phase;
use IvoryPace\Exercise\Body\Prop;

/** A prescription as plain fields, the form in which it is stored and edited; {@see PrescriptionReader} reads it back. */
final class PrescriptionFields
{
    /** @return array<string, mixed> */
    public static function write(Prescription $prescription): array
    {
        return [
            'technique' => $prescription->technique->key,
            'ratio' => $prescription->pattern?->toString(),
            'count_length' => $prescription->countLength->seconds,
            'breaths' => $prescription->breaths,
            'minutes' => $prescription->minutes,
            'parameters' => $prescription->parameters,
            'position' => $prescription->position->value,
            'props' => array_map(fn (Prop $prop) => $prop->value, $prescription->props),
            'route_in' => $prescription->routeIn->value,
            'route_out' => $prescription->routeOut->value,
            'effort' => $prescription->effort->value,
            'gaze' => $prescription->gaze->value,
            'hands' => $prescription->hands->value,
            'own_prop' => $prescription->ownProp === '' ? null : $prescription->ownProp,
            'start' => $prescription->start->value,
            'ending' => $prescription->ending?->value,
            'bells_first' => $prescription->bellsFirst,
            'bells_last' => $prescription->bellsLast,
            ...self::guidance($prescription->guidance),
            'own_name' => $prescription->own?->name,
            'own_right' => $prescription->own?->right,
            'own_in' => $prescription->own?->in,
            'own_out' => $prescription->own?->out,
        ];
    }

    /** @return array<string, mixed> */
    public static function guidance(Guidance $guidance): array
    {
        $counting = [];
        foreach ([Phase::Inhale, Phase::Hold, Phase::Exhale, Phase::Rest] as $phase) {
            $counting[$phase->value] = $guidance->counting($phase)->value;
        }

        return [
            'counting' => $counting,
            'cue_word' => $guidance->cueWord,
            'fade' => $guidance->fade->value,
            'fastest' => $guidance->tempo->fastest,
            'slowest' => $guidance->tempo->slowest,
        ];
    }
}
