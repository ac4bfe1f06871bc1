<?php

declare(strict_types=1);

namespace IvoryPace\Signal\Reading;

use IvoryPace\InvalidValue;

/** A breath as it was led: with the pace that was chosen, and where it began after a wait. */
final readonly class PlayedBreath
{
    /** Of one recording. */
    public const MOST = 2000;

    private const LONGEST_S = 180.0;

    /** By which a clock of sound and one of pages may differ from one breath to the next, s. */
    private const CLOCKS_S = 0.25;

    /**
     * @param  float  $start  s on the recording's clock
     * @param  float  $inhale  s
     * @param  float  $exhale  s
     * @param  float  $length  s, holds and rests with it
     */
    private function __construct(public float $start, public float $inhale, public float $exhale, public float $length)
    {
    }

    /**
     * As devices send them: start, inhale, exhale and whole length of each in ms, in order.
     *
     * @return list<self>
     *
     * @throws InvalidValue when one is no breath, or they do not follow each other
     */
    public static function list(mixed $sent): array
    {
        if (! is_array($sent) || ! array_is_list($sent) || count($sent) > self::MOST) {
            throw InvalidValue::because('What was played is a list of at most '.self::MOST.' breaths.');
        }
        $breaths = [];
        $last = -INF;
        foreach ($sent as $n => $each) {
            $breath = self::one($each, $n + 1);
            // One that was broken off was begun again; what is left of it is not there.
            if ($breath->start < $last - self::CLOCKS_S) {
                throw InvalidValue::because('Breath '.($n + 1).' begins before the one before it has ended.');
            }
            $last = $breath->start + $breath->length;
            $breaths[] = $breath;
        }

        return $breaths;
    }

    private static function one(mixed $sent, int $number): self
    {
        $isFour = is_array($sent) && array_is_list($sent) && count($sent) === 4
            && array_filter($sent, fn (mixed $ms) => ! is_int($ms)) === [];
        if (! $isFour) {
            throw InvalidValue::because("Breath $number is four numbers in ms: start, inhale, exhale, length.");
        }
        [$start, $inhale, $exhale, $length] = array_map(fn (int $ms) => $ms / 1000, $sent);
        $isBreath = $start >= 0 && $start <= 7200 && $inhale > 0 && $exhale > 0 && $inhale + $exhale <= $length + 0.002
            && $length <= self::LONGEST_S;

        return $isBreath ? new self($start, $inhale, $exhale, $length)
            : throw InvalidValue::because("Breath $number is none: $inhale s in and $exhale s out of $length s, from $start s on.");
    }

    public function end(): float
    {
        return $this->start + $this->length;
    }

    /** @return array{start: float, length: float, ratio: float} as {@see Following} asks for it */
    public function prescribed(): array
    {
        return ['start' => $this->start, 'length' => $this->length, 'ratio' => $this->exhale / $this->inhale];
    }
}
