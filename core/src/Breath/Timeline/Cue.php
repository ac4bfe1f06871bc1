<?php

declare(strict_types=1);

namespace IvoryPace\Breath\Timeline;

use IvoryPace\Breath\CueKind;
use IvoryPace\InvalidValue;
use JsonSerializable;

/**
 * One stretch of a timeline in which one thing is asked.
 *
 * Times are whole milliseconds from the zero of the cue's own segment. Volume: 0 is the relaxed end of an
 * exhale, 1 a full inhale, below 0 past the relaxed level. An open cue ends on a tap or at its greatest
 * length; its duration is nominal.
 */
final readonly class Cue implements JsonSerializable
{
    /**
     * @param  int  $startMs  0 or more
     * @param  int  $durationMs  more than 0; nominal when the cue is open
     * @param  int|null  $greatestMs  for an open cue: when it ends without a tap
     * @param  list<Beat>  $beats  within the cue, in order
     * @param  bool  $isSoft  keeps its length whatever the tempo
     * @param  float  $sound  loudness of its tones, 0–1
     * @param  float  $sight  how clearly it is drawn, 0–1
     * @param  string|null  $how  translation key of how it is done, said after the instruction
     *
     * @throws InvalidValue
     */
    public function __construct(
        public CueKind $kind,
        public int $startMs,
        public int $durationMs,
        public string $instruction,
        public float $volumeFrom = 0.0,
        public float $volumeTo = 0.0,
        public array $beats = [],
        public Place $place = new Place,
        public Side $side = Side::None,
        public ?int $greatestMs = null,
        public bool $announcesLast = false,
        public bool $isSoft = false,
        public float $sound = 1.0,
        public float $sight = 1.0,
        public ?string $how = null,
    ) {
        if ($startMs < 0 || $durationMs <= 0) {
            throw InvalidValue::because("A cue cannot start at $startMs ms and last $durationMs ms.");
        }
        if ($greatestMs !== null && $greatestMs < $durationMs) {
            throw InvalidValue::because("An open cue cannot last $durationMs ms nominally and $greatestMs ms at most.");
        }
        foreach ($beats as $beat) {
            if ($beat->atMs < $startMs || $beat->atMs >= $this->endMs()) {
                throw InvalidValue::because("A beat at {$beat->atMs} ms lies outside its cue.");
            }
        }
    }

    /** The same cue in another place, perhaps on a side. */
    public function placed(Place $place, Side $side = Side::None): self
    {
        return new self(
            $this->kind, $this->startMs, $this->durationMs, $this->instruction, $this->volumeFrom, $this->volumeTo, $this->beats,
            $place, $side, $this->greatestMs, $this->announcesLast, $this->isSoft, $this->sound, $this->sight, $this->how,
        );
    }

    /** The same cue as one step of a routine. */
    public function inStep(int $step): self
    {
        return $this->placed(new Place($step, $this->place->round, $this->place->breath, $this->place->ofBreaths), $this->side);
    }

    /** The same cue at another time; its beats keep their share of it. */
    public function timed(int $startMs, int $durationMs): self
    {
        $beats = array_map(fn (Beat $beat) => new Beat(
            $startMs + min($durationMs - 1, (int) round(($beat->atMs - $this->startMs) * $durationMs / $this->durationMs)), $beat->number,
            $beat->word,
        ), $this->beats);

        return new self(
            $this->kind, $startMs, $durationMs, $this->instruction, $this->volumeFrom, $this->volumeTo, $beats,
            $this->place, $this->side, $this->greatestMs, $this->announcesLast, $this->isSoft, $this->sound, $this->sight, $this->how,
        );
    }

    /** The same cue, fainter. */
    public function faded(float $sound, float $sight): self
    {
        return new self(
            $this->kind, $this->startMs, $this->durationMs, $this->instruction, $this->volumeFrom, $this->volumeTo, $this->beats,
            $this->place, $this->side, $this->greatestMs, $this->announcesLast, $this->isSoft, $sound, $sight, $this->how,
        );
    }

    public function endMs(): int
    {
        return $this->startMs + $this->durationMs;
    }

    public function isOpen(): bool
    {
        return $this->greatestMs !== null;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'kind' => $this->kind->value,
            'at' => $this->startMs,
            'ms' => $this->durationMs,
            'greatest' => $this->greatestMs,
            'instruction' => $this->instruction,
            ...($this->how === null ? [] : ['how' => $this->how]),
            'from' => $this->volumeFrom,
            'to' => $this->volumeTo,
            'curve' => $this->kind->curve(),
            'beats' => $this->beats,
            'place' => $this->place,
            'side' => $this->side->value,
            'last' => $this->announcesLast,
            ...($this->isSoft ? ['soft' => true] : []),
            ...($this->sound < 1 || $this->sight < 1 ? ['sound' => $this->sound, 'sight' => $this->sight] : []),
        ];
    }
}
