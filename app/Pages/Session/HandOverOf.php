<?php

declare(strict_types=1);

namespace App\Pages\Session;

use App\Facts\Calendar\AppointmentsOf;
use App\Facts\PatientFactsOf;
use App\Language\PatientLanguage;
use App\Language\PlainWords;
use App\Language\Told;
use App\Models\CareSession;
use App\Models\Patient;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;
use IvoryPace\Health\Flag;
use IvoryPace\Programme\Told\Instruction;

/** What is handed over at the end of a session: what was issued, in the patient's words, and the way to it. */
final class HandOverOf
{
    /** @return array<string, mixed> */
    public static function session(Patient $patient, CareSession $session, CarbonImmutable $now): array
    {
        $version = $patient->activeProgramme?->latestVersion();

        return [
            'version' => $version === null ? null : [
                'number' => $version->number, 'is_new' => $version->issued_at >= $session->begun_at,
                'in_force_from' => $version->in_force_from->format('j M Y'), 'review_on' => $version->review_on->format('j M Y'),
                'patient_note' => $version->patient_note,
                'items' => PatientLanguage::of($patient, fn () => self::items($version, $patient, $now)),
            ],
            'has_device' => $patient->devices()->whereNull('revoked_at')->exists(),
            'mail_to' => $patient->email(),
            'public_address' => config()->string('app.url'),
            'appointment' => AppointmentsOf::next($patient, $now),
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function items(ProgrammeVersion $version, Patient $patient, CarbonImmutable $now): array
    {
        $isCareful = PatientFactsOf::screened($patient, $now)->which(Flag::lightHeadednessMatters()) !== [];

        return array_values($version->items->map(function (ProgrammeItem $row) use ($isCareful) {
            $item = $row->item();

            return [
                'name' => $item->name(), 'summary' => $item->summary(),
                'when' => array_map(PlainWords::anchor(...), $item->plan->slots ?? []),
                'told' => Told::parts(Instruction::of($item, $isCareful)),
            ];
        })->all());
    }
}
