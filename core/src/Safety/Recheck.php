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
     * @param  array<string, list<string>>  $reasoned  rules with a reason given, by lineage
     */
    public static function of(array $items, PatientFacts $before, PatientFacts $after, array $inForce = [], array $reasoned = []): self
    {
        $old = RuleBook::checkProgramme($items, $before, $inForce);
        $present = RuleBook::checkProgramme($items, $after, $inForce);
        $new = [];
        foreach ($items as $item) {
            $known = array_map(fn (Finding $finding) => $finding->rule, $old[$item->lineage] ?? []);
            foreach ($present[$item->lineage] ?? [] as $finding) {
                if ($finding->level === Level::Note || in_array($finding->rule, $known, true)) {
                    continue;
                }
                $hasReason = in_array($finding->rule, $reasoned[$item->lineage] ?? [], true);
                $new[] = ['item' => $item, 'finding' => $finding, 'pauses' => $finding->level === Level::NeedsReason && ! $hasReason && ! $item->isRecovery()];
            }
        }

        return new self($new);
    }
}
