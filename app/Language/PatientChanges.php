<?php

declare(strict_types=1);

namespace App\Language;

use IvoryPace\Programme\ItemChange;

/** What changes in a programme, in plain words for the patient; the practitioner edits them before they are issued. */
final class PatientChanges
{
    /** @param  list<ItemChange>  $changes */
    public static function inWords(array $changes): string
    {
        return implode("\n", array_filter(array_map(self::sentence(...), $changes)));
    }

    private static function sentence(ItemChange $change): string
    {
        $name = PlainWords::name($change->item);
        if ($change->kind !== 'changed') {
            return (string) __("patient.changes.{$change->kind}", ['name' => $name]);
        }
        $parts = [];
        foreach ($change->lines as $line) {
            if ($line->part?->isTold() === true && $line->to !== '' && $change->was !== null) {
                $parts[] = (string) __("patient.changes.{$line->part->value}", [
                    'from' => PlainWords::part($line->part, $change->was), 'to' => PlainWords::part($line->part, $change->item),
                ]);
            }
        }

        return $parts === [] ? '' : "$name: ".implode(' ', $parts);
    }
}
