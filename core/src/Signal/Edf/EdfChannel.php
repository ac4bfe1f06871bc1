<?php

declare(strict_types=1);

namespace IvoryPace\Signal\Edf;

use IvoryPace\InvalidValue;

/** One signal of an EDF file: whole numbers, and what they mean. */
final readonly class EdfChannel
{
    public const LOWEST = -32768;

    public const HIGHEST = 32767;

    /**
     * @param  string  $label  at most 16 signs, "Resp belly"
     * @param  string  $unit  at most 8 signs
     * @param  string  $physicalMin  as it is written, at most 8 signs; what the lowest whole number means
     * @param  string  $physicalMax  the same of the highest
     * @param  positive-int  $perRecord  samples in each record
     * @param  list<int>  $values  all records, one after the other
     *
     * @throws InvalidValue when the ranges mean nothing
     */
    public function __construct(
        public string $label,
        public string $unit,
        public string $physicalMin,
        public string $physicalMax,
        public int $digitalMin,
        public int $digitalMax,
        public int $perRecord,
        public array $values,
        public string $transducer = '',
        public string $prefilter = '',
        public string $reserved = '',
    ) {
        if ($digitalMin >= $digitalMax) {
            throw InvalidValue::because("Signal “{$label}”: its lowest whole number, $digitalMin, is not below its highest, $digitalMax.");
        }
        if (! is_numeric($physicalMin) || ! is_numeric($physicalMax) || (float) $physicalMin === (float) $physicalMax) {
            throw InvalidValue::because("Signal “{$label}”: $physicalMin to $physicalMax $unit is no range.");
        }
    }

    /**
     * @param  non-empty-list<float>  $values  in the unit
     * @param  positive-int  $perRecord
     *
     * @throws InvalidValue when one is no number
     */
    public static function of(string $label, string $unit, array $values, int $perRecord): self
    {
        foreach ($values as $value) {
            if (! is_finite($value)) {
                throw InvalidValue::because("Signal “{$label}” holds something that is no number.");
            }
        }
        $min = self::eight(min($values), false);
        $max = self::eight(max($values), true);
        if ((float) $min >= (float) $max) {
            $max = self::eight((float) $min + max(1.0, abs((float) $min) / 1000), true);
        }
        $step = ((float) $max - (float) $min) / (self::HIGHEST - self::LOWEST);

        $whole = fn (float $value) => (int) round(($value - (float) $min) / $step) + self::LOWEST;
        $digital = array_map(fn (float $value) => max(self::LOWEST, min(self::HIGHEST, $whole($value))), $values);

        return new self($label, $unit, $min, $max, self::LOWEST, self::HIGHEST, $perRecord, $digital);
    }

    /** @return list<float> in the unit */
    public function physical(): array
    {
        $min = (float) $this->physicalMin;
        $step = ((float) $this->physicalMax - $min) / ($this->digitalMax - $this->digitalMin);

        return array_map(fn (int $value) => $min + ($value - $this->digitalMin) * $step, $this->values);
    }

    /** A number in eight signs that is not further in than the value. */
    private static function eight(float $value, bool $up): string
    {
        for ($decimals = 5; $decimals >= 0; $decimals--) {
            $scale = 10 ** $decimals;
            $text = number_format(($up ? ceil($value * $scale) : floor($value * $scale)) / $scale, $decimals, '.', '');
            if (strlen($text) <= 8) {
                return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
            }
        }
        throw InvalidValue::because('A value of '.$value.' is too large for an EDF file.');
    }
}
