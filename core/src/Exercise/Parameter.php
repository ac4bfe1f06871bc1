<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

use IvoryPace\InvalidValue;
use IvoryPace\Numbers;

/** A number of a technique that the prescriber can change, beside ratio, breaths and minutes. */
final readonly class Parameter
{
    /**
     * @param  string  $name  stable, used in stored prescriptions
     * @param  string  $label  for the prescriber, read after the number: "counts in the first step"
     * @param  float  $step  whole multiples of this are taken
     * @param  array<int, string>  $choices  by value, for one that is chosen rather than measured
     */
    public function __construct(
        public string $name,
        public string $label,
        public float $default,
        public float $min,
        public float $max,
        public float $step = 1.0,
        public array $choices = [],
    ) {
    }

    /** @param  array<int, string>  $choices  by value from 1; the first is the default */
    public static function choice(string $name, string $label, array $choices): self
    {
        return new self($name, $label, 1, 1, count($choices), 1.0, $choices);
    }

    /** @throws InvalidValue when out of range or between two steps */
    public function check(float $value): float
    {
        if (! ($value >= $this->min - 1e-9 && $value <= $this->max + 1e-9)) {
            throw InvalidValue::because(
                Numbers::print($value)." {$this->label} is outside ".Numbers::print($this->min).' to '.Numbers::print($this->max).'.',
            );
        }
        if (abs($value / $this->step - round($value / $this->step)) > 1e-6) {
            throw InvalidValue::because(Numbers::print($value)." {$this->label} is not a multiple of ".Numbers::print($this->step).'.');
        }

        return $value;
    }

    /** "15 s retention", or the choice in words. */
    public function print(float $value): string
    {
        return $this->choices[(int) round($value)] ?? Numbers::print($value).' '.$this->label;
    }
}
