<?php

declare(strict_types=1);

namespace IvoryPace\Session;

use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Breath\Timeline\Timeline;
use IvoryPace\Exercise\Compiler;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\RuleBook;
use IvoryPace\Signal\BestPace;
use LogicException;

/**
 * Paces led one after the other, to find the one at which the heart swings most with the breath: which of them this patient may be led
 * through, and the timeline that leads them. A pace that a safety rule warns of is left out: nobody has weighed it.
 */
final readonly class PaceComparison
{
    private const COUNTS = 10;

    private const LEAST = 2;

    /**
     * @param  list<float>  $paces  breaths a minute, in the order in which they are led
     * @param  list<array{float, Finding}>  $leftOut  pace, and why
     */
    private function __construct(public array $paces, public array $leftOut)
    {
    }

    public static function for(PatientFacts $patient): self
    {
        $paces = $leftOut = [];
        foreach (BestPace::PACES as $pace) {
            $grave = array_values(array_filter(
                RuleBook::check(self::item($pace), $patient, ofTheWhole: false),
                fn (Finding $finding) => $finding->level !== Level::Note,
            ));
            if ($grave === []) {
                $paces[] = $pace;
            } else {
                $leftOut[] = [$pace, $grave[0]];
            }
        }

        return new self($paces, $leftOut);
    }

    /** Fewer than two cannot be compared. */
    public function isPossible(): bool
    {
        return count($this->paces) >= self::LEAST;
    }

    /** Each pace for three minutes, as near as whole breaths come; its cues carry its number. */
    public function timeline(): Timeline
    {
        $segments = [];
        foreach ($this->paces as $n => $pace) {
            $prescription = self::item($pace)->exercises()[0];
            foreach (Compiler::segments($prescription) as $segment) {
                // One goes on into the next: only before the first is there a lead-in.
                if ($n === 0 || $segment->role === SegmentRole::Exercise) {
                    $segments[] = $segment->inStep($n + 1);
                }
            }
        }
        $last = self::item($this->paces[count($this->paces) - 1])->exercises()[0];
        $ending = array_map(fn (Segment $segment) => $segment->inStep(count($this->paces)), Compiler::ending($last));

        return new Timeline([...$segments, ...$ending]);
    }

    /** One pace as an exercise: four tenths of each breath in, six out. */
    public static function item(float $pace): Item
    {
        return DraftReader::read([
            'technique' => 'extended-exhale', 'ratio' => '4:6', 'count_length' => round(60 / $pace / self::COUNTS, 4),
            'breaths' => (int) round(BestPace::EACH_S * $pace / 60), 'position' => 'seated',
        ], 'pace')->item ?? throw new LogicException("A pace of $pace a minute cannot be read as an exercise.");
    }
}
