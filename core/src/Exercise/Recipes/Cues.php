<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Recipes;

use IvoryPace\Breath\Counting;
use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Phase;
use IvoryPace\Breath\Timeline\Beat;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\PacedSet;
use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Exercise\Fade;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Start;
use IvoryPace\Exercise\Told\Worded;

/** Segments that several recipes share. */
final class Cues
{
    public const LEAD_IN_BEATS = 3;

    private const BELL_MS = 2_000;

    private const SETTLE_MS = 6_000;

    private const EMPTY_MS = 4_000;

    /** An uncounted practice turns the attention to the next thing this often. */
    private const ATTENTION_MS = 30_000;

    public static function leadIn(Cycle $cycle): Segment
    {
        $count = $cycle->countLength->seconds * 1000;
        $beats = [];
        for ($beat = 0; $beat < self::LEAD_IN_BEATS; $beat++) {
            $beats[] = new Beat((int) round($beat * $count), self::LEAD_IN_BEATS - $beat);
        }

        return new Segment(SegmentRole::LeadIn, [
            new Cue(CueKind::LeadIn, 0, (int) round(self::LEAD_IN_BEATS * $count), 'cue.lead-in', beats: $beats),
        ]);
    }

    /**
     * What comes before the first breath of a set: three beats, and an exhale where it begins with one.
     *
     * @return list<Segment>
     */
    public static function opening(Prescription $prescription, Cycle $cycle): array
    {
        $first = self::leadIn($cycle);
        $out = 'cue.exhale.'.$prescription->routeOut->value;
        $bottom = $prescription->effort->bottom();
        $ms = (int) round($cycle->phaseSeconds(Phase::Exhale) * 1000);

        return match ($prescription->start) {
            Start::Inhale => [$first],
            Start::Exhale => [$first, new Segment(SegmentRole::LeadIn, [
                new Cue(CueKind::Exhale, 0, $ms, $out, $prescription->effort->top(), $bottom, self::beats(
                    0, $ms, (int) ceil($cycle->pattern->exhale->toFloat() - 1e-9), $cycle->countLength->seconds * 1000,
                    $prescription->guidance->counting(Phase::Exhale),
                )),
            ])],
            Start::Empty => [$first, new Segment(SegmentRole::LeadIn, [
                new Cue(CueKind::Empty, 0, self::EMPTY_MS, $out, $prescription->effort->top(), $bottom, how: 'cue.how.empty'),
            ])],
        };
    }

    /**
     * @param  string  $instruction  what the last of them stands for; the others only ring
     * @return list<Segment> one, or none without bells
     */
    public static function bells(int $times, string $instruction): array
    {
        return $times < 1 ? [] : [new Segment(SegmentRole::Settle, array_map(
            fn (int $nth) => new Cue(
                CueKind::Bell, $nth * self::BELL_MS, self::BELL_MS, $nth === $times - 1 ? $instruction : 'cue.bell.ring',
            ),
            range(0, $times - 1),
        ))];
    }

    public static function settle(): Segment
    {
        return new Segment(SegmentRole::Settle, [new Cue(CueKind::Settle, 0, self::SETTLE_MS, 'cue.settle')]);
    }

    /**
     * Breathing without a count, with the attention led from one thing to the next.
     *
     * @param  list<string>  $attention  translation keys
     * @param  int  $everyMs  the attention moves on this often
     */
    public static function free(
        float $minutes, array $attention, SegmentRole $role = SegmentRole::Exercise, CueKind $kind = CueKind::Free,
        int $everyMs = self::ATTENTION_MS,
    ): Segment {
        $total = (int) round($minutes * 60_000);
        $cues = [];
        for ($at = 0, $turn = 0; $at < $total; $at += $everyMs, $turn++) {
            $cues[] = new Cue($kind, $at, min($everyMs, $total - $at), $attention[$turn % count($attention)]);
        }

        return new Segment($role, $cues);
    }

    /**
     * A paced set as it is prescribed: its routes, effort, counting and fading.
     *
     * @param  array<string, string>  $hows  translation key of how a phase is done, by phase
     * @param  float  $catch  counts of a catch before a top-up
     * @param  array<string, string>  $instructions  by phase, in place of those that name the route
     */
    public static function set(
        Prescription $prescription, Cycle $cycle, array $hows = [], float $catch = 0.0, array $instructions = [],
    ): PacedSet {
        $counting = [];
        foreach (Phase::cases() as $phase) {
            $counting[$phase->value] = $prescription->guidance->counting($phase);
        }

        return new PacedSet(
            $cycle,
            instructions: [
                Phase::Inhale->value => 'cue.inhale.'.$prescription->routeIn->value,
                Phase::Exhale->value => 'cue.exhale.'.$prescription->routeOut->value,
                ...$instructions,
            ],
            counting: $counting,
            volume: $prescription->effort->top(),
            bottom: $prescription->effort->bottom(),
            catchCounts: $catch,
            cueWord: $prescription->guidance->cueWord,
            hows: array_map(fn (string $how) => Worded::key($how, $prescription), [...$hows, ...$prescription->own?->hows() ?? []]),
        );
    }

    /**
     * Beats of a phase that belongs to no paced set, one a count.
     *
     * @param  int  $beats  0 or more
     * @return list<Beat>
     */
    public static function beats(int $fromMs, int $durationMs, int $beats, float $beatMs, Counting $counting): array
    {
        $list = [];
        for ($beat = 0; $beat < $beats; $beat++) {
            $at = $fromMs + (int) round($beat * $beatMs);
            if ($at < $fromMs + $durationMs) {
                $list[] = new Beat($at, $counting->numberAt($beat, $beats));
            }
        }

        return $list;
    }

    /**
     * Segments in which breath after breath drops out of hearing, and perhaps out of sight.
     *
     * @param  list<Segment>  $segments
     * @return list<Segment>
     */
    public static function faded(array $segments, Fade $fade): array
    {
        if ($fade === Fade::Nothing) {
            return $segments;
        }

        return array_map(fn (Segment $segment) => new Segment($segment->role, array_map(function (Cue $cue) use ($fade) {
            $place = $cue->place;
            $share = $place->ofBreaths > 1 ? ($place->breath - 1) / ($place->ofBreaths - 1) : 0.0;

            return $place->breath === 0 || $share <= 0 ? $cue : $cue->faded($fade->sound($share), $fade->sight($share));
        }, $segment->cues), $segment->canBeEnough), $segments);
    }
}
