<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Proposal;

use IvoryPace\Median;
use IvoryPace\Numbers;
use IvoryPace\Progress\Trend\BeforeAfter;

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

    /** Rated practices that a judgement of effort, smoothness or symptom rests on at least. */
    private const LEAST_RATED = 4;

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
            $facts->getHelp !== null => new self(ProposalKind::Look, ucfirst($facts->getHelp).' stopped a practice, for which help is needed at once. Contact the patient first.'),
            $facts->worse !== null => new self(ProposalKind::Look, "{$facts->worse->sentence()}. Contact the patient first."),
            default => null,
        };
    }

    private static function stepBack(ProposalFacts $facts, Thresholds $thresholds): ?self
    {
        if ($facts->stops >= $thresholds->stops) {
            return new self(ProposalKind::StepBack, "Stopped for a symptom {$facts->stops} times in {$facts->practices} practices.", "{$facts->stops} stops in {$facts->practices} practices");
        }
        if ($facts->practices < self::LEAST_RATED) {
            return null;
        }
        $effort = self::median($facts->efforts);
        $smooth = self::share($facts->smooth);

        return match (true) {
            count($facts->efforts) >= self::LEAST_RATED && $effort >= $thresholds->hardEffort => new self(
                ProposalKind::StepBack, sprintf('Effort is %s of 10 in the middle of %d rated practices.', Numbers::print($effort), count($facts->efforts)), 'effort '.Numbers::print($effort).' of 10',
            ),
            count($facts->smooth) >= self::LEAST_RATED && $smooth < $thresholds->lowSmooth => new self(
                ProposalKind::StepBack, sprintf('Smooth in %s of %d rated practices.', self::percent($smooth), count($facts->smooth)), 'smooth in '.self::percent($smooth),
            ),
            default => null,
        };
    }

    private static function tooEarly(ProposalFacts $facts, Thresholds $thresholds): ?self
    {
        return $facts->days < $thresholds->leastDays || $facts->practices < $thresholds->leastPractices
            ? new self(ProposalKind::TooEarly, "{$facts->practices} practices in {$facts->days} days since the last change; it takes {$thresholds->leastPractices} practices and {$thresholds->leastDays} days.")
            : null;
    }

    private static function lighten(ProposalFacts $facts, Thresholds $thresholds): ?self
    {
        $effort = self::median($facts->efforts);
        // Without a rating it is not known whether the breath is hard: then fewer practices are not the answer yet.
        $isLight = count($facts->efforts) >= self::LEAST_RATED && $effort <= $thresholds->lightEffort;

        return $facts->adherence !== null && $facts->adherence < $thresholds->lowAdherence && $isLight
            ? new self(ProposalKind::Lighten, sprintf(
                '%s practised at an effort of %s: fewer practices, a better anchor or the short version, rather than an easier breath.', self::percent($facts->adherence), Numbers::print($effort),
            ), self::percent($facts->adherence).' practised at effort '.Numbers::print($effort))
            : null;
    }

    /** What is kept up has reached its goal and goes on: it neither ends by itself nor gets harder. */
    private static function keepUp(ProposalFacts $facts): ?self
    {
        return $facts->isMaintenance ? new self(ProposalKind::Stay, sprintf('Kept up: %s practised in the last %d days.', self::percent($facts->adherence ?? 0.0), min($facts->days, self::MOST_DAYS))) : null;
    }

    private static function finish(ProposalFacts $facts, Thresholds $thresholds): ?self
    {
        return $facts->goalDays >= $thresholds->goalDays ? new self(ProposalKind::Finish, "The goal has been reached for {$facts->goalDays} days.", "{$facts->goalDays} days at the goal") : null;
    }

    private static function stepUp(ProposalFacts $facts, Thresholds $thresholds): self
    {
        $effort = self::median($facts->efforts);
        // Of all practices, not only of the rated ones: what was not rated is not good.
        $smooth = $facts->practices === 0 ? 0.0 : count(array_filter($facts->smooth)) / $facts->practices;
        $symptom = BeforeAfter::of($facts->ratings);
        $missing = array_values(array_filter([
            ($facts->adherence ?? 0.0) >= $thresholds->highAdherence ? null : self::percent($facts->adherence ?? 0.0, $thresholds->highAdherence).' practised, below '.self::percent($thresholds->highAdherence),
            $smooth >= $thresholds->highSmooth ? null : 'smooth in '.self::percent($smooth, $thresholds->highSmooth).' of all practices, below '.self::percent($thresholds->highSmooth),
            count($facts->efforts) < self::LEAST_RATED ? 'effort rated '.count($facts->efforts).' times only'
                : ($effort <= $thresholds->easyEffort ? null : 'effort '.Numbers::print($effort).', above '.Numbers::print($thresholds->easyEffort)),
            $facts->stops === 0 ? null : 'stopped for a symptom once',
            $symptom === null || $symptom->rated < self::LEAST_RATED ? 'symptom rated before and after '.($symptom->rated ?? 0).' times only'
                : ($symptom->shareNotWorse >= $thresholds->notWorse ? null : 'symptom no worse after '.self::percent($symptom->shareNotWorse, $thresholds->notWorse).' of practices, below '.self::percent($thresholds->notWorse)),
            $facts->days >= $facts->gateDays ? null : "{$facts->days} days on this rung, of {$facts->gateDays}",
            $facts->isAtCap ? 'there is no next rung' : null,
        ]));
        if ($missing !== []) {
            return new self(ProposalKind::Stay, ucfirst(implode('; ', $missing)).'.');
        }

        return new self(ProposalKind::StepUp, sprintf(
            '%s practised, smooth in %s, effort %s, symptom no worse after %s of %d rated practices, no stop.',
            self::percent($facts->adherence ?? 0.0), self::percent($smooth), Numbers::print($effort), self::percent($symptom->shareNotWorse ?? 0.0), $symptom->rated ?? 0,
        ), self::percent($facts->adherence ?? 0.0).' practised, effort '.Numbers::print($effort));
    }

    /** @param  list<int>  $values */
    private static function median(array $values): float
    {
        return $values === [] ? 0.0 : Median::of($values);
    }

    /** @param  list<bool>  $values */
    private static function share(array $values): float
    {
        return $values === [] ? 0.0 : count(array_filter($values)) / count($values);
    }

    /** Rounded, but never up to the mark that it stays below. */
    private static function percent(float $share, ?float $mark = null): string
    {
        $rounded = round($share * 100);

        return ($mark !== null && $share < $mark && $rounded >= round($mark * 100) ? floor($share * 100) : $rounded).' %';
    }
}
