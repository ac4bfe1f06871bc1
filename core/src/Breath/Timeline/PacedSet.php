<?php

declare(strict_types=1);

namespace IvoryPace\Breath\Timeline;

use IvoryPace\Breath\Counting;
use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Phase;
use IvoryPace\InvalidValue;

/**
 * Compiles a run of equal breaths.
 *
 * The n-th breath starts at round(n × cycle) ms and each phase at round(n × cycle + its offset), so
 * rounding never accumulates however long the set.
 */
final readonly class PacedSet
{
    public const MAX_BREATHS = 2000;

    /** Share of the inhaled volume that is in before a top-up. */
    private const BEFORE_TOP_UP = 0.78;

    /**
     * @param  array<string, Counting>  $counting  by phase value; up unless named
     * @param  array<string, string>  $instructions  translation key by phase value
     * @param  float  $volume  lung volume at the top of the breath, 0–1
     * @param  float  $catchCounts  counts at the end of the inhale in which the breath is caught before a top-up; without a top-up nothing
     *     is caught
     * @param  bool  $cueWord  the first counted beat of inhale and exhale says its word in place of the number
     * @param  float  $bottom  lung volume at the end of the exhale, 0 or below
     * @param  array<string, string>  $hows  translation key of how a phase is done, by phase value
     */
    public function __construct(
        private Cycle $cycle,
        private array $instructions,
        private array $counting = [],
        private float $volume = 1.0,
        private float $bottom = 0.0,
        private float $catchCounts = 0.0,
        private bool $cueWord = false,
        private array $hows = [],
    ) {
    }

    /**
     * @param  int  $breaths  1–2000
     * @param  int  $before  breaths of earlier steps, so that numbering goes on
     * @param  int|null  $of  breaths of all steps; these alone when null
     * @param  Place  $place  step and round of the set; breath numbers are filled in
     *
     * @throws InvalidValue
     */
    public function compile(int $breaths, Place $place = new Place, int $before = 0, ?int $of = null): Segment
    {
        if ($breaths < 1 || $breaths > self::MAX_BREATHS) {
            throw InvalidValue::because("A set of $breaths breaths is outside 1 to ".self::MAX_BREATHS.'.');
        }
        $cues = [];
        for ($breath = 0; $breath < $breaths; $breath++) {
            array_push($cues, ...$this->breath($breath, new Place($place->step, $place->round, $before + $breath + 1, $of ?? $breaths)));
        }

        return new Segment(SegmentRole::Exercise, $cues);
    }

    /** @return list<Cue> */
    private function breath(int $index, Place $place): array
    {
        $cycleMs = $this->cycle->seconds() * 1000;
        $zero = $index * $cycleMs;
        $offset = 0.0;
        $cues = [];
        $level = $this->bottom;
        foreach ($this->parts() as [$phase, $lengthMs, $isCatch]) {
            if ($lengthMs <= 0) {
                continue;
            }
            $from = $zero + $offset;
            $offset += $lengthMs;
            // The last phase ends where the next breath begins, to the same rounding.
            $to = $offset >= $cycleMs - 1e-6 ? ($index + 1) * $cycleMs : $zero + $offset;
            $target = $isCatch ? $level : $this->levelAfter($phase, $level);
            $cues[] = new Cue(
                kind: $isCatch ? CueKind::Hold : $phase->cueKind(),
                startMs: (int) round($from),
                durationMs: (int) round($to) - (int) round($from),
                instruction: $isCatch ? 'cue.catch' : $this->instructions[$phase->value] ?? "cue.{$phase->value}",
                volumeFrom: $level,
                volumeTo: $target,
                beats: $isCatch ? [] : $this->beats($phase, $from, (int) round($to)),
                place: $place,
                announcesLast: $phase === Phase::Inhale && ! $isCatch && $place->isLastBreath() && $place->ofBreaths > 1,
                isSoft: $this->cycle->pattern->softSeconds($phase) > 0,
                how: $isCatch ? null : $this->hows[$phase->value] ?? null,
            );
            $level = $target;
        }

        return $cues;
    }

    /**
     * The parts of one breath with their length in ms. A catch is the end of the inhale in which nothing moves, so that
     * the breath stays as long as its ratio says.
     *
     * @return list<array{Phase, float, bool}>
     */
    private function parts(): array
    {
        $parts = [];
        $catchMs = $this->cycle->pattern->topUp->isZero() ? 0.0
            : min($this->catchCounts * $this->cycle->countLength->seconds, $this->cycle->phaseSeconds(Phase::Inhale) / 2) * 1000;
        foreach (Phase::cases() as $phase) {
            $lengthMs = $this->cycle->phaseSeconds($phase) * 1000;
            $parts[] = [$phase, $phase === Phase::Inhale ? $lengthMs - $catchMs : $lengthMs, false];
            if ($phase === Phase::Inhale && $catchMs > 0) {
                $parts[] = [$phase, $catchMs, true];
            }
        }

        return $parts;
    }

    private function levelAfter(Phase $phase, float $level): float
    {
        $hasTopUp = ! $this->cycle->pattern->topUp->isZero();

        return match ($phase) {
            Phase::Inhale => $hasTopUp ? $this->bottom + ($this->volume - $this->bottom) * self::BEFORE_TOP_UP : $this->volume,
            Phase::TopUp => $this->volume,
            Phase::Exhale => $this->bottom,
            Phase::Hold, Phase::Rest => $level,
        };
    }

    /** @return list<Beat> */
    private function beats(Phase $phase, float $from, int $endMs): array
    {
        $beats = (int) ceil($this->cycle->pattern->counts($phase)->toFloat() - 1e-9);
        $counting = $this->counting[$phase->value] ?? Counting::Up;
        $list = [];
        for ($beat = 0; $beat < $beats; $beat++) {
            $at = (int) round($from + $beat * $this->cycle->countLength->seconds * 1000);
            if ($at < $endMs) {
                $saysWord = $beat === 0 && $this->cueWord && $counting !== Counting::Silent
                    && ($phase === Phase::Inhale || $phase === Phase::Exhale);
                $list[] = new Beat($at, $counting->numberAt($beat, $beats), $saysWord ? "cue.word.{$phase->value}" : null);
            }
        }

        return $list;
    }
}
