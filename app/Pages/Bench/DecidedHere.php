<?php

declare(strict_types=1);

namespace App\Pages\Bench;

use App\Facts\DecidedInSession;
use App\Facts\PatientFactsOf;
use App\Facts\ReachOf;
use App\Models\CareSession;
use App\Models\Patient;
use IvoryPace\Programme\ItemFields;
use IvoryPace\Programme\ProgrammeDraft;
use IvoryPace\Progress\Proposal\Decision;

/** What was decided in a session, done in the draft that its Bench begins with. */
final class DecidedHere
{
    /** @return array<string, mixed>|null null where nothing was decided, or a version was issued since */
    public static function of(Patient $patient, CareSession $session): ?array
    {
        $decided = DecidedInSession::of($patient, $session);
        if ($decided === null || $decided->decisions === []) {
            return null;
        }
        $items = [];
        $lines = [];
        foreach ($decided->rows() as $row) {
            [$decision, $reason] = $decided->decisions[$row->lineage] ?? [null, ''];
            if ($decision === null) {
                $items[] = ['id' => $row->lineage, ...$row->fields];

                continue;
            }
            $made = $decided->made($row, $decision);
            $isChanged = $made->isDone && $decision->changesTheProgramme();
            $lines[] = [
                'lineage' => $row->lineage, 'name' => $row->item()->name(), 'decision' => $decision->label(), 'reason' => $reason,
                'done' => $decision === Decision::Pause ? $decided->isPaused($row) : $made->isDone,
                'to' => $isChanged ? $made->item?->summary() : null,
            ];
            if ($made->item !== null) {
                $items[] = ['id' => $row->lineage, ...($isChanged ? ItemFields::write($made->item) : $row->fields)];
            }
        }
        $changing = array_filter($lines, fn (array $line) => $line['decision'] !== Decision::Stay->label());

        if ($items === []) {
            // A programme keeps one exercise at least: taking out the last one is closing it.
            $lines = array_map(fn (array $line) => [...$line, 'done' => false], $lines);
        }
        $latest = $patient->activeProgramme?->latestVersion();
        $facts = PatientFactsOf::patient($patient, now());

        return [
            'answer' => $items === [] ? null : BenchAnswer::to(
                ProgrammeDraft::read($items, $latest?->school->value), $facts, PatientFactsOf::inForce($latest),
                ReachOf::reach($patient, $facts, now()),
            ),
            'lines' => $lines,
            'reason' => implode('. ', array_map(
                fn (array $line) => "{$line['name']}: {$line['decision']}"
                    .($line['reason'] === '' ? '' : ' ('.rtrim($line['reason'], '.').')'),
                $changing,
            )),
        ];
    }
}
