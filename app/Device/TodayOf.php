<?php

declare(strict_types=1);

namespace App\Device;

use App\Facts\Calendar\AppointmentsOf;
use App\Facts\Calendar\PracticesOfDay;
use App\Facts\FormText;
use App\Models\AskedForm;
use App\Models\Patient;
use App\Models\Programme;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use App\Models\PutOffPractice;
use Carbon\CarbonImmutable;
use DateTimeImmutable;
use Illuminate\Support\Collection;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Health\StopSymptom;
use IvoryPace\Practice\Night;
use IvoryPace\Practice\RecoveryWatch;
use IvoryPace\Practice\TodaySlot;
use IvoryPace\Practice\WeeklyCheck;
use IvoryPace\Practice\Windows;
use IvoryPace\Safety\PauseRules;

/**
 * What a patient's device keeps, so that it works without a network: today and tomorrow, what is due and done, and
 * everything that the player needs. Which of it is next, the device tells by its clock.
 */
final class TodayOf
{
    /** What changed is shown for so many days. */
    private const NOTE_DAYS = 7;

    /**
     * @param  string|null  $owner  record under which the device came, where it has been joined into another
     * @return array<string, mixed>
     */
    public static function patient(Patient $patient, CarbonImmutable $now, ?string $owner = null): array
    {
        $today = $patient->dayOf($now);
        $programme = $patient->activeProgramme?->load('versions.items');
        $days = [$today, $today->next()];
        $versions = array_filter(array_map(fn (PatientDay $day) => $programme?->versionOn($day), $days));

        return [
            'now' => $now->toIso8601ZuluString('millisecond'),
            'owner' => self::owner($owner ?? $patient->id),
            'clinic' => $patient->clinic->name,
            ...self::help($patient),
            'rules' => self::rules(),
            'asked' => $patient->askedForms()->waitingOnDevice()->orderBy('asked_at')->limit(10)->get()
                ->map(fn (AskedForm $form) => [...FormText::view($form), 'answered' => $form->answered]),
            'appointment' => self::appointment($patient, $now),
            'check_due' => $versions !== [] && WeeklyCheck::isDue(self::lastCheck($patient), $today),
            'days' => array_map(fn (PatientDay $day) => self::day($patient, $programme, $day), $days),
            'items' => (object) TodayItems::ofVersions($patient, array_values($versions), $now),
            'recovery' => self::recovery($patient, $programme, $now),
        ];
    }

    /**
     * At hand before the PIN, where others may see it: recovery from breathlessness, the same for everyone, so that it
     * gives nothing away about this patient.
     *
     * @return array<string, mixed>
     */
    public static function beforeThePin(Patient $patient, ?string $owner = null): array
    {
        return [
            'owner' => self::owner($owner ?? $patient->id), ...self::help($patient), 'rules' => self::rules(),
            'item' => TodayItems::forEveryone(),
        ];
    }

    /** When the patient comes next, in the patient's words and time. */
    private static function appointment(Patient $patient, CarbonImmutable $now): ?string
    {
        $next = AppointmentsOf::next($patient, $now);

        return $next === null ? null : (string) __('patient.today.appointment', [
            'when' => CarbonImmutable::parse($next['starts_at'], 'UTC')->setTimezone($patient->time_zone)->isoFormat('dddd D MMMM, HH:mm'),
            'with' => $next['with'],
        ]);
    }

    /** @return array<string, mixed> the clinic's wording, and a number in it that can be called */
    private static function help(Patient $patient): array
    {
        $wording = $patient->clinic->emergency_wording;

        return [
            'emergency' => $wording,
            'emergency_call' => preg_match('/\+?\d[\d ]{1,16}\d/', $wording, $found) === 1 ? str_replace(' ', '', $found[0]) : null,
            'crisis' => $patient->clinic->crisis_number,
            'telephone' => $patient->clinic->telephone,
        ];
    }

    /** @return array<string, mixed> the rules that a device applies by itself, with their numbers */
    private static function rules(): array
    {
        return [
            'pausing' => PauseRules::forDevices(), 'symptoms' => StopSymptom::forDevices(), 'seconds' => RecoveryWatch::forDevices(),
            'days' => Windows::forDevices(), 'night' => Night::forDevices(),
        ];
    }

