<?php

declare(strict_types=1);

namespace App\Pages\Bench;

use App\Catalogue\FieldsShown;
use App\Catalogue\Figures;
use App\Catalogue\LadderView;
use App\Language\Told;
use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Ladder\Reach;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Programme\Draft;
use IvoryPace\Programme\ProgrammeDraft;
use IvoryPace\Programme\Told\Instruction;
use IvoryPace\Progress\Proposal\RoutineStepped;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\RuleBook;

/** Everything that the Bench shows for what has been typed. */
final class BenchAnswer
{
    /**
     * @param  array<string, Prescription>  $inForce  by lineage
     * @param  Reach  $reach  how far its ladders lead
     * @return array<string, mixed>
     */
    public static function to(ProgrammeDraft $draft, PatientFacts $patient, array $inForce, Reach $reach): array
    {
        $findings = RuleBook::checkProgramme($draft->items(), $patient, $inForce);

        return [
            'items' => array_map(
                fn (Draft $each, string $id) => self::item($each, $id, $findings[$id] ?? [], $reach), $draft->drafts, $draft->ids,
            ),
            'minutes' => array_values($draft->minutesByWeekday()),
            'school' => $draft->school->value,
            'error' => $draft->error,
        ];
    }

    /**
     * @param  list<Finding>  $findings
     * @return array<string, mixed>
     */
    private static function item(Draft $draft, string $id, array $findings, Reach $reach): array
    {
        $item = $draft->item;
        $short = $item?->shortTimeline();
        $ladder = $item?->ladder($reach);

        return [
            'id' => $id,
            'fields' => FieldsShown::of(['id' => $id, ...$draft->fields]),
            'errors' => (object) $draft->errors,
            'name' => $item?->name(),
            'summary' => $item?->summary(),
            'figures' => $item === null ? null : Figures::ofItem($item),
            'ridge' => $item === null ? null : Figures::ridge($item),
            'told' => $item === null ? [] : Told::parts(Instruction::of($item)),
            'taught' => $item === null ? [] : array_map(
                fn (array $told) => implode(' ', array_map(Told::say(...), $told)), Instruction::steps($item),
            ),
            'heard' => $item === null ? '' : Told::heardFirst($item->timeline()),
            'short' => $item === null || $short === null ? null : [
                'summary' => $item->shortVersion()?->summary() ?? count($item->shortSteps()).' steps',
                'seconds' => $short->exerciseMs() / 1000,
            ],
            'grows' => $item?->routine === null ? null : RoutineStepped::up($item, $reach)?->change(),
            'ladder' => $item === null || $ladder === null ? null : LadderView::of($ladder, $item->ladder !== null),
            'findings' => array_map(self::finding(...), $findings),
        ];
    }

    /** @return array<string, mixed> */
    private static function finding(Finding $finding): array
    {
        return [
            'rule' => $finding->rule,
            'level' => $finding->level->value,
            'title' => $finding->title,
            'message' => $finding->message,
            'field' => $finding->field,
            'basis' => $finding->basis,
            'cause' => ['numbers' => (object) $finding->cause->write()['numbers']] + $finding->cause->write(),
            'changes' => array_map(
                fn (Change $change) => ['label' => $change->label, 'set' => (object) FieldsShown::of($change->set), 'add' => $change->add],
                $finding->changes,
            ),
        ];
    }
}
