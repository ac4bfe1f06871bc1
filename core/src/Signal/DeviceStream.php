<?php

declare(strict_types=1);

namespace IvoryPace\Signal;

use IvoryPace\InvalidValue;
use IvoryPace\Signal\Steps\Resampling;
use JsonException;

/**
 * What a device sends: lines of JSON, {"t":2.76,"ch":{"belly":0.4,"chest":0.2}}, {"t":…,"acc":[x,y,z]}, {"t":…,"rr_ms":812} or
 * {"t":…,"spo2":97,"pulse":66}. Batches may come twice and in any order; within one, time goes on.
 */
final readonly class DeviceStream
{
    /** Bytes of one batch. */
    public const LARGEST = 256_000;

    public const MOST_LINES = 5_000;

    private const LONGEST_LINE = 400;

    /** s; a measurement lasts no longer. */
    public const LATEST = 7_200;

    /** @var array<string, array{int, int}> name in the line, and the least and the most that can be */
    private const NUMBERS = ['rr_ms' => [200, 3000], 'spo2' => [50, 100], 'pulse' => [20, 250]];

    private const CHANNELS = ['belly', 'chest'];

    /** In m/s², along one axis: no phone on a belly is thrown. */
    private const HARDEST = 200.0;

    /**
     * @param  array<string, list<array{float, float}>>  $values  s and value, by channel: belly, chest, x, y, z, rr_ms, spo2, pulse
     */
    private function __construct(public array $values)
    {
    }

    /** @throws InvalidValue with the line and what is wrong in it */
    public static function read(string $batch): self
    {
        if (strlen($batch) > self::LARGEST) {
            self::refuse('it has '.strlen($batch).' bytes; at most '.self::LARGEST.' come at once');
        }
        $lines = explode("\n", rtrim($batch, "\n"));
        if (count($lines) > self::MOST_LINES || $batch === '') {
            self::refuse('it has '.($batch === '' ? 'no' : count($lines)).' lines; 1 to '.self::MOST_LINES.' come at once');
        }
        $values = [];
        $last = -INF;
        foreach ($lines as $number => $line) {
            $said = self::line($line, $number + 1);
            $time = self::number($said['t'] ?? null, 0, self::LATEST, 't', $number + 1);
            if ($time < $last) {
                self::refuse('line '.($number + 1).': time runs backwards, from '.round($last, 3).' to '.round($time, 3).' s');
            }
            $last = $time;
            foreach (self::of($said, $number + 1) as $channel => $value) {
                $values[$channel][] = [$time, $value];
            }
        }

        return new self($values);
    }

    /** @return array<mixed> */
    private static function line(string $line, int $number): array
    {
        try {
            $said = strlen($line) > self::LONGEST_LINE ? null : json_decode($line, true, 4, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            $said = null;
        }

        return is_array($said) ? $said : self::refuse("line $number is no sample like {\"t\":1.04,\"ch\":{\"belly\":0.2}}");
    }

    /**
     * @param  array<mixed>  $said
     * @return array<string, float>
     */
    private static function of(array $said, int $number): array
    {
        $found = [];
        foreach (self::NUMBERS as $name => [$least, $most]) {
            if (array_key_exists($name, $said)) {
                $found[$name] = self::number($said[$name], $least, $most, $name, $number);
            }
        }
        foreach (self::CHANNELS as $channel) {
            if (is_array($said['ch'] ?? null) && array_key_exists($channel, $said['ch'])) {
                $found[$channel] = self::number($said['ch'][$channel], -Resampling::LARGEST, Resampling::LARGEST, $channel, $number);
            }
        }
        if (array_key_exists('acc', $said)) {
            $axes = is_array($said['acc']) && count($said['acc']) === 3 ? array_values($said['acc']) : [null, null, null];
            foreach (['x', 'y', 'z'] as $n => $axis) {
                $found[$axis] = self::number($axes[$n], -self::HARDEST, self::HARDEST, "acc, $axis", $number);
            }
        }

        return $found === [] ? self::refuse("line $number holds nothing that is known: ch, acc, rr_ms, or spo2 with pulse") : $found;
    }

    private static function number(mixed $value, float $least, float $most, string $what, int $line): float
    {
        $isOne = (is_int($value) || is_float($value)) && is_finite((float) $value) && $value >= $least && $value <= $most;

        return $isOne ? (float) $value : self::refuse("line $line: $what is a number from $least to $most");
    }

    private static function refuse(string $why): never
    {
        throw InvalidValue::because("These samples were not taken: $why.");
    }
}
