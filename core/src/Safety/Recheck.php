<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use IvoryPace\Exercise\Prescription;
use IvoryPace\Programme\Item;

/**
 * What a new fact about a patient says of the programme that is running: findings that were not there before. What
 * needs a reason that nobody has given is paused until a practitioner has looked; recovery exercises never are.
 */
final readonly class Recheck
{
    /** @param  list<array{item: Item, finding: Finding, pauses: bool}>  $new  gravest first within an exercise */
    private function __construct(public array $new)
    {
    }

    /**
     * @param  list<Item>  $items  of the version in force
     * @param  array<string, Prescription>  $inForce  by lineage
     * @param  array<string, array<string, Cause>>  $reasoned  what a reason was given for, by lineage and rule
     */
    public static function of(array $items, PatientFacts $before, PatientFacts $after, array $inForce = [], array $reasoned = []): self
    {
        $new = [];
        foreach ($items as $index => $item) {
            $others = array_values(array_filter($items, fn (Item $each) => $each !== $item));
            $now = $inForce[$item->lineage] ?? null;
            $known = [];
            foreach (RuleBook::findings($item, $before->comparedWith($now), $others, $index === 0) as $finding) {
                $known[$finding->rule] = $finding;
            }
            foreach (RuleBook::findings($item, $after->comparedWith($now), $others, $index === 0) as $finding) {
                if ($finding->level === Level::Note || ! $finding->isWorseThan($known[$finding->rule] ?? null)) {
                    continue;
                }
                $hasReason = ($reasoned[$item->lineage][$finding->rule] ?? null)?->covers($finding->cause) === true;
                $new[] = [
                    'item' => $item, 'finding' => $finding,
                    'pauses' => $finding->level === Level::NeedsReason && ! $hasReason && ! $item->isRecovery(),
                ];
            }
        }

        return new self($new);
    }
}
