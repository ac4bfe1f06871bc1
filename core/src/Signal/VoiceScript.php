<?php

declare(strict_types=1);

namespace IvoryPace\Signal;

/** What a practitioner may record once: numbers, cue words, and instructions. Where nothing is recorded, tones stay. */
final class VoiceScript
{
    /** Counts that are spoken; longer ones are ticked. */
    public const NUMBERS = 12;

    /** A number has to be over before the next one, in seconds. */
    public const LONGEST_NUMBER_S = 0.8;

    public const LONGEST_WORD_S = 1.6;

    public const LONGEST_INSTRUCTION_S = 4.0;

    /** Breathing words, the most used first; what is not on the list keeps its tone. */
    private const WORDS = [
        'cue.inhale.nose', 'cue.exhale.nose', 'cue.exhale.mouth', 'cue.exhale.pursed-lips', 'cue.exhale.soft-open-mouth', 'cue.exhale.hum',
        'cue.inhale.mouth', 'cue.inhale.pursed-lips',
        'cue.hold', 'cue.rest', 'cue.top-up', 'cue.nostril.in', 'cue.nostril.out', 'cue.soft-pause', 'cue.hold-soft', 'cue.let-go',
        'cue.release',
    ];

    private const INSTRUCTIONS = [
        'cue.lead-in', 'cue.settle', 'cue.empty', 'cue.retention', 'cue.breathe-between', 'cue.free-between', 'cue.return.roll',
        'cue.return.sit-up',
    ];

    /** @return array<string, float> longest length in seconds by key, in the order of recording */
    public static function lines(): array
    {
        $numbers = array_map(fn (int $number) => "number.$number", range(1, self::NUMBERS));

        return array_fill_keys($numbers, self::LONGEST_NUMBER_S) + array_fill_keys(self::WORDS, self::LONGEST_WORD_S) + array_fill_keys(
            self::INSTRUCTIONS, self::LONGEST_INSTRUCTION_S,
        );
    }
}
