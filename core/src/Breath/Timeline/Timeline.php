<?php

declare(strict_types=1);

namespace IvoryPace\Breath\Timeline;

use IvoryPace\Breath\CueKind;
use IvoryPace\InvalidValue;
use JsonSerializable;

/**
 * Everything that happens in a practice, in order: what the player plays, the sheet prints and the
 * ridge draws.
 */
final readonly class Timeline implements JsonSerializable
{
    /**
     * @param  list<Segment>  $segments  at least one
     *
     * @throws InvalidValue when empty
     */
    public function __construct(public array $segments)
    {
        if ($segments === []) {
            throw InvalidValue::because('A timeline needs at least one segment.');
        }
    }

    /** The exercise itself in ms, without lead-in, settling and return. */
    public function exerciseMs(): int
    {
        return $this->sum(fn (Segment $segment) => $segment->role === SegmentRole::Exercise);
    }

    /** Everything in ms, from the first beat of the lead-in to the end of the return. */
    public function totalMs(): int
    {
        return $this->sum(fn () => true);
    }

    /** True when a cue is open, so that lengths are nominal and shown as "about". */
    public function isAbout(): bool
    {
        foreach ($this->segments as $segment) {
            if ($segment->isOpen()) {
                return true;
            }
        }

        return false;
    }

    /** Counted breaths in the exercise; 0 when breaths are not counted. */
    public function breaths(): int
    {
        $breaths = 0;
        foreach ($this->cues() as $cue) {
            $breaths += $cue->place->breath > 0 && $cue->kind->value === 'inhale' ? 1 : 0;
        }

        return $breaths;
    }

    /**
     * What the first counted breaths take at least, in ms, as prescribed: what the patient ends by a tap may take no time.
     *
     * @param  int  $breaths  0 or more
     */
    public function leastMsOf(int $breaths): int
    {
        $begun = 0;
        $ms = 0;
        foreach ($this->cues() as $cue) {
            if ($cue->place->breath === 0) {
                continue;
            }
            $begun += $cue->kind === CueKind::Inhale ? 1 : 0;
            if ($begun > $breaths) {
                break;
            }
            $ms += $cue->isOpen() || $begun === 0 ? 0 : $cue->durationMs;
        }

        return $ms;
    }

    /**
     * The same when the patient said during a step that this is as far as is comfortable: later steps are left out.
     *
     * @param  int  $step  from 1
     *
     * @throws InvalidValue when nothing grows after this step
     */
    public function enoughAfter(int $step): self
    {
        $grows = array_filter($this->segments, fn (Segment $segment) => $segment->canBeEnough && $segment->cues[0]->place->step === $step);
        if ($grows === []) {
            throw InvalidValue::because("Nothing grows after step $step.");
        }

        return new self(array_values(array_filter(
            $this->segments, fn (Segment $segment) => $segment->role !== SegmentRole::Exercise || $segment->cues[0]->place->step <= $step,
        )));
    }

    /**
     * Over how many breaths a practice may ease from the patient's own pace to the prescribed one: a quarter of its
     * breaths, 1 to 6. Common practice. Only where the exercise is a single set of equal counted breaths
     * that no step sets the pace of.
     *
     * @return int|null null when it cannot
     */
    public function joinsOver(): ?int
    {
        if (array_filter($this->cues(), fn (Cue $cue) => $cue->kind === CueKind::Step) !== []) {
            return null;
        }
        $sets = array_values(array_filter($this->segments, fn (Segment $segment) => $segment->role === SegmentRole::Exercise));
        if (count($sets) !== 1 || $sets[0]->isOpen() || $this->breaths() < 2) {
            return null;
        }
        $lengths = [];
        foreach ($sets[0]->cues as $cue) {
            $lengths[$cue->place->breath] = ($lengths[$cue->place->breath] ?? 0) + $cue->durationMs;
        }
        // Rounding lets equal breaths differ by a millisecond.
        $isEqual = ! isset($lengths[0]) && $lengths !== [] && max($lengths) - min($lengths) <= 1;

        return $isEqual ? max(1, min(6, intdiv($this->breaths(), 4))) : null;
    }

    /** Rounds in the exercise; 0 when there are none. */
    public function rounds(): int
    {
        return max([0, ...array_map(fn (Cue $cue) => $cue->place->round, $this->cues())]);
    }

    /** Runs of paced breaths without a break. */
    public function sets(): int
    {
        return count(array_filter(
            $this->segments,
            fn (Segment $segment) => $segment->role === SegmentRole::Exercise && $segment->cues[0]->place->breath > 0
                && ! $segment->isOpen(),
        ));
    }

    /**
     * What stands for the whole when it is drawn: the cues of one breath, and a retention after it; empty when breaths are
     * not counted.
     *
     * @return list<Cue> contiguous
     */
    public function portrait(): array
    {
        foreach ($this->segments as $segment) {
            $retains = array_filter($segment->cues, fn (Cue $cue) => $cue->kind === CueKind::Retention) !== [];
            if ($retains) {
                return $segment->cues;
            }
        }

        return array_values(array_filter($this->cues(), fn (Cue $cue) => $cue->place->breath === 1));
    }

    /** @return list<Cue> all cues in order; times stay relative to each cue's own segment */
    public function cues(): array
    {
        return array_merge(...array_map(fn (Segment $segment) => $segment->cues, $this->segments));
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'exercise_ms' => $this->exerciseMs(),
            'total_ms' => $this->totalMs(),
            'about' => $this->isAbout(),
            'breaths' => $this->breaths(),
            'rounds' => $this->rounds(),
            'sets' => $this->sets(),
            'segments' => $this->segments,
        ];
    }

    private function sum(callable $which): int
    {
        return array_sum(array_map(
            fn (Segment $segment) => $which($segment) ? $segment->durationMs() : 0,
            $this->segments,
        ));
    }
}
