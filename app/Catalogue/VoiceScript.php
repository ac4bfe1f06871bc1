<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Models\Practitioner;
use App\Models\ProgrammeItem;
use IvoryPace\Exercise\Told\Script;

/** The lines that a practitioner can record, those first with which most of the running programmes speak. */
final class VoiceScript
{
    public const MOST_CLIPS = 1000;

    /** Exercises of the running programmes that are looked at. */
    private const MOST_ITEMS = 300;

    /** @return array<string, float> longest length in seconds by key */
    public static function lines(): array
    {
        return FromCatalogue::remember('script', Script::lines(...));
    }

    /** What is said, in the language that is spoken now. */
    public static function text(string $line): string
    {
        return str_starts_with($line, 'number.') ? substr($line, strlen('number.')) : (string) __($line);
    }

    /** @return list<non-empty-list<string>> lines that are said alike and may last as long: one recording is enough for them */
    public static function alike(): array
    {
        $groups = [];
        foreach (self::lines() as $line => $longest) {
            $groups[self::text($line)."\n$longest"][] = $line;
        }

        return array_values($groups);
    }

    /** @return non-empty-list<string> the line itself first */
    public static function alikeTo(string $line): array
    {
        $group = array_values(array_filter(self::alike(), fn (array $group) => in_array($line, $group, true)))[0] ?? [];

        return [$line, ...array_values(array_diff($group, [$line]))];
    }

    /** @return list<list<string>> of each exercise that the practitioner's patients do now: the lines that it says */
    public static function running(Practitioner $practitioner): array
    {
        $lines = self::lines();

        return array_values(
            ProgrammeItem::query()->select('programme_items.*')
                ->join('programme_versions', 'programme_versions.id', '=', 'programme_items.programme_version_id')
                ->join('programmes', 'programmes.id', '=', 'programme_versions.programme_id')
                ->join('patients', 'patients.id', '=', 'programmes.patient_id')
                ->where('patients.practitioner_id', $practitioner->id)->whereNull('programmes.closed_on')
                ->whereRaw(
                    'programme_versions.number = (select max(later.number) from programme_versions later where later.programme_id = '
                        .'programmes.id)',
                )
                ->orderBy('programme_items.id')->limit(self::MOST_ITEMS)->get()
                ->map(fn (ProgrammeItem $row) => array_values(array_filter(
                    Script::of($row->item()->timeline()), fn (string $key) => isset($lines[$key]),
                )))->all(),
        );
    }
}
