<?php

declare(strict_types=1);

namespace IvoryPace\Assessment;

use IvoryPace\InvalidValue;
use IvoryPace\Numbers;

/** A tape at the lower ribs, at the end of an exhale and of an inhale: the best of up to three. Common practice. */
final readonly class RibExpansion
{
    /** Where the tape lies; the lower ribs where nothing is said. Common practice. */
    public const LEVELS = ['lower ribs', 'breastbone', 'armpits'];

    private const LEAST_CM = 30;

    private const MOST_CM = 200;

    /**
     * @param  non-empty-list<array{float, float}>  $pairs  end of exhale, end of inhale, cm
     * @param  float  $best  largest difference, cm
     * @param  float  $spread  largest minus smallest difference, cm
     */
    private function __construct(public array $pairs, public float $best, public float $spread)
    {
    }

    /**
     * @param  array<mixed>  $pairs  one to three of [end of exhale, end of inhale], cm
     *
     * @throws InvalidValue
     */
    public static function of(array $pairs): self
    {
        if ($pairs === [] || count($pairs) > BestOf::MOST_TRIES) {
            throw InvalidValue::because('Type the tape at the end of an exhale and of an inhale, one to three times.');
        }
        $read = [];
        $differences = [];
        foreach ($pairs as $pair) {
            $pair = is_array($pair) ? array_values($pair) : [];
            $out = self::centimetres($pair[0] ?? null);
            $in = self::centimetres($pair[1] ?? null);
            if ($in < $out) {
                throw InvalidValue::because(
                    'At the end of the inhale the tape reads '.Numbers::print($in).' cm, less than the '.Numbers::print($out)
                        .' cm at the end of the exhale. Are they swapped?',
                );
            }
            $read[] = [$out, $in];
            $differences[] = round($in - $out, 3);
        }

        return new self($read, max($differences), round(max($differences) - min($differences), 3));
    }

    private static function centimetres(mixed $typed): float
    {
        $value = Numbers::read($typed, 'centimetres');
        if ($value < self::LEAST_CM || $value > self::MOST_CM) {
            throw InvalidValue::because(Numbers::print($value).' cm around the ribs is outside '.self::LEAST_CM.' to '.self::MOST_CM.'.');
        }

        return $value;
    }
}
