<?php

declare(strict_types=1);

namespace IvoryPace\Session;

/** A session's note as the steps before it fill it; the practitioner edits and signs it. */
final class NoteDraft
{
    /**
     * @param  array<string, list<string>>  $sections  sentences by heading, in order; empty ones are left out
     * @return string plain text, a heading and its sentences in each paragraph
     */
    public static function text(array $sections): string
    {
        $paragraphs = [];
        foreach ($sections as $heading => $sentences) {
            $said = array_values(array_filter(array_map(self::sentence(...), $sentences), fn (string $sentence) => $sentence !== ''));
            if ($said !== []) {
                $paragraphs[] = "$heading\n".implode("\n", $said);
            }
        }

        return implode("\n\n", $paragraphs);
    }

    /** "Extended exhale 4:0:6:1; effort 3 of 10; smooth; seen: shoulders stay down". */
    public static function tried(string $name, ?string $pattern, ?int $effort, ?string $smooth, string ...$seen): string
    {
        return implode('; ', array_filter([
            trim("$name $pattern"), $effort === null ? '' : "effort $effort of 10",
            match ($smooth) {
                'yes' => 'smooth',
                'partly' => 'partly smooth',
                'no' => 'not smooth',
                default => '',
            },
            $seen === [] ? '' : 'seen: '.implode(', ', array_map(fn (string $line) => rtrim($line, '. '), $seen)),
        ]));
    }

    /**
     * "Extended exhale: practised 12 times, 86 % of what was due; stopped once, for dizziness".
     *
     * @param  int  $times  practices that count
     * @param  float|null  $share  0–1 of what was due; null when nothing was
     * @param  array<string, int>  $stops  how often, by what it was stopped for
     */
    public static function practised(string $name, int $times, ?float $share, array $stops): string
    {
        $often = fn (int $count): string => match ($count) {
            0 => 'not practised',
            1 => 'practised once',
            default => "practised $count times",
        };
        $stopped = array_map(
            fn (string $for, int $count) => ($count === 1 ? 'once' : "$count times").", for $for", array_keys($stops), array_values($stops),
        );

        return "$name: {$often($times)}".($share === null ? '' : ', '.round(100 * $share).' % of what was due')
            .($stopped === [] ? '' : '; stopped '.implode('; ', $stopped));
    }

    /** "Resting rate 14.2 breaths/min (17 last time, 18.6 at first)". */
    public static function measured(string $label, string $now, ?string $last, ?string $first): string
    {
        $earlier = implode(', ', array_filter([$last === null ? '' : "$last last time", $first === null ? '' : "$first at first"]));

        return "$label $now".($earlier === '' ? '' : " ($earlier)");
    }

    private static function sentence(string $said): string
    {
        $said = trim($said);

        return $said === '' || preg_match('/[.!?…”]$/u', $said) === 1 ? $said : "$said.";
    }
}
