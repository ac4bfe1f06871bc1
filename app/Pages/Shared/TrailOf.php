<?php

declare(strict_types=1);

namespace App\Pages\Shared;

use App\Models\Clinic;
use App\Models\Patient;
use App\Models\TrailEntry;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Str;

/** Who opened and changed what, in words. */
final class TrailOf
{
    private const MOST = 200;

    /** By the address or its first part. */
    private const WORDS = [
        'course' => 'Course', 'screening' => 'Screening', 'red-flags' => 'What was done about a red flag', 'measure' => 'Measurements',
        'signals' => 'Signals', 'forms' => 'Questionnaires', 'new-findings' => 'New findings',
        'sessions' => 'Session', 'bench' => 'Bench', 'versions' => 'Programme version', 'access' => 'Access', 'consent' => 'Consent',
        'devices' => 'Devices', 'pauses' => 'Pauses', 'record' => 'Record', 'details' => 'Details', 'handovers' => 'Who is responsible',
        'caseload' => 'Caseload', 'clinic' => 'Clinic', 'patients' => 'A new patient', 'paper' => 'Practices from paper',
        'proposals' => 'Answer to a proposal', 'programme' => 'Programme', 'appointments' => 'Appointments',
        'kept-aside' => 'What a signed-out device sent', 'templates' => 'Templates', 'routines' => 'Routines',
        'measurements' => 'A measured value', 'practices' => 'A practice from paper', 'archive' => 'Archive',
        'join' => 'Joining two records', 'sessions/{careSession}/drop' => 'A session that was dropped',
        'versions/{number}/withdraw' => 'A version that was withdrawn', 'devices/{device}/wrong' => 'The wrong patient’s device',
        'sensors' => 'Devices of the room',
        'own-exercises' => 'Own exercises', 'voice' => 'Voice', 'account' => 'Account',
        'versions/{number}/sheet.pdf' => 'Sheet', 'versions/{number}/programme.json' => 'Programme as a file',
        'clinic/founded' => 'Founding of the clinic',
        'clinic/settings' => 'Settings of the clinic', 'clinic/thresholds' => 'Thresholds', 'clinic/reliabilities' => 'Reliabilities',
        'clinic/people/{practitioner}' => 'Role', 'clinic/people/{practitioner}/end' => 'End of a person',
        'clinic/invitations' => 'Invitation', 'clinic/invitations/{invitation}' => 'Invitation',
        'clinic/second-factor' => 'Second factor of everyone', 'clinic/outbox' => 'Outbox',
        'devices/joined' => 'A new device', 'devices/pin' => 'PIN of a device', 'devices/locked-out' => 'Device locked out',
        'devices/traces' => 'Whether traces stay',
        'devices/consent' => 'Consent on a device', 'devices/sheet' => 'Sheet', 'devices/signed-out' => 'A device signed out',
        'account/password' => 'Password', 'account/second-factor' => 'Second factor', 'account/sessions' => 'Sessions',
        'account/joined' => 'Account', 'account/details' => 'Own details',
        'record.zip' => 'The whole record as a file', 'patients/file' => 'A record from a file',
        'devices/record' => 'The whole record as a file', 'week' => 'Week', 'week/calendar.ics' => 'Own calendar as a file',
        'absences' => 'Absences', 'exercises' => 'Exercises',
        'erasure' => 'Erasure of a record', 'erasure/refusal' => 'An erasure that was refused', 'clinic/erasures' => 'Erasure of records',
        'clinic/keeping' => 'How long records are kept', 'clinic/letters' => 'Wording of letters', 'letters' => 'Letters',
        'clinic/report.pdf' => 'Report of a quarter', 'clinic/report.csv' => 'Report of a quarter',
        'questionnaires' => 'Own questionnaires',
    ];

    /** @return list<array<string, mixed>> newest first */
    public static function clinic(Clinic $clinic): array
    {
        return self::list(TrailEntry::query()->where('clinic_id', $clinic->id), $clinic->time_zone);
    }

    /** @return list<array<string, mixed>> newest first */
    public static function patient(Patient $patient): array
    {
        return self::list(TrailEntry::query()->where('patient_id', $patient->id), $patient->clinic->time_zone);
    }

    /**
     * @param  Builder<TrailEntry>  $entries
     * @return list<array<string, mixed>>
     */
    private static function list(Builder $entries, string $zone): array
    {
        $latest = $entries->with('practitioner', 'patient', 'device')->orderByDesc('at')->orderByDesc('id')->limit(self::MOST)->get();

        return array_values($latest->map(fn (TrailEntry $entry) => [
            'on' => $entry->at->setTimezone($zone)->format('j M Y H:i'),
            'by' => $entry->practitioner->name ?? $entry->device->label ?? '–',
            'kind' => $entry->kind->label(),
            'what' => self::words($entry->what) ?? $entry->what,
            'patient' => $entry->patient?->name,
            'patient_id' => $entry->patient_id,
            'changes' => self::changes($entry->detail ?? []),
        ])->all());
    }

    /** What an address is about; null when nobody has said it. */
    public static function words(string $what): ?string
    {
        return self::WORDS[$what] ?? self::WORDS[explode('/', $what)[0]] ?? null;
    }

    /**
     * @param  array<string, array{mixed, mixed}>  $changes
     * @return list<string> "time zone: Europe/Lisbon → Europe/Berlin"
     */
    private static function changes(array $changes): array
    {
        $words = fn (mixed $value): string => match (true) {
            $value === null, $value === '' => 'nothing',
            is_bool($value) => $value ? 'yes' : 'no',
            default => is_scalar($value) ? (string) $value : (string) json_encode($value),
        };

        return array_map(
            fn (string $name, array $pair) => Str::replace('_', ' ', $name).": {$words($pair[0])} → {$words($pair[1])}",
            array_keys($changes), $changes,
        );
    }
}
