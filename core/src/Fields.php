<?php

declare(strict_types=1);

namespace IvoryPace;

use BackedEnum;

/** Plain fields as people type them, read one by one; what is wrong is kept by field. */
final class Fields
{
    /** @var array<string, string> by field: the first thing that is wrong with it */
    private array $errors = [];

    /** @param  array<string, mixed>  $input */
    public function __construct(public readonly array $input)
    {
    }

    /** @return array<string, string> */
    public function errors(): array
    {
        return $this->errors;
    }

    /** @param  array<string, string>  $errors  found elsewhere */
    public function add(array $errors): void
    {
        $this->errors += $errors;
    }

    /**
     * What is read, or null when it cannot be.
     *
     * @template T
     *
     * @param  callable(): T  $read
     * @return T|null
     */
    public function attempt(string $field, callable $read): mixed
    {
        try {
            return $read();
        } catch (InvalidValue $problem) {
            $this->errors[$field] ??= $problem->getMessage();

            return null;
        }
    }

    public function text(string $field): string
    {
        $value = $this->input[$field] ?? '';

        return is_scalar($value) ? trim((string) $value) : '';
    }

    /** @throws InvalidValue when it is longer */
    public function shortText(string $field, int $most, string $of): string
    {
        $text = $this->text($field);
        if (mb_strlen($text) > $most) {
            throw InvalidValue::because("$of has ".mb_strlen($text)." letters; $most fit.");
        }

        return $text;
    }

    /** @throws InvalidValue when it is no number */
    public function number(string $field, string $of): float
    {
        return Numbers::read($this->input[$field] ?? null, $of);
    }

    /** @throws InvalidValue when it is no number in the range */
    public function numberIn(string $field, float $min, float $max, string $of): float
    {
        $value = $this->number($field, $of);
        if ($value < $min - 1e-9 || $value > $max + 1e-9) {
            throw InvalidValue::because(Numbers::print($value)." $of is outside ".Numbers::print($min).' to '.Numbers::print($max).'.');
        }

        return $value;
    }

    /** @throws InvalidValue when it is no whole number in the range */
    public function whole(string $field, int $min, int $max, string $of): int
    {
        $value = $this->number($field, $of);
        if ($value != floor($value)) {
            throw InvalidValue::because("A number of $of is a whole number.");
        }

        return (int) $this->numberIn($field, $min, $max, $of);
    }

    public function isTrue(string $field): bool
    {
        return in_array($this->input[$field] ?? false, [true, 1, '1', 'true', 'on'], true);
    }

    /**
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     *
     * @throws InvalidValue
     */
    public function choice(string $enum, string $field): BackedEnum
    {
        return $enum::tryFrom($this->text($field)) ?? throw InvalidValue::because('Choose one of the list.');
    }

    /** @return array<mixed> empty when it is no list */
    public function list(string $field): array
    {
        return is_array($this->input[$field] ?? null) ? $this->input[$field] : [];
    }
}
