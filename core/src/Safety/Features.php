<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use IvoryPace\Breath\CountLength;
use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Phase;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Breath\Ventilation;
use IvoryPace\Exercise\Compiler;
use IvoryPace\Exercise\Prescription;
use LogicException;
use WeakMap;
use WeakReference;

/**
 * The features of a prescription that rules look at, each at the pace at which it is worst: phases as slow as the patient
 * may make them, ventilation as fast. A set that grows is judged by its longest breath.
 */
final class Features
{
    /** @var WeakMap<Prescription, self>|null prescriptions never change */
    private static ?WeakMap $known = null;

    private ?Ventilation $ventilation = null;

    /** @param  WeakReference<Prescription>  $prescription  weak, or what is known of it would keep it alive for good */
    private function __construct(
        private readonly WeakReference $prescription,
        /** Seconds of the longest inhale, with its top-up; 0 where breaths are not paced, likewise the others. */
        public readonly float $inhale,
        public readonly float $hold,
        /** Also of an exhale that is open: {@see Prescription::hasOpenExhale()}. */
        public readonly float $exhale,
        public readonly float $rest,
        /** Seconds of the longest breath. */
        public readonly float $breath,
        /** Seconds of the shortest breath at the fastest pace; null where breaths are not paced. */
        public readonly ?float $shortest,
        public readonly float $retention,
    ) {
    }

    public static function of(Prescription $prescription): self
    {
        self::$known ??= new WeakMap;

        return self::$known[$prescription] ??= self::look($prescription);
    }

    private static function look(Prescription $prescription): self
    {
        $count = $prescription->countLength->at($prescription->guidance->tempo->slowest);
        $longest = ['inhale' => 0.0, 'hold' => 0.0, 'exhale' => 0.0, 'rest' => 0.0, 'breath' => 0.0];
        foreach ($prescription->cycles() as $each) {
            $cycle = Cycle::of($each->pattern, $count);
            $longest = [
                'inhale' => max($longest['inhale'], $cycle->inhaleSeconds()),
                'hold' => max($longest['hold'], $cycle->phaseSeconds(Phase::Hold)),
                'exhale' => max($longest['exhale'], $cycle->phaseSeconds(Phase::Exhale)),
                'rest' => max($longest['rest'], $cycle->phaseSeconds(Phase::Rest)),
                'breath' => max($longest['breath'], $cycle->seconds()),
            ];
        }

        return new self(
            WeakReference::create($prescription), $longest['inhale'], $longest['hold'], $longest['exhale'], $longest['rest'],
            $longest['breath'],
            $prescription->shortestCycle()?->seconds(), $prescription->retentionSeconds(),
        );
    }

    /** The longer of hold and rest in seconds: ten seconds with empty lungs are no gentler than with full ones. */
    public function pause(): float
    {
        return max($this->hold, $this->rest);
    }

    /** Count length as slow as the patient may make it. */
    public function slowestCount(): CountLength
    {
        return $this->prescription()->countLength->at($this->prescription()->guidance->tempo->slowest);
    }

    /** Greatest ventilation that any paced breath can have, l/min: cheap, to ask first; 0 where breaths are not paced. */
    public function mostVentilation(): float
    {
        return $this->shortest === null || $this->prescription()->hasOpenExhale()
            ? 0.0
            : Ventilation::of($this->prescription()->tidalLitres(), $this->shortest);
    }

    /**
     * Breath by breath at the fastest pace. Paced breaths only: one whose exhale is open, and what belongs to a retention,
     * is left out.
     */
    public function ventilation(): Ventilation
    {
        return $this->ventilation ??= new Ventilation($this->runs());
    }

    /** @return list<array{litres: float, seconds: float, breaths: int}> */
    private function runs(): array
    {
        $prescription = $this->prescription();
        $litres = $prescription->tidalLitres();
        $factor = $prescription->guidance->tempo->fastest;
        $count = $prescription->countLength->at($factor);
        $exact = array_map(fn (Cycle $cycle) => Cycle::of($cycle->pattern, $count)->seconds(), $prescription->cycles());
        $runs = [];
        foreach (Compiler::compile($prescription)->segments as $segment) {
            $breaths = [];
            $free = 0.0;
            foreach ($segment->cues as $cue) {
                if (self::isFree($cue)) {
                    $free += $cue->durationMs / 1000;
                } elseif ($segment->role === SegmentRole::Exercise && $cue->place->breath > 0 && ! $segment->isOpen()) {
                    $breaths[$cue->place->breath] = (
                        $breaths[$cue->place->breath] ?? 0.0
                    ) + $cue->durationMs / 1000 * ($cue->isSoft ? 1.0 : $factor);
                }
            }
            if ($free > 0) {
                $runs[] = ['litres' => 0.0, 'seconds' => $free, 'breaths' => 0];
            }
            foreach ($breaths as $seconds) {
                // Cues are whole milliseconds; the breath is as long as its counts say.
                $seconds = self::nearest($exact, $seconds);
                $last = count($runs) - 1;
                if ($last >= 0 && $runs[$last]['breaths'] > 0 && $runs[$last]['seconds'] === $seconds) {
                    $runs[$last]['breaths']++;
                } else {
                    $runs[] = ['litres' => $litres, 'seconds' => $seconds, 'breaths' => 1];
                }
            }
        }

        return array_values($runs);
    }

    private function prescription(): Prescription
    {
        return $this->prescription->get() ?? throw new LogicException('The prescription is gone that these are the features of.');
    }

    /** @param  list<float>  $exact */
    private static function nearest(array $exact, float $seconds): float
    {
        foreach ($exact as $each) {
            if (abs($each - $seconds) < 0.02) {
                return $each;
            }
        }

        return $seconds;
    }

    /** Nothing is paced meanwhile. */
    private static function isFree(Cue $cue): bool
    {
        return in_array($cue->kind, [
            CueKind::Free, CueKind::Listen, CueKind::Region, CueKind::Number, CueKind::Move, CueKind::Settle, CueKind::Tense,
            CueKind::LetGo,
        ], true);
    }
}
