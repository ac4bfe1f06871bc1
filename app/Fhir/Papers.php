<?php

declare(strict_types=1);

namespace App\Fhir;

use App\Models\Consent;
use App\Models\Letter;
use App\Models\Patient;
use App\Models\SessionNote;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;

/** What was agreed to, and what was signed: letters, notes and what was added to them. */
final class Papers
{
    private const MOST = 1000;

    /** “Patient Consent”, as FHIR's own examples have it. */
    private const CONSENT = '59284-0';

    public static function add(Bundle $bundle, Patient $patient): void
    {
        self::consents($bundle, $patient);
        self::letters($bundle, $patient);
        self::notes($bundle, $patient);
    }

    private static function consents(Bundle $bundle, Patient $patient): void
    {
        /** @var Collection<int, Consent> $all */
        $all = Consent::query()->where('patient_id', $patient->id)->orderBy('id')->limit(self::MOST)->get();
        foreach ($all as $consent) {
            $isYes = $consent->kind === 'accepted';
            $last = $all->last(fn (Consent $each) => $each->about === $consent->about);
            $bundle->add('Consent', $consent->id, [
                'status' => $isYes && $consent->is($last) ? 'active' : 'inactive',
                'scope' => Said::term('consentscope', 'patient-privacy'),
                'category' => [['coding' => [['system' => Said::LOINC, 'code' => self::CONSENT]]]],
                'patient' => $bundle->to('Patient', 0),
                'dateTime' => Said::instant($consent->given_at),
                'organization' => [$bundle->to('Organization', 0)],
                'policyRule' => Said::concept(($consent->about === 'traces' ? 'How long samples of recordings stay' : 'What is recorded')
                    .", as it was shown: {$consent->version}"),
                'provision' => ['type' => $isYes ? 'permit' : 'deny'],
            ]);
        }
    }

    private static function letters(Bundle $bundle, Patient $patient): void
    {
        /** @var Collection<int, Letter> $all */
        $all = $patient->letters()->orderBy('id')->limit(self::MOST)->get();
        foreach ($all->values() as $index => $letter) {
            $bytes = $letter->bytes();
            self::document($bundle, "letter {$letter->id}", [
                'status' => $all->contains('replaces_id', $letter->id) ? 'superseded' : 'current',
                'description' => $letter->kind->label(),
                'date' => $letter->signed_at, 'author' => $letter->practitioner_id,
                'relatesTo' => $letter->replaces_id === null ? [] : [
                    ['code' => 'replaces', 'target' => $bundle->to('DocumentReference', "letter {$letter->replaces_id}")],
                ],
                'attachment' => [
                    // Beside this file, in the same ZIP.
                    'contentType' => 'application/pdf', 'url' => 'letters/'.($index + 1).'.pdf', 'title' => $letter->kind->label(),
                    ...($bytes === null ? [] : ['size' => strlen($bytes), 'hash' => base64_encode(sha1($bytes, true))]),
                ],
            ]);
        }
    }

    private static function notes(Bundle $bundle, Patient $patient): void
    {
        $sessions = $patient->everySession()->with('note.amendments')->reorder()->orderBy('id')->limit(self::MOST)->get();
        foreach ($sessions as $session) {
            $note = $session->note;
            if (! $note instanceof SessionNote) {
                continue;
            }
            self::document($bundle, "note {$note->id}", [
                'status' => 'current', 'description' => 'Session note', 'date' => $note->signed_at, 'author' => $note->practitioner_id,
                'attachment' => self::text($note->text, 'Session note'),
            ]);
            foreach ($note->amendments as $amendment) {
                self::document($bundle, "amendment {$amendment->id}", [
                    'status' => 'current', 'description' => "Added to the session note: {$amendment->reason}",
                    'date' => $amendment->signed_at, 'author' => $amendment->practitioner_id,
                    'relatesTo' => [['code' => 'appends', 'target' => $bundle->to('DocumentReference', "note {$note->id}")]],
                    'attachment' => self::text($amendment->text, 'Added to the session note'),
                ]);
            }
        }
    }

    /** @return array<string, mixed> */
    private static function text(string $text, string $title): array
    {
        return ['contentType' => 'text/plain; charset=utf-8', 'data' => base64_encode($text), 'size' => strlen($text), 'title' => $title];
    }

    /**
     * @param  array{
     *     status: string, description: string, date: CarbonImmutable, author: int, attachment: array<string, mixed>,
     *     relatesTo?: list<array<string, mixed>>
     * }  $of
     */
    private static function document(Bundle $bundle, string $row, array $of): void
    {
        $bundle->add('DocumentReference', $row, [
            'status' => $of['status'], 'docStatus' => 'final', 'type' => Said::concept($of['attachment']['title']),
            'subject' => $bundle->to('Patient', 0), 'date' => Said::instant($of['date']),
            'author' => [$bundle->to('Practitioner', $of['author'])], 'relatesTo' => $of['relatesTo'] ?? [],
            'description' => $of['description'], 'content' => [['attachment' => $of['attachment']]],
        ]);
    }
}
