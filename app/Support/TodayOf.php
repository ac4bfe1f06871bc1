<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\AskedForm;
use App\Models\Patient;
use App\Models\Pause;
use App\Models\Practice;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;
use DateTimeImmutable;
use Illuminate\Support\Collection;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Prop;
use IvoryPace\Practice\DuePractices;
use IvoryPace\Practice\PatientDay;
use IvoryPace\Practice\Today;
use IvoryPace\Practice\TodaySlot;
use IvoryPace\Programme\Item;

/** The patient's Today: what is due, what is done, and everything that the player needs. */
final class TodayOf
{
    /** What changed is shown for so many days. */
    private const NOTE_DAYS = 7;

    /** @return array<string, mixed> */
    public static function patient(Patient $patient, CarbonImmutable $now): array
    {
        $day = $patient->dayOf($now);
        $programme = $patient->activeProgramme?->load('versions.items');
        $version = $programme?->versionOn($day);

        return [
            'day' => ['date' => $day->date, 'label' => CarbonImmutable::parse($day->date)->isoFormat('dddd D MMMM')],
            'clinic' => $patient->clinic->name,
            'emergency' => $patient->clinic->emergency_wording,
            'asked' => $patient->askedForms()->waitingOnDevice()->orderBy('asked_at')->limit(10)->get()
                ->map(fn (AskedForm $form) => ['id' => $form->id, 'title' => AskedForms::name($form->form), 'answered' => $form->answered, 'of' => count(AskedForms::keys($form->form))]),
            'state' => match (true) {
                $programme === null => 'none',
                $version !== null => 'running',
                $programme->history()->firstDay()->isAfter($day) => 'not-yet',
                default => 'over',
            },
            'starts_on' => $programme === null ? null : CarbonImmutable::parse($programme->history()->firstDay()->date)->isoFormat('dddd D MMMM'),
            ...($programme === null || $version === null ? ['items' => [], 'slots' => [], 'next' => null, 'done' => 0]
                : self::running($patient, $version, new DuePractices($programme->history(), $patient->clock()), $day, $now)),
        ];
    }

    /** @return array<string, mixed> */
    private static function running(Patient $patient, ProgrammeVersion $version, DuePractices $due, PatientDay $day, CarbonImmutable $now): array
    {
        $clock = $patient->clock();
        $practices = $patient->practices()
            ->whereBetween('started_at', [$clock->startsAt($day), $clock->endsAt($day)])->orderBy('started_at')->limit(100)->get();
        $today = new Today($due->on($day), array_values($practices->map(fn (Practice $practice) => $practice->record())->all()), $now);
        $pauses = $patient->pauses()->holding($now)->limit(20)->get();

        return [
            'version_id' => $version->id,
            'rated_symptom' => $version->rated_symptom,
            'note' => PatientDay::of($version->in_force_from->format('Y-m-d'))->daysUntil($day) < self::NOTE_DAYS ? $version->patient_note : null,
            'items' => $version->items->map(fn (ProgrammeItem $item) => self::item($item, $pauses)),
            'slots' => array_map(fn (TodaySlot $slot) => self::slot($slot, $patient), $today->slots),
            'next' => $today->next,
            'done' => $today->done,
        ];
    }

    /**
     * @param  Collection<int, Pause>  $pauses
     * @return array<string, mixed>
     */
    private static function item(ProgrammeItem $row, Collection $pauses): array
    {
        $item = $row->item();
        $prescription = $item->prescription;
        $technique = $prescription->technique;

        return [
            'lineage' => $row->lineage,
            'technique' => $item->routine === null ? $technique->key : 'routine',
            'name' => $item->routine->name ?? $prescription->own->name ?? "exercise.{$technique->key}.name",
            'paused' => ! $item->isRecovery() && $pauses->contains(fn (Pause $pause) => $pause->lineage === null || $pause->lineage === $row->lineage),
            'breaths' => $item->countedBreaths() ?: null,
            'minutes' => $prescription->minutes,
            'seconds' => (int) round($item->seconds()),
            'position' => "position.{$prescription->position->value}",
            'props' => array_map(fn (Prop $prop) => "prop.{$prop->value}", $prescription->props),
            'hands' => $technique->hands,
            'size' => "exercise.size.{$prescription->effort->value}",
            'right' => self::right($item),
            'gaze' => "exercise.gaze.{$prescription->gaze->value}",
            'tempo' => $item->routine === null && $item->countedBreaths() > 0 && $prescription->guidance->tempo->canChange()
                ? ['fastest' => $prescription->guidance->tempo->fastest, 'slowest' => $prescription->guidance->tempo->slowest] : null,
            'steps' => array_map(
                fn (Prescription $step) => $step->own->name ?? "exercise.{$step->technique->key}.name", $item->routine === null ? [] : $item->exercises(),
            ),
            'why' => $item->why,
            'as_needed' => $item->asNeeded === null ? null : ['use_when' => $item->asNeeded->useWhen, 'most' => $item->asNeeded->dailyMost],
            'ridge' => Figures::ridge($item),
            'timeline' => $item->timeline(),
        ];
    }

    /** @return list<string> translation keys, or the clinic's own words */
    private static function right(Item $item): array
    {
        $own = $item->prescription->own->right ?? '';

        return match (true) {
            $item->routine !== null => [],
            $own !== '' => [$own],
            default => $item->school->criteria($item->prescription->technique),
        };
    }

    /** @return array<string, mixed> */
    private static function slot(TodaySlot $slot, Patient $patient): array
    {
        $at = fn (DateTimeImmutable $instant) => $instant->setTimezone($patient->clock()->zone)->format('H:i');

        return [
            'lineage' => $slot->due->lineage,
            'anchor' => $slot->due->anchor->value,
            'from' => $at($slot->due->opensAt),
            'to' => $at($slot->due->closesAt),
            'done' => $slot->record === null ? null : [
                'at' => $at($slot->record->startedAt),
                'stroke' => $slot->record->stroke()->value,
            ],
        ];
    }
}
