<?php

declare(strict_types=1);

namespace IvoryPace\Breath\Timeline;

use IvoryPace\InvalidValue;
use JsonSerializable;

/** Cues without a gap between them, counted from a zero of their own. Only the last one may be open. */
final readonly class Segment implements JsonSerializable
{
    /**
     * @param  list<Cue>  $cues  contiguous, at least one
     * @param  bool  $canBeEnough  a tap says that this is as far as is comfortable: what follows of the exercise is left out
     *
     * @throws InvalidValue when there is a gap, an overlap, or an open cue before the last
     */
    public function __construct(public SegmentRole $role, public array $cues, public bool $canBeEnough = false)
    {
        if ($cues === []) {
            throw InvalidValue::because('A segment needs at least one cue.');
        }
        $at = 0;
        foreach ($cues as $index => $cue) {
            if ($cue->startMs !== $at) {
                throw InvalidValue::because("Cue $index starts at {$cue->startMs} ms; the one before ends at $at ms.");
            }
            if ($cue->isOpen() && $index !== count($cues) - 1) {
                throw InvalidValue::because("Cue $index is open but not the last of its segment.");
            }
            $at = $cue->endMs();
        }
    }

    /** The same, as one that may grow in the next segment unless the patient taps. */
    public function growing(): self
    {
        return new self($this->role, $this->cues, true);
    }

    /** The same as one step of a routine. */
    public function inStep(int $step, ?SegmentRole $role = null): self
    {
        return new self($role ?? $this->role, array_map(fn (Cue $cue) => $cue->inStep($step), $this->cues), $this->canBeEnough);
    }

    /** Length in ms; nominal when the last cue is open. */
    public function durationMs(): int
    {
        return $this->cues[count($this->cues) - 1]->endMs();
    }

    public function isOpen(): bool
    {
        return $this->cues[count($this->cues) - 1]->isOpen();
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'role' => $this->role->value, 'ms' => $this->durationMs(), 'open' => $this->isOpen(),
            ...($this->canBeEnough ? ['enough' => true] : []), 'cues' => $this->cues,
        ];
    }
}
