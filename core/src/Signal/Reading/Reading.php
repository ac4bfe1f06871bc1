<?php

declare(strict_types=1);

namespace IvoryPace\Signal\Reading;

use IvoryPace\InvalidValue;
use IvoryPace\Signal\Breaths;
use IvoryPace\Signal\Followed;
use IvoryPace\Signal\Following;
use IvoryPace\Signal\MainAxis;
use IvoryPace\Signal\Steps\Resampling;
use IvoryPace\Signal\TwoBelts;

/** What a recording of breath says, in the numbers that are kept when its samples are gone. A training aid, no diagnosis. */
final readonly class Reading
{
    /** s of quiet breathing from which rate and rhythm are read in the room. */
    public const QUIET_S = 60;

    /** s; of less no resting rate is kept, as with taps. */
    public const LEAST_QUIET_S = 30;

    /**
     * @param  Following|null  $following  null where no breaths were led
     * @param  float|null  $rate  breaths a minute; like the three below null when fewer than three can be seen
     * @param  float|null  $ratio  exhale over inhale
     * @param  float|null  $variation  of the lengths, as a part
     * @param  list<int>|null  $inked  {@see Inked}
     */
    private function __construct(
        public ?Following $following,
        public ?float $rate,
        public ?float $ratio,
        public ?float $variation,
        public ?int $sighs,
        public ?TwoBelts $belts,
        public ?array $inked,
    ) {
    }

    /**
     * Of a phone that lies on the belly or is held to the chest.
     *
     * @param  list<array{float, float, float, float}>  $samples  s, and m/s² along three axes
     * @param  float  $inhaleAt  s, when the patient was asked to breathe in
     * @param  list<PlayedBreath>  $played
     *
     * @throws InvalidValue when it is too short, or holds something that is no measurement
     */
    public static function phone(array $samples, float $inhaleAt, array $played): self
    {
        return self::of(Breaths::in(MainAxis::of($samples, $inhaleAt)), null, $played);
    }

    /**
     * Of one belt or two.
     *
     * @param  list<array{float, float}>  $belly  s and how far it is stretched
     * @param  list<array{float, float}>  $chest  the same of the other, or nothing
     * @param  list<PlayedBreath>  $played
     * @param  float|null  $calibration  s, when a breath was breathed on both to compare them by; it is not read itself
     *
     * @throws InvalidValue when it is too short, or holds something that is no measurement
     */
    public static function belts(array $belly, array $chest, array $played = [], ?float $calibration = null): self
    {
        if ($belly === [] || $chest === []) {
            return self::of(Breaths::in(Resampling::even($belly === [] ? $chest : $belly)), null, $played);
        }
        [$one, $other] = Together::of(Resampling::even($belly), Resampling::even($chest));
        $units = [1.0, 1.0];
        if ($calibration !== null) {
            $units = [Together::range($one, $calibration), Together::range($other, $calibration)];
            [$one, $other] = [Together::after($one, $calibration), Together::after($other, $calibration)];
        }
        $breaths = Breaths::in($one);
        try {
            $belts = TwoBelts::of($breaths, Breaths::in($other), ...$units);
        } catch (InvalidValue) {
            $belts = null;
        }

        return self::of($breaths, $belts, $played);
    }

    /** @param  list<PlayedBreath>  $played */
    private static function of(Breaths $breaths, ?TwoBelts $belts, array $played): self
    {
        $trace = $breaths->of->trace;
        $following = $played === [] ? null : Following::of(
            array_map(fn (PlayedBreath $each) => $each->prescribed(), $played), $breaths, $trace->startsAt,
            $trace->startsAt + $trace->seconds(),
        );
        $isEnough = count($breaths->clear()) >= 3;

        return new self(
            $following, $isEnough ? $breaths->rate() : null, $isEnough ? $breaths->ratio() : null,
            $isEnough ? $breaths->variation() : null, $isEnough ? $breaths->sighs() : null, $belts, Inked::of($played, $breaths),
        );
    }

    /** Whether it says anything at all: a phone on the table followed nothing, and nobody breathed otherwise. */
    public function isEmpty(): bool
    {
        return $this->rate === null && ($this->following?->followed() ?? 0) === 0;
    }

    /**
     * @return array{each: string|null, ratio: float|null, variation: float|null, sighs: int|null, angle: float|null, loop: float|null,
     *     belly_share: float|null, inked: list<int>|null} rounded as it is kept; each: y, n or u for every breath that was led
     */
    public function details(): array
    {
        $round = fn (?float $value, int $places): ?float => $value === null ? null : round($value, $places);

        return [
            'each' => $this->following === null ? null
                : implode('', array_map(fn (Followed $each) => $each->value[0], $this->following->breaths)),
            'ratio' => $round($this->ratio, 2), 'variation' => $round($this->variation, 3), 'sighs' => $this->sighs,
            'angle' => $round($this->belts?->angle, 0), 'loop' => $round($this->belts?->loop, 0),
            'belly_share' => $round($this->belts?->bellyShare, 3), 'inked' => $this->inked,
        ];
    }
}
