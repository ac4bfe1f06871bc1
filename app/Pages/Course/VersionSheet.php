<?php

declare(strict_types=1);

namespace App\Pages\Course;

use App\Catalogue\FieldsShown;
use App\Catalogue\Figures;
use App\Models\FindingReason;
use App\Models\Patient;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use IvoryPace\Exercise\Body\Prop;
use IvoryPace\Exercise\Routine\RoutineStep;
use IvoryPace\Programme\Goal;
use IvoryPace\Progress\GoalMeasure;

/** An issued version, to be read. */
final class VersionSheet
{
    /** @return array<string, mixed> */
    public static function of(ProgrammeVersion $version, Patient $patient): array
    {
        $goal = $version->goal ?? [];

        return [
            'number' => $version->number,
            'by' => $version->practitioner->name,
            'issued_on' => $version->issued_at->setTimezone($patient->clinic->time_zone)->format('j M Y H:i'),
            'in_force_from' => $version->in_force_from->format('j M Y'),
            'ends_on' => $version->ends_on?->format('j M Y'),
            'review_on' => $version->review_on->format('j M Y'),
            'rated_symptom' => $version->rated_symptom,
            'reason' => $version->reason,
            'withdrawn' => $version->withdrawn_at === null ? null : "Withdrawn by {$version->withdrawer?->name} on "
                ."{$version->withdrawn_at->setTimezone($patient->clinic->time_zone)->format('j M Y H:i')}: {$version->withdrawn_reason}",
            'school' => $version->school->label(),
            'goal' => $goal === [] ? null : [...$goal, 'summary' => self::goal($goal)],
            'patient_note' => $version->patient_note,
            'items' => $version->items->map(self::item(...)),
            'finding_reasons' => $version->findingReasons->map(fn (FindingReason $reason) => [
                'rule' => $reason->rule, 'message' => $reason->message, 'reason' => $reason->reason,
                'by' => $reason->practitioner->name,
                'on' => $reason->given_at->setTimezone($patient->clinic->time_zone)->format('j M Y'),
            ]),
        ];
    }

    /** @param  array<string, mixed>  $given */
    private static function goal(array $given): ?string
    {
        $goal = Goal::read($given)[0];

        return $goal === null ? null : GoalMeasure::inWords($goal);
    }

    /** @return array<string, mixed> */
    private static function item(ProgrammeItem $row): array
    {
        $item = $row->item();
        $prescription = $item->prescription;

        return [
            'lineage' => $row->lineage,
            'name' => $item->name(),
            'summary' => $item->summary(),
            'fields' => FieldsShown::of($row->fields),
            'steps' => $item->routine === null ? [] : array_map(
                fn (RoutineStep $step) => trim(
                    $step->label().' '.($step->prescription?->summary() ?? ($step->seconds > 0 ? "{$step->seconds} s" : '')),
                ),
                $item->routine->steps,
            ),
            'position' => $prescription->position->label(),
            'props' => array_map(fn (Prop $prop) => $prop->label(), $prescription->props),
            'route_in' => $prescription->routeIn->label(),
            'route_out' => $prescription->routeOut->label(),
            'effort' => $prescription->effort->label(),
            'as_needed' => $item->asNeeded?->summary(),
            'why' => $item->why,
            'short' => $item->shortVersion()?->summary()
                ?? ($item->shortTimeline() === null ? null : count($item->shortSteps()).' steps'),
            'figures' => Figures::ofItem($item),
            'ridge' => Figures::ridge($item),
        ];
    }
}
