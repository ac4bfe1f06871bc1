<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

use IvoryPace\Fields;
use IvoryPace\InvalidValue;
use IvoryPace\Numbers;

/** What a programme is for: in the patient's words, and as a measure with a target. */
final readonly class Goal
{
    public const MAX_WORDS = 200;

    public const MAX_MEASURE = 60;

    /** @param  float  $target  in units of the measure, 0–1000 */
    private function __construct(public string $words, public string $measure, public float $target, public bool $atMost)
    {
    }

    /**
     * Reads words, measure, target, direction ("at-most" or "at-least").
     *
     * @param  array<string, mixed>  $input
     * @return array{self|null, array<string, string>} null when there is none or it cannot be read; errors by field
     */
    public static function read(array $input): array
    {
        $fields = new Fields($input);
        if ($fields->text('words') === '' && $fields->text('measure') === '' && $fields->text('target') === '') {
            return [null, []];
        }
        $words = $fields->attempt('words', fn () => $fields->shortText('words', self::MAX_WORDS, 'The goal'));
        $measure = $fields->attempt('measure', fn () => self::given($fields->shortText('measure', self::MAX_MEASURE, 'The measure')));
        $target = $fields->attempt('target', fn () => $fields->numberIn('target', 0, 1000, 'of the measure'));
        $direction = $fields->text('direction') === '' ? 'at-most' : $fields->text('direction');
        if (! in_array($direction, ['at-most', 'at-least'], true)) {
            $fields->add(['direction' => 'Choose one of the list.']);
        }
        $isComplete = $fields->errors() === [] && $measure !== null && $target !== null;

        return [$isComplete ? new self((string) $words, $measure, $target, $direction === 'at-most') : null, $fields->errors()];
    }

    /**
     * Days, up to the latest rated one, on which the measure was at its target without a day off it between.
     *
     * @param  list<int|float|null>  $ratings  day by day, latest last; null where it was not rated
     */
    public function daysReached(array $ratings): int
    {
        $days = 0;
        foreach (array_reverse($ratings) as $rating) {
            if ($rating === null) {
                continue;
            }
            if (! $this->isReachedBy($rating)) {
                break;
            }
            $days++;
        }

        return $days;
    }

    public function isReachedBy(float $value): bool
    {
        return $this->atMost ? $value <= $this->target : $value >= $this->target;
    }

    /** @return array{words: string, measure: string, target: float, direction: string} */
    public function write(): array
    {
        return [
            'words' => $this->words, 'measure' => $this->measure, 'target' => $this->target,
            'direction' => $this->atMost ? 'at-most' : 'at-least',
        ];
    }

    /** "evening tension at most 3". */
    public function summary(): string
    {
        return "{$this->measure} ".($this->atMost ? 'at most ' : 'at least ').Numbers::print($this->target);
    }

    private static function given(string $measure): string
    {
        return $measure !== '' ? $measure : throw InvalidValue::because('Name what is measured, like evening tension.');
    }
}
