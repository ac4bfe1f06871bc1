<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use IvoryPace\Health\Flag;

/**
 * What made a rule speak: the flags, and the numbers, of which greater is worse. A finding is new, and a reason is asked
 * again, where one of them was not there before or has grown.
 */
final readonly class Cause
{
    /** @var list<Flag> each once */
    public array $flags;

    /**
     * @param  list<Flag>  $flags
     * @param  array<string, float>  $numbers  by what they measure
     */
    public function __construct(array $flags = [], public array $numbers = [])
    {
        $byValue = [];
        foreach ($flags as $flag) {
            $byValue[$flag->value] = $flag;
        }
        $this->flags = array_values($byValue);
    }

    /** True when the other brings nothing that is not in this one. */
    public function covers(self $other): bool
    {
        foreach ($other->flags as $flag) {
            if (! in_array($flag, $this->flags, true)) {
                return false;
            }
        }
        foreach ($other->numbers as $of => $number) {
            if (! isset($this->numbers[$of]) || $number > $this->numbers[$of] + 1e-6) {
                return false;
            }
        }

        return true;
    }

    /** Both together; of the same number the worse. */
    public function and(self $other): self
    {
        $numbers = $this->numbers;
        foreach ($other->numbers as $of => $number) {
            $numbers[$of] = max($numbers[$of] ?? $number, $number);
        }

        return new self([...$this->flags, ...$other->flags], $numbers);
    }

    /** The same in one step of a routine: there it is a thing of its own. */
    public function inStep(int $step): self
    {
        $numbers = ["step $step" => 1.0];
        foreach ($this->numbers as $of => $number) {
            $numbers["step $step $of"] = $number;
        }

        return new self($this->flags, $numbers);
    }

    /** @return array{flags: list<string>, numbers: array<string, float>} as it is stored */
    public function write(): array
    {
        return ['flags' => array_map(fn (Flag $flag) => $flag->value, $this->flags), 'numbers' => $this->numbers];
    }

    /** Reads what {@see write()} wrote; what cannot be read covers nothing. */
    public static function read(mixed $stored): self
    {
        $flags = is_array($stored) && is_array($stored['flags'] ?? null) ? $stored['flags'] : [];
        $numbers = is_array($stored) && is_array($stored['numbers'] ?? null) ? $stored['numbers'] : [];

        return new self(
            array_values(array_filter(array_map(fn (mixed $flag) => is_string($flag) ? Flag::tryFrom($flag) : null, $flags))),
            array_map(
                fn (mixed $number) => (float) (is_numeric($number) ? $number : 0),
                array_filter($numbers, is_string(...), ARRAY_FILTER_USE_KEY),
            ),
        );
    }
}
