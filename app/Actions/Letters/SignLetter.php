<?php

declare(strict_types=1);

namespace App\Actions\Letters;

use App\Letters\LetterFactsOf;
use App\Letters\LetterPaper;
use App\Models\Letter;
use App\Models\LetterDraft;
use App\Models\Patient;
use App\Models\Practitioner;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use IvoryPace\Letter\LetterKind;

/** Signs a letter: its words and the bytes of its paper are kept, and the draft goes. */
final class SignLetter
{
    /** @throws ValidationException when a part is missing, or somebody else has typed in it meanwhile */
    public function __invoke(Patient $patient, LetterKind $kind, Practitioner $by, int $revision): Letter
    {
        return DB::transaction(function () use ($patient, $kind, $by, $revision) {
            Patient::query()->whereKey($patient->id)->lockForUpdate()->value('id');
            $draft = WriteLetter::open($patient, $kind);
            self::look($draft, $revision);
            $now = CarbonImmutable::now();
            $paper = self::paper($patient, $draft, $by, $now);
            $letter = $patient->letters()->create([
                'practitioner_id' => $by->id, 'kind' => $kind, 'addressee' => $draft->addressee, 'parts' => $draft->parts,
                'text' => $paper->text(), 'pdf' => base64_encode($paper->pdf()), 'replaces_id' => $draft->replaces_id, 'signed_at' => $now,
            ]);
            $draft->delete();

            return $letter;
        });
    }

    public static function paper(Patient $patient, LetterDraft $draft, Practitioner $by, CarbonImmutable $now): LetterPaper
    {
        return new LetterPaper(
            LetterFactsOf::patient($patient, $now), $draft->kind, (string) $draft->addressee, $draft->parts, $draft->with_course, $by, $now,
        );
    }

    /** When and how it left the house; said once. */
    public function sent(Letter $letter, Practitioner $by, string $how): void
    {
        DB::transaction(function () use ($letter, $by, $how) {
            $letter = Letter::query()->lockForUpdate()->findOrFail($letter->id, Letter::LISTED);
            if ($letter->sent_at !== null) {
                throw ValidationException::withMessages(['how' => 'It is written down already when and how this letter was sent.']);
            }
            $letter->update(['sent_at' => now(), 'sent_by' => $by->id, 'sent_how' => $how]);
        });
    }

    private static function look(LetterDraft $draft, int $revision): void
    {
        if ($draft->revision !== $revision) {
            throw ValidationException::withMessages(
                ['revision' => "{$draft->practitioner->name} has typed in this letter meanwhile. Reload to read it, then sign."],
            );
        }
        foreach ($draft->kind->needs() as $part) {
            if (trim($draft->textOf($part)) === '') {
                throw ValidationException::withMessages(["parts.{$part->value}" => "“{$part->heading()}” is empty. Write it, then sign."]);
            }
        }
        if (trim(implode('', array_map($draft->textOf(...), $draft->kind->parts()))) === '') {
            throw ValidationException::withMessages(['parts' => 'The letter is empty. Write a line, then sign.']);
        }
        if ($draft->kind->isToSomebodyElse() && trim((string) $draft->addressee) === '') {
            throw ValidationException::withMessages(['addressee' => 'Write to whom the letter goes, then sign.']);
        }
    }
}
