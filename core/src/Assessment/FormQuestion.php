<?php

declare(strict_types=1);

namespace IvoryPace\Assessment;

use IvoryPace\InvalidValue;

/** One question of a form. */
final readonly class FormQuestion
{
    public const CHOICE = 'choice';

    public const WHOLE = 'integer';

    public const TEXT = 'text';

    /** Decimals of what an answer counts: as many as are kept of a score. */
    public const DECIMALS = 2;

    /** Characters of an answer in words. */
    public const MOST_TEXT = 1000;

    /**
     * @param  string  $kind  one of the constants
     * @param  list<array{label: string, weight: float|null}>  $options  of a choice; the answer is the place in this list, from 0
     * @param  int  $least  of a whole number
     * @param  int  $most  of a whole number
     */
    private function __construct(
        public string $key,
        public string $text,
        public string $kind,
        public array $options,
        public int $least,
        public int $most,
    ) {
    }

    /** @param  list<array{label: string, weight: float|int|null}>  $options */
    public static function choice(string $key, string $text, array $options): self
    {
        $options = array_map(
            fn (array $option) => ['label' => $option['label'], 'weight' => $option['weight'] === null ? null : (float) $option['weight']],
            $options,
        );

        return new self($key, $text, self::CHOICE, $options, 0, count($options) - 1);
    }

    public static function whole(string $key, string $text, int $least, int $most): self
    {
        return new self($key, $text, self::WHOLE, [], $least, $most);
    }

    public static function text(string $key, string $text): self
    {
        return new self($key, $text, self::TEXT, [], 0, self::MOST_TEXT);
    }

    /** What is said in words may be left out. */
    public function mayStayOpen(): bool
    {
        return $this->kind === self::TEXT;
    }

    /** Whether its options count for the score. */
    public function isWeighed(): bool
    {
        return $this->kind === self::CHOICE && array_filter($this->options, fn (array $option) => $option['weight'] !== null) !== [];
    }

    /** @return list<float> what its options count; one without a weight counts nothing */
    public function weights(): array
    {
        return array_map(fn (array $option) => $option['weight'] ?? 0.0, $this->options);
    }

    /**
     * @return int|string|null the answer as it is kept; null when there is none
     *
     * @throws InvalidValue when it is none of those that can be given
     */
    public function read(mixed $given): int|string|null
    {
        if ($given === null || $given === '') {
            return null;
        }
        if ($this->kind === self::TEXT) {
            $text = is_string($given) ? trim($given) : throw InvalidValue::because('An answer in words is no text.');

            return mb_strlen($text) > self::MOST_TEXT
                ? throw InvalidValue::because('An answer in words has at most '.self::MOST_TEXT.' characters.')
                : ($text === '' ? null : $text);
        }
        $value = filter_var(is_bool($given) ? (int) $given : $given, FILTER_VALIDATE_INT);
        if ($value === false || $value < $this->least || $value > $this->most) {
            throw InvalidValue::because("An answer is outside {$this->least} to {$this->most}. Choose one of those shown.");
        }

        return $value;
    }

    /** An answer that was kept, in words. */
    public function said(int|string $answer): string
    {
        return $this->kind === self::CHOICE ? $this->options[(int) $answer]['label'] ?? '' : (string) $answer;
    }
}
