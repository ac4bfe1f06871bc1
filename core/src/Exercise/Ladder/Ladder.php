<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Ladder;

use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\PrescriptionReader;
use IvoryPace\Exercise\School;
use IvoryPace\InvalidValue;
use IvoryPace\Numbers;

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
     * Generated for a prescription: along the climbs of its technique, in the order of the school. It ends on an axis where
     * a breath would pass what was measured of the patient, or the longest breath for anyone.
     */
    public static function generate(Prescription $now, School $school, Reach $reach = new Reach): self
    {
        $rungs = [new Rung(null, [], $now, 0)];
        foreach ($now->technique->climbs($school) as $climb) {
            while (count($rungs) < self::MAX_RUNGS && ($set = $climb->next($now)) !== null) {
                try {
                    $next = PrescriptionReader::changed($now, $set);
                } catch (InvalidValue) {
                    break; // this prescription cannot go further here
                }
                if (Reach::isTooLong($next) || $climb->isPastCap($next) || $reach->passed($next) !== []) {
                    break;
                }
                $days = $climb->daysOn($now);
                $now = $next;
                $rungs[] = new Rung($climb->axis, $set, $now, $days, $climb->calmDays);
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
                    : "Rung $number changes ".implode(' and ', array_map(fn (LadderAxis $axis) => $axis->label(), $axes))
                        .' at once; one at a time.');
            }
            foreach ($next->technique->climbs($school) as $climb) {
                if ($climb->axis === $axes[0] && $climb->isWrittenPastCap($next) && ! $climb->isWrittenPastCap($now)) {
                    throw InvalidValue::because("Rung $number goes past the cap: {$climb->capLabel()} in {$next->technique->name}.");
                }
            }
            if ($step['days'] < 0 || $step['days'] > self::MAX_DAYS) {
                throw InvalidValue::because("Rung $number waits {$step['days']} days, outside 0 to ".self::MAX_DAYS.'.');
            }
            $calm = array_map(
                fn (Climb $climb) => $climb->axis === $axes[0] ? $climb->calmDays : 0, $next->technique->climbs($school),
            );
            $rungs[] = new Rung($axes[0], $step['set'], $next, $step['days'], max([0, ...$calm]));
            $now = $next;
        }

        return new self($school, $rungs);
    }

    /** The step after what is prescribed now; null at the top. */
    public function next(): ?Rung
    {
        return $this->rungs[1] ?? null;
    }

    /** The next step, unless it would lead too far; an edited ladder may have been written before something was measured. */
    public function nextWithin(Reach $reach): ?Rung
    {
        $next = $this->next();

        return $next === null || $this->leadsTooFar($next, $reach) ? null : $next;
    }

    /**
     * What of an edited ladder leads too far for anyone: a breath too long, or past a cap at its longest breath.
     *
     * @return string|null with the rung named; null when nothing does
     */
    public function overreaching(): ?string
    {
        foreach (array_slice($this->rungs, 1) as $index => $rung) {
            $number = $index + 2;
            if (Reach::isTooLong($rung->prescription)) {
                return "Rung $number has a breath of ".Numbers::print((float) $rung->prescription->longestCycle()?->seconds())
                    .' s; no ladder leads past '.Numbers::print(Prescription::LONGEST_BREATH).' s.';
            }
            if ($this->isPastCap($rung)) {
                return "Rung $number goes past the cap at its longest breath.";
            }
        }

        return null;
    }

    private function leadsTooFar(Rung $rung, Reach $reach): bool
    {
        return Reach::isTooLong($rung->prescription) || $this->isPastCap($rung) || $reach->passed($rung->prescription) !== [];
    }

    private function isPastCap(Rung $rung): bool
    {
        foreach ($rung->prescription->technique->climbs($this->school) as $climb) {
            if ($climb->axis === $rung->axis && $climb->isPastCap($rung->prescription)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<LadderAxis> in which two exercises of a technique differ */
    private static function changed(Prescription $from, Prescription $to): array
    {
        return array_values(array_filter([
            $from->position !== $to->position ? LadderAxis::Position : null,
            $from->pattern?->toString() !== $to->pattern?->toString() ? LadderAxis::Ratio : null,
            abs($from->countLength->seconds - $to->countLength->seconds) > 1e-9 ? LadderAxis::Count : null,
            $from->breaths !== $to->breaths ? LadderAxis::Repeats : null,
            $from->minutes !== $to->minutes ? LadderAxis::Minutes : null,
            $from->parameters !== $to->parameters ? LadderAxis::Parameter : null,
        ]));
    }
}
