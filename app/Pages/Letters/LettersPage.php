<?php

declare(strict_types=1);

namespace App\Pages\Letters;

use App\Models\Letter;
use App\Models\LetterDraft;
use App\Models\Patient;
use App\Pages\Shared\PatientHead;
use Carbon\CarbonImmutable;
use IvoryPace\Letter\LetterKind;
use IvoryPace\Letter\LetterPart;

/** Letters about a patient: those that were signed, and the one that is being written. */
final class LettersPage
{
    private const MOST = 100;

    /** @return array<string, mixed> */
    public static function all(Patient $patient, CarbonImmutable $now): array
    {
        $zone = $patient->clinic->time_zone;
        $letters = $patient->letters()->select(Letter::LISTED)->with(['practitioner', 'sender', 'replacement:id,replaces_id,signed_at'])
            ->orderByDesc('signed_at')->orderByDesc('id')->limit(self::MOST)->get();
        $drafts = $patient->letterDrafts()->with('practitioner')->orderByDesc('id')->limit(self::MOST)->get()
            ->unique(fn (LetterDraft $draft) => $draft->kind->value);

        return ['patient' => PatientHead::of($patient, $now), 'draft' => null, 'all' => [
            'letters' => array_values($letters->map(fn (Letter $letter) => self::signed($letter, $zone))->all()),
            'kinds' => array_map(fn (LetterKind $kind) => [
                'value' => $kind->value, 'label' => $kind->label(), 'draft' => self::begun($drafts->firstWhere('kind', $kind), $zone),
            ], LetterKind::cases()),
        ]];
    }

    /** @return array<string, mixed> */
    private static function signed(Letter $letter, string $zone): array
    {
        $day = fn (?CarbonImmutable $at): ?string => $at?->setTimezone($zone)->format('j M Y');

        return [
            'id' => $letter->id, 'kind' => $letter->kind->value, 'label' => $letter->kind->label(),
            'to' => self::firstLine($letter->addressee), 'on' => $day($letter->signed_at), 'by' => $letter->practitioner->name,
            'sent' => $letter->sent_at === null ? null
                : "sent {$day($letter->sent_at)}, {$letter->sent_how}, by {$letter->sender?->name}",
            'replaced_on' => $day($letter->replacement?->signed_at),
        ];
    }

    /** @return array<string, mixed> */
    public static function draft(Patient $patient, LetterDraft $draft, CarbonImmutable $now): array
    {
        $kind = $draft->kind;

        return ['patient' => PatientHead::of($patient, $now), 'all' => null, 'draft' => [
            'kind' => $kind->value, 'label' => $kind->label(), 'is_to_other' => $kind->isToSomebodyElse(),
            'parts' => array_map(fn (LetterPart $part) => [
                'key' => $part->value, 'heading' => $part->heading(), 'needed' => in_array($part, $kind->needs(), true),
            ], $kind->parts()),
            'longest' => LetterPart::LONGEST,
            'kept' => ['revision' => $draft->revision, 'content' => self::content($draft), 'by' => $draft->practitioner->name],
            'replaces' => $draft->replaces_id !== null,
            'blocks' => $patient->clinic->letterBlocks(),
        ]];
    }

    /** @return array{addressee: string, parts: object, with_course: bool} */
    public static function content(LetterDraft $draft): array
    {
        $parts = [];
        foreach ($draft->kind->parts() as $part) {
            $parts[$part->value] = $draft->textOf($part);
        }

        return ['addressee' => (string) $draft->addressee, 'parts' => (object) $parts, 'with_course' => $draft->with_course];
    }

    private static function begun(?LetterDraft $draft, string $zone): ?string
    {
        return $draft === null ? null
            : "being written, last by {$draft->practitioner->name} on {$draft->updated_at->setTimezone($zone)->format('j M Y')}";
    }

    private static function firstLine(?string $addressee): string
    {
        return trim(strtok((string) $addressee, "\n") ?: '');
    }
}
