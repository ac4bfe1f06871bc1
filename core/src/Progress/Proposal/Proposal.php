<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Proposal;

use IvoryPace\Fraction;
use IvoryPace\Median;
use IvoryPace\Numbers;
use IvoryPace\Progress\Felt;

/**
 * What the evidence since the last change proposes for an exercise. It is never applied by itself: the practitioner
 * decides. The first rule that fits wins.
 */
final readonly class Proposal
{
    /** The window is the time since the last change, but no longer than this: what was before says little about now. */
    public const MOST_DAYS = 90;

    /** So many days a decision about a proposal holds before the same one is made again. Common practice. */
    public const HOLDS_DAYS = 14;

    /** Rated practices that a judgement that something is too hard, or light, rests on at least. */
    private const LEAST_RATED = 4;

    /** Days without a stop before an exercise is finished. Common practice. */
    private const QUIET_DAYS = 14;

    /** Days for which a measured value is fresh enough to hold a step back. Common practice. */
    private const FRESH_DAYS = 14;

    /** Uses as needed that have grown: so many times those of the week before, and so many more. Common practice. */
    private const NEEDED_TIMES = 1.5;

    private const NEEDED_MORE = 3;

    /** Part of the breaths below which a measured practice was not followed. Common practice. */
    private const FOLLOWED = 0.6;

    /**
     * @param  string  $because  the numbers, in words
     * @param  string  $short  the number that counts most
     */
    private function __construct(public ProposalKind $kind, public string $because, public string $short = '')
    {
    }

    public static function for(ProposalFacts $facts, Thresholds $thresholds = new Thresholds): self
    {
        return self::look($facts)
            ?? self::stepBack($facts, $thresholds)
            ?? self::tooEarly($facts, $thresholds)
            ?? self::lighten($facts, $thresholds)
            ?? self::keepUp($facts)
            ?? self::finish($facts, $thresholds)
            ?? self::stepUp($facts, $thresholds);
    }

    private static function look(ProposalFacts $facts): ?self
    {
        return match (true) {
            $facts->getHelp !== null => new self(
                ProposalKind::Look,
                ucfirst($facts->getHelp).' stopped a practice, for which help is needed at once. Contact the patient first.',
            ),
            $facts->worse !== null => new self(ProposalKind::Look, "{$facts->worse->sentence()}. Contact the patient first."),
            default => null,
        };
    }

    private static function stepBack(ProposalFacts $facts, Thresholds $thresholds): ?self
    {
        if ($facts->stops >= $thresholds->stops) {
            return new self(
                ProposalKind::StepBack, "Stopped for a symptom {$facts->stops} times in {$facts->practices} practices.",
                "{$facts->stops} stops in {$facts->practices} practices",
            );
        }
        if ($facts->practices < self::LEAST_RATED) {
            return null;
        }
        $effort = self::median($facts->efforts);
        $smooth = self::shareOf($facts->smooth, count($facts->smooth));
        $low = Fraction::near($thresholds->lowSmooth);

        return match (true) {
            count($facts->efforts) >= self::LEAST_RATED && $effort >= $thresholds->hardEffort => new self(
                ProposalKind::StepBack,
                sprintf('Effort is %s of 10 in the middle of %d rated practices.', Numbers::print($effort), count($facts->efforts)),
                'effort '.Numbers::print($effort).' of 10',
            ),
            count($facts->smooth) >= self::LEAST_RATED && $smooth->isBelow($low) => new self(
                ProposalKind::StepBack, sprintf('Smooth in %s of %d rated practices.', $smooth->percent($low), count($facts->smooth)),
                'smooth in '.$smooth->percent($low),
            ),
            default => null,
        };
    }

    private static function tooEarly(ProposalFacts $facts, Thresholds $thresholds): ?self
    {
        return $facts->days < $thresholds->leastDays || $facts->practices < $thresholds->leastPractices
            ? new self(
                ProposalKind::TooEarly,
                "{$facts->practices} practices in {$facts->days} days since the last change; it takes "
                    ."{$thresholds->leastPractices} practices and {$thresholds->leastDays} days.",
            )
            : null;
    }

    private static function lighten(ProposalFacts $facts, Thresholds $thresholds): ?self
    {
        $effort = self::median($facts->efforts);
        // Without a rating it is not known whether the breath is hard: then fewer practices are not the answer yet.
        $isLight = count($facts->efforts) >= self::LEAST_RATED && $effort <= $thresholds->lightEffort;
        $low = Fraction::near($thresholds->lowAdherence);

        return $facts->adherence !== null && $facts->adherence->isBelow($low) && $isLight
            ? new self(ProposalKind::Lighten, sprintf(
                '%s practised at an effort of %s: fewer practices, a better anchor or the short version, rather than an easier breath.',
                $facts->adherence->percent($low), Numbers::print($effort),
            ), $facts->adherence->percent($low).' practised at effort '.Numbers::print($effort))
            : null;
    }

    /** What is kept up has reached its goal and goes on: it neither ends by itself nor gets harder. */
    private static function keepUp(ProposalFacts $facts): ?self
    {
        return $facts->isMaintenance
            ? new self(
                ProposalKind::Stay,
                sprintf(
                    'Kept up: %s practised in the last %d days.', ($facts->adherence ?? Fraction::zero())->percent(),
                    min($facts->days, self::MOST_DAYS),
                ),
            )
            : null;
    }

    private static function finish(ProposalFacts $facts, Thresholds $thresholds): ?self
    {
        return $facts->goalDays >= $thresholds->goalDays && ($facts->daysSinceStop ?? self::QUIET_DAYS) >= self::QUIET_DAYS

                ? new self(
                    ProposalKind::Finish,
                    "The goal has been reached for {$facts->goalDays} days, with no stop in the last ".self::QUIET_DAYS.'.',
                    "{$facts->goalDays} days at the goal",
                )
                : null;
    }

    private static function stepUp(ProposalFacts $facts, Thresholds $thresholds): self
    {
        $missing = array_values(array_filter([
            ...self::practised($facts, $thresholds), ...self::symptoms($facts, $thresholds), self::notCalm($facts),
            self::notFollowed($facts),
        ]));
        $tooEarly = $facts->days >= $facts->gateDays ? null : "{$facts->days} days on this rung, of {$facts->gateDays}";
        if ($missing === [] && $tooEarly === null && $facts->heldBackBy !== '') {
            return self::heldBack($facts);
        }
        $missing = [...$missing, ...array_filter([$tooEarly, match (true) {
            $facts->heldBackBy !== '' => "the next rung would pass {$facts->heldBackBy}",
            $facts->isAtCap => 'there is no next rung',
            default => null,
        }])];
        if ($missing !== []) {
            return new self(ProposalKind::Stay, ucfirst(implode('; ', $missing)).'.');
        }
        $practised = ($facts->adherence ?? Fraction::zero())->percent();
        $effort = Numbers::print(self::median($facts->efforts));

        return new self(ProposalKind::StepUp, sprintf(
            '%s practised, smooth in %s, effort %s%s, no stop.', $practised, self::shareOf($facts->smooth, $facts->practices)->percent(),
            $effort,
            $facts->ratesSymptom
                ? sprintf(', symptom no worse after %s of %d rated practices', self::notWorse($facts)->percent(), count($facts->ratings))
                : '',
        ), "$practised practised, effort $effort");
    }

    /** Everything speaks for a step but a measured value: an old one is measured again, a fresh one holds. */
    private static function heldBack(ProposalFacts $facts): self
    {
        $when = $facts->measuredDaysAgo === null ? 'never measured with you' : "measured {$facts->measuredDaysAgo} days ago";

        return $facts->measuredDaysAgo === null || $facts->measuredDaysAgo > self::FRESH_DAYS
            ? new self(
                ProposalKind::MeasureAgain, "Everything speaks for a step up, but the next rung would pass {$facts->heldBackBy}, $when.",
                "{$facts->heldBackBy}, $when",
            )
            : new self(ProposalKind::Stay, "The next rung would pass {$facts->heldBackBy}, $when.");
    }

    /**
     * Of all practices, not only of the rated ones: what was not rated is not good.
     *
     * @return list<string|null> what is missing
     */
    private static function practised(ProposalFacts $facts, Thresholds $thresholds): array
    {
        $adherence = $facts->adherence ?? Fraction::zero();
        $high = Fraction::near($thresholds->highAdherence);
        $smooth = self::shareOf($facts->smooth, $facts->practices);
        $highSmooth = Fraction::near($thresholds->highSmooth);
        $effort = self::median($facts->efforts);

        return [
            $adherence->isBelow($high) ? $adherence->percent($high).' practised, below '.$high->percent() : null,
            $smooth->isBelow($highSmooth)
                ? 'smooth in '.$smooth->percent($highSmooth).' of all practices, below '.$highSmooth->percent()
                : null,
            match (true) {
                2 * count($facts->efforts) < $facts->practices || $facts->efforts === [] => 'effort rated in '.count($facts->efforts)
                    ." of {$facts->practices} practices only",
                $effort > $thresholds->easyEffort => 'effort '.Numbers::print($effort).', above '.Numbers::print($thresholds->easyEffort),
                default => null,
            },
        ];
    }

    /** @return list<string|null> what keeps the step */
    private static function symptoms(ProposalFacts $facts, Thresholds $thresholds): array
    {
        $least = Fraction::near($thresholds->notWorse);
        $notWorse = self::notWorse($facts);
        $hasGrown = $facts->neededLately >= self::NEEDED_TIMES * $facts->neededBefore
            && $facts->neededLately - $facts->neededBefore >= self::NEEDED_MORE;

        return [
            match ($facts->stops) {
                0 => null, 1 => 'stopped for a symptom once', default => "stopped for a symptom {$facts->stops} times",
            },
            match (true) {
                ! $facts->ratesSymptom => null,
                2 * count($facts->ratings) < $facts->practices || $facts->ratings === [] => 'symptom rated before and after '
                    .count($facts->ratings)." of {$facts->practices} practices only",
                $notWorse->isBelow($least) => 'symptom no worse after '.$notWorse->percent($least).' of practices, below '.$least
                    ->percent(),
                default => null,
            },
            2 * $facts->slight >= $facts->practices && $facts->slight > 0
                ? "something slight felt in {$facts->slight} of {$facts->practices} practices"
                : null,
            $hasGrown ? "used as needed {$facts->neededLately} times in the last 7 days, {$facts->neededBefore} in the 7 before" : null,
        ];
    }

    /** For a rung that asks for it: days without a stop and without a pause. */
    private static function notCalm(ProposalFacts $facts): ?string
    {
        $calm = min($facts->daysSinceStop ?? $facts->calmDays, $facts->daysSincePause ?? $facts->calmDays);

        return $calm >= $facts->calmDays ? null : "$calm of {$facts->calmDays} days without a stop or a pause";
    }

    /** Whether what was led was also breathed, by what a device measured: half of the practices that were not keep the step. */
    private static function notFollowed(ProposalFacts $facts): ?string
    {
        $least = Fraction::near(self::FOLLOWED);
        $not = array_filter($facts->felt, fn (Felt $felt) => Fraction::of($felt->followed, $felt->seen)->isBelow($least));
        $measured = count($facts->felt);

        return $not === [] || 2 * count($not) < $measured ? null
            : 'followed in less than '.$least->percent().' of the breaths in '.count($not)." of $measured measured practices";
    }

    private static function notWorse(ProposalFacts $facts): Fraction
    {
        return self::shareOf(array_map(fn (array $pair) => $pair[1] <= $pair[0], $facts->ratings), count($facts->ratings));
    }

    /** @param  list<bool>  $values  of which the true ones count */
    private static function shareOf(array $values, int $of): Fraction
    {
        return $of === 0 ? Fraction::zero() : Fraction::of(count(array_filter($values)), $of);
    }

    /** @param  list<int>  $values */
    private static function median(array $values): float
    {
        return $values === [] ? 0.0 : Median::of($values);
    }
}
