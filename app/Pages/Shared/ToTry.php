<?php

declare(strict_types=1);

namespace App\Pages\Shared;

use App\Language\Told;
use App\Models\Patient;
use App\Models\ProgrammeItem;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Technique;
use IvoryPace\Exercise\Told\RightWords;
use IvoryPace\Programme\Item;

/** What can be led in the room. */
final class ToTry
{
    /** @return list<array<string, mixed>> what can be tried: the exercises in force, then the catalogue */
    public static function of(Patient $patient): array
    {
        $rows = $patient->activeProgramme?->latestVersion()?->items->all() ?? [];
        $own = array_map(fn (ProgrammeItem $row) => self::choice($row->item(), $row->fields, $row->lineage), array_values($rows));
        $catalogue = array_map(fn (Technique $technique) => [
            'name' => $technique->name, 'lineage' => null, 'fields' => ['technique' => $technique->key], 'ratio' => $technique->ratio,
            'count_length' => $technique->ratio === null ? null : $technique->count,
            'right' => array_map(fn (string $key) => (string) __($key), $technique->teaching->right),
            'mistakes' => array_map(fn (string $key) => (string) __($key), $technique->teaching->mistakes),
            'hands' => (string) __("hands.{$technique->handsIn($technique->positions[0])[0]->value}"),
        ], array_values(array_filter(Catalogue::all(), fn (Technique $technique) => ! $technique->isOwn)));

        return [...$own, ...$catalogue];
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed>
     */
    private static function choice(Item $item, array $fields, string $lineage): array
    {
        $technique = $item->prescription->technique;
        $right = $item->routine !== null ? [] : array_map(Told::say(...), RightWords::right($item->prescription, $item->school));

        return [
            'name' => $item->name(), 'lineage' => $lineage, 'fields' => $fields,
            'ratio' => $item->routine === null ? ($fields['ratio'] ?? null) : null,
            'count_length' => $item->routine === null && isset($fields['ratio']) ? $item->prescription->countLength->seconds : null,
            'right' => $right,
            'mistakes' => $item->routine !== null ? [] : array_map(fn (string $key) => (string) __($key), $technique->teaching->mistakes),
            'hands' => $item->routine !== null ? '' : (string) __("hands.{$item->prescription->hands->value}"),
        ];
    }
}
