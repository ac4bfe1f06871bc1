<?php

declare(strict_types=1);

namespace IvoryPace\Assessment;

use IvoryPace\Safety\Flag;
use IvoryPace\Safety\RedFlag;

/** Which questions a screening asks, and whether they are all answered. */
final class Screening
{
    /** @return list<string> keys of all questions: "red.chest-pain", "flag.asthma" */
    public static function keys(): array
    {
        return [
            ...array_map(fn (RedFlag $flag) => self::redKey($flag), RedFlag::asked()),
            ...array_map(fn (Flag $flag) => self::flagKey($flag), Flag::asked()),
        ];
    }

    /** @return list<string> keys that a patient can answer alone: all but what has to be measured */
    public static function keysForPatients(): array
    {
        $measured = array_map(self::redKey(...), array_filter(RedFlag::asked(), fn (RedFlag $flag) => $flag->isMeasured()));

        return array_values(array_diff(self::keys(), $measured));
    }

    public static function redKey(RedFlag $flag): string
    {
        return "red.{$flag->value}";
    }

    public static function flagKey(Flag $flag): string
    {
        return "flag.{$flag->value}";
    }

    /**
     * @param  array<string, bool>  $answers  by key
     * @return list<string> keys without an answer
     */
    public static function unanswered(array $answers): array
    {
        return array_values(array_filter(self::keys(), fn (string $key) => ! array_key_exists($key, $answers)));
    }

    /**
     * What keeps a programme from being issued after a screening: a question that has come since is unanswered for
     * everybody who was screened before.
     *
     * @param  array<string, bool>  $answers  by key
     * @return string|null null when every question is answered
     */
    public static function obstacle(array $answers): ?string
    {
        $new = count(self::unanswered($answers));

        return match ($new) {
            0 => null,
            1 => 'One question is new since this screening. Answer it first.',
            default => "$new questions are new since this screening. Answer them first.",
        };
    }
}
