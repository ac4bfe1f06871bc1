<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Routine;

use IvoryPace\Exercise\Prescription;
use IvoryPace\InvalidValue;
use IvoryPace\Numbers;

/** One step of a routine. */
final readonly class RoutineStep
{
    public const MIN_SECONDS = 5.0;

    public const MAX_SECONDS = 600.0;

    private function __construct(public StepKind $kind, public ?Prescription $prescription, public float $seconds)
    {
    }

    /** @throws InvalidValue for a recovery exercise, which stands alone */
    public static function exercise(Prescription $prescription): self
    {
        if ($prescription->technique->isRecovery) {
            throw InvalidValue::because("{$prescription->technique->name} is used as needed and stands alone.");
        }

        return new self(StepKind::Exercise, $prescription, 0.0);
    }

    /**
     * @param  float  $seconds  5–600
     *
     * @throws InvalidValue
     */
    public static function timed(StepKind $kind, float $seconds): self
    {
        if (! ($seconds >= self::MIN_SECONDS && $seconds <= self::MAX_SECONDS)) {
            throw InvalidValue::because(Numbers::print($seconds).' s is outside '.self::MIN_SECONDS.' to '.self::MAX_SECONDS.' s.');
        }

        return new self($kind, null, $seconds);
    }

    public static function goingBack(): self
    {
        return new self(StepKind::Return, null, 0.0);
    }

    public function label(): string
    {
        return $this->prescription?->name() ?? $this->kind->label();
    }
}