    /**
     * The recovery exercise as it was agreed: it is there before the programme starts, after its last day and when it is
     * closed, from the latest version that has one.
     *
     * @return array{version_id: int, item: array<string, mixed>}|null
     */
    private static function recovery(Patient $patient, ?Programme $programme, CarbonImmutable $now): ?array
    {
        $programmes = [$programme, ...($programme === null ? [$patient->lastClosedProgramme?->load('versions.items')] : [])];
        foreach (array_filter($programmes) as $each) {
            $version = $each->versions->last(
                fn (ProgrammeVersion $version) => $version->items->contains(fn (ProgrammeItem $row) => $row->item()->isRecovery()),
            );
            $item = $version === null
                ? null
                : (TodayItems::ofVersions($patient, [$version], $now, recoveryOnly: true)[$version->id][0] ?? null);
            if ($version !== null && $item !== null) {
                return ['version_id' => $version->id, 'item' => $item];
            }
        }

        return null;
    }

    /** Tells a device whose the things are that it keeps, without telling who that is. */
    private static function owner(string $record): string
    {
        return substr(hash_hmac('sha256', $record, config()->string('app.mark_key')), 0, 20);
    }

    private static function lastCheck(Patient $patient): ?PatientDay
    {
        $last = $patient->homeChecks()->latest('taken_at')->first();

        return $last === null ? null : $patient->dayOf($last->taken_at);
    }

    /** @return array<string, mixed> */
    private static function day(Patient $patient, ?Programme $programme, PatientDay $day): array
    {
        $clock = $patient->clock();
        $version = $programme?->versionOn($day);
        $first = $programme?->history()->firstDay();

        return [
            'date' => $day->date,
            'label' => CarbonImmutable::parse($day->date)->isoFormat('dddd D MMMM'),
            'from' => self::instant($clock->startsAt($day)),
            'to' => self::instant($clock->endsAt($day)),
            'state' => match (true) {
                $programme === null => 'none',
                $version !== null => 'running',
                $first?->isAfter($day) === true => 'not-yet',
                default => 'over',
            },
            'starts_on' => $first === null ? null : CarbonImmutable::parse($first->date)->isoFormat('dddd D MMMM'),
            'version_id' => $version?->id,
            'rated_symptom' => $version?->rated_symptom,
            'note' => $version === null ? null : self::note($version, $day),
            'slots' => $programme === null || $version === null
                ? []
                : self::slots($patient, $programme, $day),
        ];
    }

    private static function note(ProgrammeVersion $version, PatientDay $day): ?string
    {
        return PatientDay::of($version->in_force_from->format('Y-m-d'))->daysUntil($day) < self::NOTE_DAYS ? $version->patient_note : null;
    }

    /** @return list<array<string, mixed>> */
    private static function slots(Patient $patient, Programme $programme, PatientDay $day): array
    {
        $putOff = $patient->putOffs()->where('day', $day->date)->limit(100)->get();

        return array_map(
            fn (TodaySlot $slot) => self::slot($slot, $putOff, $patient), PracticesOfDay::slots($patient, $programme, $day),
        );
    }

    /**
     * @param  Collection<int, PutOffPractice>  $putOff
     * @return array<string, mixed>
     */
    private static function slot(TodaySlot $slot, Collection $putOff, Patient $patient): array
    {
        $at = fn (DateTimeImmutable $instant) => $instant->setTimezone($patient->clock()->zone)->format('H:i');
        $put = $putOff->first(fn (PutOffPractice $each) => $each->lineage === $slot->due->lineage && $each->anchor === $slot->due->anchor);

        return [
            'lineage' => $slot->due->lineage,
            'anchor' => $slot->due->anchor->value,
            'name' => $slot->due->name === '' ? null : $slot->due->name,
            'from' => $at($slot->due->opensAt),
            'to' => $at($slot->due->closesAt),
            'closes_at' => self::instant($slot->due->closesAt),
            'put_off' => $put?->reason->value,
            'done' => $slot->record === null ? null : [
                'at' => $at($slot->record->startedAt),
                'stroke' => $slot->record->stroke()->value,
            ],
        ];
    }

    private static function instant(DateTimeImmutable $at): string
    {
        return CarbonImmutable::instance($at)->toIso8601ZuluString();
    }
}
