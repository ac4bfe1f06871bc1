<?php

declare(strict_types=1);

namespace App\Language;

use Carbon\CarbonImmutable;
use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Breath\Timeline\Timeline;
use IvoryPace\Exercise\Own;
use IvoryPace\Exercise\Told\Part;
use IvoryPace\Exercise\Told\Sentence;
use IvoryPace\Exercise\Told\Spoken;

/** Composed sentences in the language that is spoken now. */
final class Told
{
    private const A_MONDAY = '2024-01-01';

    private const FIRST_LINES = 3;

    public static function say(Sentence $sentence): string
    {
        $values = [];
        foreach ($sentence->values as $name => $value) {
            $values[$name] = match (true) {
                is_array($value) => isset($value['key']) ? (string) __($value['key']) : self::any($value['any']),
                $name === 'days' => self::weekdays((string) $value),
                default => $value,
            };
        }

        return isset($sentence->values['count']) && is_int($sentence->values['count'])
            ? trans_choice($sentence->key, $sentence->values['count'], $values) : (string) __($sentence->key, $values);
    }

    /** @param  list<string>  $keys  "dizzy, tingling or unreal" */
    private static function any(array $keys): string
    {
        $words = array_map(fn (string $key) => (string) __($key), $keys);
        $last = (string) array_pop($words);

        return $words === [] ? $last : (string) __('told.or', ['some' => implode(', ', $words), 'last' => $last]);
    }

    /**
     * By what they are about, in order.
     *
     * @param  list<Sentence>  $sentences
     * @return list<array{part: string, label: string, texts: list<string>}>
     */
    public static function parts(array $sentences): array
    {
        $parts = [];
        foreach ($sentences as $sentence) {
            $parts[$sentence->part->value][] = self::say($sentence);
        }

        return array_map(
            fn (string $part, array $texts) => ['part' => $part, 'label' => self::label(Part::from($part)), 'texts' => $texts],
            array_keys($parts), $parts,
        );
    }

    public static function label(Part $part): string
    {
        return (string) __("told.part.{$part->value}");
    }

    /** What stands on the screen while a cue lasts: "out, pursed lips, letting it sink", "right thumb". */
    public static function shown(Cue $cue): string
    {
        return self::inWords(Spoken::shown($cue));
    }

    /** The first lines that are heard once it is led, to the first two phases: "ready … in, nose … out, nose". */
    public static function heardFirst(Timeline $timeline): string
    {
        $led = array_filter($timeline->segments, fn (Segment $segment) => $segment->role !== SegmentRole::Teach);
        $cues = array_merge([], ...array_map(fn (Segment $segment) => $segment->cues, array_values($led)));
        $cues = array_slice($cues, 0, self::FIRST_LINES + 3);
        $lines = array_values(array_filter(array_map(fn (Cue $cue) => $cue->kind === CueKind::Bell ? '' : self::spoken($cue), $cues)));

        return implode(' … ', array_slice(array_values(array_unique($lines)), 0, self::FIRST_LINES));
    }

    /** The longest of what may be said of a cue. */
    public static function spoken(Cue $cue): string
    {
        return self::inWords(Spoken::lines($cue)[0] ?? []);
    }

    /** @param  list<list<string>>  $line  groups of keys */
    public static function inWords(array $line): string
    {
        return implode(', ', array_map(fn (array $words) => implode(' ', array_map(self::word(...), $words)), $line));
    }

    private static function word(string $key): string
    {
        return match (true) {
            str_starts_with($key, 'number.') => substr($key, strlen('number.')),
            str_starts_with($key, Own::AS_IT_IS) => substr($key, strlen(Own::AS_IT_IS)),
            default => (string) __($key),
        };
    }

    private static function weekdays(string $days): string
    {
        return implode(' ', array_map(
            fn (string $day) => CarbonImmutable::parse(self::A_MONDAY)->addDays((int) $day - 1)->isoFormat('ddd'), explode(',', $days),
        ));
    }
}
