<?php

declare(strict_types=1);

namespace App\Language;

use IvoryPace\Programme\Item;
use IvoryPace\Programme\ItemChange;

/** What changes in a programme, in plain words for the patient; the practitioner edits them before they are issued. */
final class PatientChanges
{
    /** Parts that a patient notices; the rest is the practitioner's. */
    /** @param  list<ItemChange>  $changes */
    public static function inWords(array $changes): string
    {
        return implode("\n", array_filter(array_map(self::sentence(...), $changes)));
    }

    private static function sentence(ItemChange $change): string
    {
        $name = self::name($change->item);
        if ($change->kind !== 'changed') {
            return (string) __("patient.changes.{$change->kind}", ['name' => $name]);
        }
        $parts = [];
        foreach ($change->lines as $line) {
            if ($line->part?->isTold() === true && $line->to !== '') {
                $parts[] = (string) __("patient.changes.{$line->part->value}", ['from' => $line->from, 'to' => $line->to]);
            }
        }

        return $parts === [] ? '' : "$name: ".implode(' ', $parts);
    }

    private static function name(Item $item): string
    {
        return $item->routine->name ?? $item->prescription->own->name ?? (string) __("exercise.{$item->prescription->technique->key}.name");
    }
}
