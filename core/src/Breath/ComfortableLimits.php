<?php

declare(strict_types=1);

namespace IvoryPace\Breath;

use IvoryPace\InvalidValue;

/** The longest inhale, hold and exhale that a patient was measured to do comfortably, in seconds. */
final readonly class ComfortableLimits
{
    /** @throws InvalidValue when a limit is not between 0 and 120 s */
    public function __construct(
        public ?float $inhale = null,
        public ?float $hold = null,
        public ?float $exhale = null,
    ) {
        foreach (['inhale' => $inhale, 'hold' => $hold, 'exhale' => $exhale] as $name => $seconds) {
            if ($seconds !== null && ! ($seconds > 0 && $seconds <= 120)) {
                throw InvalidValue::because("A comfortable $name of $seconds s is outside 0 to 120 s.");
            }
        }
    }

    /** Seconds, or null where nothing was measured. */
    public function of(Phase $phase): ?float
    {
        return match ($phase) {
            Phase::Inhale, Phase::TopUp => $this->inhale,
            Phase::Hold => $this->hold,
            Phase::Exhale => $this->exhale,
            Phase::Rest => null,
        };
    }
}
