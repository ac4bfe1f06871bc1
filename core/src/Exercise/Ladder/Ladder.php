<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Ladder;

use IvoryPace\Breath\ComfortableLimits;
use IvoryPace\Breath\Phase;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\PrescriptionReader;
use IvoryPace\Exercise\School;
use IvoryPace\InvalidValue;

/** The ordered steps of a progression. Each changes one axis against the one below; none goes past the technique's cap. */
final readonly class Ladder
{
    public const MAX_RUNGS = 24;

    public const MAX_DAYS = 365;

    /** @param  non-empty-list<Rung>  $rungs  the first is what is prescribed now */
    private function __construct(public School $school, public array $rungs)
    {
    }

    /**
     * Generated for a prescription: along the climbs of its technique, in the order of the school.
     *
     * @param  ComfortableLimits  $limits  s; the ladder ends on an axis where a phase would pass them
     */
    public static function generate(Prescription $now, School $school, ComfortableLimits $limits = new ComfortableLimits): self
    {
        $rungs = [new Rung(null, [], $now, 0)];
        foreach ($now->technique->climbs($school) as $climb) {
            while (count($rungs) < self::MAX_RUNGS && ($set = $climb->next($now)) !== null) {
                try {
                    $next = PrescriptionReader::changed($now, $set);
                } catch (InvalidValue) {
                    break; // this prescription cannot go further here
                }
                if (self::isPast($next, $limits)) {
                    break;
                }
                $now = $next;
                $rungs[] = new Rung($climb->axis, $set, $now, $climb->days);
            }
        }

        return new self($school, $rungs);
    }

    /**
     * A ladder that a prescriber has edited.
     *
     * @param  list<array{set: array<string, mixed>, days: int}>  $steps  what each rung sets over the one below, in order
     *
     * @throws InvalidValue naming the rung: nothing or two things changed, past the cap, a wait out of range, too many rungs
     */
    public static function of(Prescription $now, School $school, array $steps): self
    {
        if (count($steps) + 1 > self::MAX_RUNGS) {
            throw InvalidValue::because('A ladder of '.(count($steps) + 1).' rungs is longer than '.self::MAX_RUNGS.'.');
        }
        $rungs = [new Rung(null, [], $now, 0)];
        foreach ($steps as $index => $step) {
            $number = $index + 2;
            try {
                $next = PrescriptionReader::changed($now, $step['set']);
            } catch (InvalidValue $problem) {
                throw InvalidValue::because("Rung $number: {$problem->getMessage()}");
            }
            $axes = self::changed($now, $next);
            if (count($axes) !== 1) {
                throw InvalidValue::because($axes === [] ? "Rung $number changes nothing."
                    : "Rung $number changes ".implode(' and ', array_map(fn (Axis $axis) => $axis->label(), $axes)).' at once; one at a time.');
            }
            foreach ($next->technique->climbs($school) as $climb) {
                if ($climb->axis === $axes[0] && $climb->isPastCap($next) && ! $climb->isPastCap($now)) {
                    throw InvalidValue::because("Rung $number goes past the cap: {$climb->capLabel()} in {$next->technique->name}.");
                }
            }
            if ($step['days'] < 0 || $step['days'] > self::MAX_DAYS) {
                throw InvalidValue::because("Rung $number waits {$step['days']} days, outside 0 to ".self::MAX_DAYS.'.');
            }
            $rungs[] = new Rung($axes[0], $step['set'], $next, $step['days']);
            $now = $next;
        }

        return new self($school, $rungs);
    }

    /** The step after what is prescribed now; null at the top. */
    public function next(): ?Rung
    {
        return $this->rungs[1] ?? null;
    }

    /** @return list<Axis> in which two exercises of a technique differ */
    private static function changed(Prescription $from, Prescription $to): array
    {
        return array_values(array_filter([
            $from->position !== $to->position ? Axis::Position : null,
            $from->pattern?->toString() !== $to->pattern?->toString() ? Axis::Ratio : null,
            abs($from->countLength->seconds - $to->countLength->seconds) > 1e-9 ? Axis::Count : null,
            $from->breaths !== $to->breaths ? Axis::Repeats : null,
            $from->minutes !== $to->minutes ? Axis::Minutes : null,
            $from->parameters !== $to->parameters ? Axis::Parameter : null,
        ]));
    }

    private static function isPast(Prescription $prescription, ComfortableLimits $limits): bool
    {
        $cycle = $prescription->longestCycle();
        if ($cycle === null) {
            return false;
        }
        foreach ([Phase::Inhale, Phase::Hold, Phase::Exhale] as $phase) {
            $seconds = $phase === Phase::Inhale ? $cycle->inhaleSeconds() : $cycle->phaseSeconds($phase);
            $isOpen = $phase === Phase::Exhale && $prescription->technique->openExhale;
            if (! $isOpen && $limits->of($phase) !== null && $seconds > $limits->of($phase) + 1e-9) {
                return true;
            }
        }

        return false;
    }
}
