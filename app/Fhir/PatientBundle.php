<?php

declare(strict_types=1);

namespace App\Fhir;

use App\Language\PatientLanguage;
use App\Models\Patient;
use App\Models\Practitioner;

/**
 * A record as other programs read it: one HL7 FHIR R4 bundle. What has no place there (a programme's counts as numbers, each
 * practice, the diary) stands in record.json and in the tables beside it.
 */
final class PatientBundle
{
    /** @return array<string, mixed> */
    public static function of(Patient $patient): array
    {
        $bundle = new Bundle($patient->id);
        $patient->loadMissing('clinic');
        self::people($bundle, $patient);
        // Questions stand as they were asked.
        PatientLanguage::of($patient, fn () => Forms::add($bundle, $patient));
        Screenings::add($bundle, $patient);
        Measures::add($bundle, $patient);
        Plans::add($bundle, $patient);
        PracticeWeeks::add($bundle, $patient);
        Papers::add($bundle, $patient);
        self::authors($bundle);

        return $bundle->written();
    }

    private static function people(Bundle $bundle, Patient $patient): void
    {
        $contact = Said::text($patient->contact);
        $bundle->add('Patient', 0, [
            'name' => [['text' => $patient->name]],
            'telecom' => $contact === null ? [] : [self::telecom($contact)],
            'birthDate' => Said::day($patient->birth_date),
            'communication' => [[
                'language' => Said::term('urn:ietf:bcp:47', str_replace('_', '-', $patient->locale)), 'preferred' => true,
            ]],
            'managingOrganization' => $bundle->to('Organization', 0),
        ]);
        $bundle->add('Organization', 0, ['name' => $patient->clinic->name]);
    }

    /** @return array<string, string> what was written down may be either; other words are words */
    private static function telecom(string $contact): array
    {
        return [
            'system' => match (true) {
                filter_var($contact, FILTER_VALIDATE_EMAIL) !== false => 'email',
                preg_match('#^[+0-9 ()/.-]{4,}$#D', $contact) === 1 => 'phone',
                default => 'other',
            },
            'value' => $contact,
        ];
    }

    /** Whoever is named in it. */
    private static function authors(Bundle $bundle): void
    {
        $people = Practitioner::query()->whereIn('id', $bundle->rows('Practitioner'))->get()->keyBy('id');
        foreach ($bundle->rows('Practitioner') as $id) {
            $person = $people[$id] ?? null;
            $registration = Said::text($person?->registration);
            $bundle->add('Practitioner', $id, [
                'identifier' => $registration === null ? [] : [['type' => ['text' => 'Registration'], 'value' => $registration]],
                'name' => [['text' => Said::text($person?->name) ?? 'unknown']],
                'qualification' => Said::text($person?->profession) === null ? [] : [['code' => ['text' => $person?->profession]]],
            ]);
        }
    }
}
