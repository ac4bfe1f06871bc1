<?php

declare(strict_types=1);

namespace IvoryPace\Assessment;

use IvoryPace\InvalidValue;

/**
 * A form as questions, with the answers that each takes and what they count. Of one that a clinic brings along nothing else is
 * known: no band, no reliable change and no rule goes by it, and none of its answers raises a red flag.
 */
final readonly class Form
{
    public const MOST_QUESTIONS = 100;

    public const MOST_OPTIONS = 30;

    /** Points, up or down, that a whole form may count: what can be kept of a score. */
    public const MOST_POINTS = 9999;

    public const MOST_TITLE = 120;

    public const MOST_WORDS = 500;

    /** With which the key of one begins that a clinic brought along. */
    public const PREFIX = 'own-';

    /** @param  list<FormQuestion>  $questions */
    public function __construct(public string $title, public string $intro, public array $questions)
    {
    }

    /** The same questions have the same name in every clinic. */
    public function key(): string
    {
        return self::PREFIX.substr(hash('sha256', json_encode($this->write(), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)), 0, 16);
    }

    /** @return array<string, mixed> as it is stored */
    public function write(): array
    {
        return ['title' => $this->title, 'intro' => $this->intro, 'questions' => array_map(fn (FormQuestion $question) => [
            'key' => $question->key, 'text' => $question->text, 'kind' => $question->kind, 'options' => $question->options,
            'least' => $question->least, 'most' => $question->most,
        ], $this->questions)];
    }

    /**
     * @param  array<array-key, mixed>  $stored
     *
     * @throws InvalidValue when it is none that was written
     */
    public static function read(array $stored): self
    {
        $questions = [];
        foreach (is_array($stored['questions'] ?? null) ? $stored['questions'] : [] as $row) {
            $row = is_array($row) ? $row : [];
            [$key, $text] = [self::text($row['key'] ?? null, 255), self::text($row['text'] ?? null, self::MOST_WORDS)];
            $questions[] = match ($row['kind'] ?? null) {
                FormQuestion::CHOICE => FormQuestion::choice($key, $text, self::options($row['options'] ?? null)),
                FormQuestion::WHOLE => FormQuestion::whole(
                    $key, $text, self::number($row['least'] ?? null), self::number($row['most'] ?? null),
                ),
                FormQuestion::TEXT => FormQuestion::text($key, $text),
                default => throw InvalidValue::because('A question is of no kind that is known.'),
            };
        }
        $form = new self(
            self::text($stored['title'] ?? null, self::MOST_TITLE), is_string($stored['intro'] ?? null) ? $stored['intro'] : '', $questions,
        );

        return $form->write() == $stored && $questions !== [] && count($questions) <= self::MOST_QUESTIONS && $form->canBeKept()
            ? $form : throw InvalidValue::because('It is no questionnaire as it was written.');
    }

    /** Whether every score that it can come to fits where scores are kept. */
    public function canBeKept(): bool
    {
        return max(abs($this->highest() ?? 0.0), abs($this->lowest() ?? 0.0)) <= self::MOST_POINTS;
    }

    /** @return float|null points; null when nothing in it counts */
    public function highest(): ?float
    {
        return $this->sum(fn (FormQuestion $question) => max([...$question->weights(), -INF]));
    }

    /** @return float|null points; null when nothing in it counts */
    public function lowest(): ?float
    {
        return $this->sum(fn (FormQuestion $question) => min([...$question->weights(), INF]));
    }

    /**
     * The sum of what the chosen answers count. How a missing one is to be made up for is not known, so there is no score then.
     *
     * @param  array<array-key, int|string>  $answers  by key of the question, as they were read
     */
    public function score(array $answers): Score
    {
        $weighed = $this->weighed();
        $sum = 0.0;
        foreach ($weighed as $question) {
            $answer = $answers[$question->key] ?? null;
            if ($answer === null) {
                return new Score(null, $this->missing($answers), '');
            }
            $sum += $question->weights()[(int) $answer] ?? 0.0;
        }

        return new Score($weighed === [] ? null : $sum, $this->missing($answers), '');
    }

    /**
     * Answers that are missing and may not.
     *
     * @param  array<array-key, int|string>  $answers
     */
    public function missing(array $answers): int
    {
        return count(array_filter(
            $this->questions, fn (FormQuestion $question) => ! $question->mayStayOpen() && ! isset($answers[$question->key]),
        ));
    }

    /** @param  callable(FormQuestion): float  $counts */
    private function sum(callable $counts): ?float
    {
        $weighed = $this->weighed();

        return $weighed === [] ? null : (float) array_sum(array_map($counts, $weighed));
    }

    /** @return list<FormQuestion> */
    private function weighed(): array
    {
        return array_values(array_filter($this->questions, fn (FormQuestion $question) => $question->isWeighed()));
    }

    private static function text(mixed $text, int $most): string
    {
        return is_string($text) && trim($text) !== '' && mb_strlen($text) <= $most
            ? $text : throw InvalidValue::because("A text is missing, or longer than $most characters.");
    }

    private static function number(mixed $number): int
    {
        return is_int($number) ? $number : throw InvalidValue::because('A limit is no whole number.');
    }

    /** @return list<array{label: string, weight: float|null}> */
    private static function options(mixed $options): array
    {
        $read = [];
        foreach (is_array($options) ? $options : [] as $option) {
            $weight = is_array($option) ? $option['weight'] ?? null : null;
            $read[] = [
                'label' => self::text(is_array($option) ? $option['label'] ?? null : null, self::MOST_WORDS),
                'weight' => is_int($weight) || is_float($weight) ? (float) $weight : null,
            ];
        }

        return count($read) > 1 && count($read) <= self::MOST_OPTIONS
            ? $read : throw InvalidValue::because('A choice has 2 to '.self::MOST_OPTIONS.' answers.');
    }
}
