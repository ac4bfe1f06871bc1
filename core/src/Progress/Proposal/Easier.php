<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Proposal;

use IvoryPace\Breath\Ventilation;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Health\Flag;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Features;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\RuleBook;
use IvoryPace\Safety\Rules\Holding;

/**
 * Whether one form of an exercise is easier than another for a patient: harder in nothing that is hard, less in something,
 * and no rule has more to say of it. Common practice.
 */
final readonly class Easier
{
    /** Flags with which someone breathes worse the flatter they lie. */
    private const NEVER_FLATTER = [Flag::HeartFailure, Flag::Copd, Flag::Oxygen, Flag::CannotLieFlat, Flag::LatePregnancy];

    /** l/min up to which full-size breaths may come faster, for anyone and with a flag against over-breathing. */
    private const FLAGGED_LIMIT = 8.0;

    /** A rule that only says that something changes. */
    private const SAYS_THAT_IT_CHANGES = 'TWO-AXES';

    public function __construct(private PatientFacts $patient)
    {
    }

    public static function isNeverFlatter(PatientFacts $patient): bool
    {
        return $patient->which(self::NEVER_FLATTER) !== [];
    }

    public function isEasier(Item $now, Item $candidate): bool
    {
        return $this->isHarderInNothing($now->prescription, $candidate->prescription)
            && $this->isLessInSomething($now->prescription, $candidate->prescription)
            && ! $this->raisesAnything($now, $candidate);
    }

    /**
     * True when it takes away from what is hardest in the present form: a retention, then a hold; true where there is
     * neither, because then the school's own order holds.
     */
    public static function easesTheHardest(Prescription $now, Prescription $candidate): bool
    {
        $then = self::hard($now);
        $new = self::hard($candidate);

        return match (true) {
            $then['retention'] > 0 => $new['retention'] < $then['retention'] - 1e-6,
            $then['pause'] > Holding::SHORT + 1e-6 => $new['pause'] < $then['pause'] - 1e-6,
            default => true,
        };
    }

    private function isHarderInNothing(Prescription $now, Prescription $candidate): bool
    {
        $then = self::hard($now);
        foreach (self::hard($candidate) as $what => $value) {
            if ($value > $then[$what] + 1e-6) {
                return false;
            }
        }

        return ! $this->isFasterThanIsGood($now, $candidate)
            && (
                $candidate->position === $now->position
                    || in_array($candidate->position, $now->position->easier(self::isNeverFlatter($this->patient)), true)
            );
    }

    private function isLessInSomething(Prescription $now, Prescription $candidate): bool
    {
        $then = self::hard($now);
        foreach (self::hard($candidate) as $what => $value) {
            if ($value < $then[$what] - 1e-6) {
                return true;
            }
        }

        return $candidate->position !== $now->position || $candidate->guidance->counting !== $now->guidance->counting;
    }

    /** At more than resting size a faster breath moves more air. */
    private function isFasterThanIsGood(Prescription $now, Prescription $candidate): bool
    {
        $most = Features::of($candidate)->mostVentilation();
        $limit = $this->patient->which(Flag::againstOverBreathing()) === [] ? Ventilation::TWICE_REST : self::FLAGGED_LIMIT;

        return $candidate->tidalLitres() > Ventilation::RESTING_SIZE && $most > Features::of($now)->mostVentilation() + 1e-6
            && $most > $limit + 1e-9;
    }

    private function raisesAnything(Item $now, Item $candidate): bool
    {
        $before = [];
        foreach (RuleBook::findings($now, $this->patient, [], false) as $finding) {
            $before[$finding->rule] = $finding;
        }
        $raised = array_filter(
            RuleBook::findings($candidate, $this->patient, [], false),
            fn (Finding $finding) => $finding->rule !== self::SAYS_THAT_IT_CHANGES && $finding->isWorseThan(
                $before[$finding->rule] ?? null,
            ),
        );

        return $raised !== [];
    }

    /**
     * @return array{retention: float, pause: float, seconds: float, exhale: float, inhale: float, litres: float} each harder the greater
     */
    private static function hard(Prescription $prescription): array
    {
        $features = Features::of($prescription);

        return [
            'retention' => $features->retention, 'pause' => $features->pause(), 'seconds' => $prescription->exerciseSeconds(),
            'exhale' => $features->exhale,
            'inhale' => $features->inhale, 'litres' => $prescription->tidalLitres(),
        ];
    }
}
