<?php

declare(strict_types=1);

namespace App\Fhir;

use App\Language\PlainWords;
use App\Models\Patient;
use App\Models\Programme;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use IvoryPace\Programme\Goal;

/** Each version of a programme as a plan, with what it is for. */
final class Plans
{
    private const MOST = 200;

    public static function add(Bundle $bundle, Patient $patient): void
    {
        foreach ($patient->programmes()->with('everyVersion.items')->orderBy('id')->limit(self::MOST)->get() as $programme) {
            $before = null;
            foreach ($programme->everyVersion as $version) {
                self::plan($bundle, $programme, $version, $before);
                $before = $version->withdrawn_at === null ? $version : $before;
            }
        }
    }

    private static function plan(Bundle $bundle, Programme $programme, ProgrammeVersion $version, ?ProgrammeVersion $before): void
    {
        [$goal] = Goal::read($version->goal ?? []);
        $status = self::status($programme, $version);
        if ($goal !== null) {
            $bundle->add('Goal', $version->id, self::goal($bundle, $goal, $version, $status));
        }
        $ends = $programme->closed_on ?? $version->ends_on;
        $bundle->add('CarePlan', $version->id, [
            'replaces' => $before === null ? [] : [$bundle->to('CarePlan', $before->id)],
            'status' => $status, 'intent' => 'plan', 'title' => "Breathing programme, version {$version->number}",
            'description' => Said::text($version->patient_note),
            'subject' => $bundle->to('Patient', 0),
            'period' => Said::filled([
                'start' => Said::day($version->in_force_from),
                // A version that was issued for later may begin after its programme was closed.
                'end' => $ends === null ? null : Said::day($ends->max($version->in_force_from)),
            ]),
            'created' => Said::instant($version->issued_at),
            'author' => $bundle->to('Practitioner', $version->practitioner_id),
            'goal' => $goal === null ? [] : [$bundle->to('Goal', $version->id)],
            'activity' => array_values($version->items->map(fn (ProgrammeItem $row) => self::activity($row, $status))->all()),
            'note' => [
                ...Said::note($version->reason), ...Said::note($version->withdrawn_reason),
                ...($programme->outcome === null ? [] : Said::note("Closed: {$programme->outcome->label()}. {$programme->outcome_note}")),
            ],
        ]);
    }

    private static function status(Programme $programme, ProgrammeVersion $version): string
    {
        return match (true) {
            $version->withdrawn_at !== null => 'entered-in-error',
            $programme->closed_on !== null => 'completed',
            $version->id === $programme->everyVersion->whereNull('withdrawn_at')->last()?->id => 'active',
            default => 'revoked',
        };
    }

    /** @return array<string, mixed> */
    private static function activity(ProgrammeItem $row, string $status): array
    {
        $item = $row->item();

        return ['detail' => [
            'code' => Said::concept($item->name()),
            'status' => match ($status) {
                'active' => 'in-progress', 'completed' => 'completed', 'entered-in-error' => 'entered-in-error', default => 'stopped',
            },
            'description' => PlainWords::prescribed($item),
        ]];
    }

    /** @return array<string, mixed> */
    private static function goal(Bundle $bundle, Goal $goal, ProgrammeVersion $version, string $status): array
    {
        return [
            'lifecycleStatus' => match ($status) {
                'active' => 'active', 'completed' => 'completed', 'entered-in-error' => 'entered-in-error', default => 'cancelled',
            },
            'description' => Said::concept(Said::text($goal->words) ?? $goal->summary()),
            'subject' => $bundle->to('Patient', 0),
            'startDate' => Said::day($version->in_force_from),
            'target' => [[
                'measure' => Said::concept($goal->measure),
                'detailQuantity' => [...Said::quantity($goal->target, '', null), 'comparator' => $goal->atMost ? '<=' : '>='],
            ]],
        ];
    }
}
