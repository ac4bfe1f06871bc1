<?php

declare(strict_types=1);

namespace App\Actions\Letters;

use App\Letters\LetterFactsOf;
use App\Letters\SummaryWords;
use App\Models\Letter;
use App\Models\LetterDraft as Draft;
use App\Models\Patient;
use App\Models\Practitioner;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use IvoryPace\Letter\LetterDraft;
use IvoryPace\Letter\LetterKind;

/** A letter while it is written: filled from the record, and kept as it is typed. */
final class WriteLetter
{
    /** Goes on with the one that is being written, or begins it; in place of a signed one with that one's words. */
    public function begin(Patient $patient, LetterKind $kind, Practitioner $by, ?Letter $replaces): Draft
    {
        return DB::transaction(function () use ($patient, $kind, $by, $replaces) {
            Patient::query()->whereKey($patient->id)->lockForUpdate()->value('id');
            $draft = self::of($patient, $kind);
            if ($draft !== null && $replaces === null) {
                return $draft;
            }
            $draft?->delete();

            return $patient->letterDrafts()->create([
                'practitioner_id' => $by->id, 'kind' => $kind, 'addressee' => $replaces?->addressee,
                'parts' => $replaces === null ? self::filled($patient, $kind) : $replaces->parts, 'replaces_id' => $replaces?->id,
            ]);
        });
    }

    /**
     * @param  array{addressee: string, parts: array<string, string>, with_course: bool}  $content
     * @param  int  $revision  the one that it was typed over
     * @return array{kept: bool, draft: Draft} not kept when somebody else was faster
     *
     * @throws ValidationException
     */
    public function keep(Patient $patient, LetterKind $kind, Practitioner $by, array $content, int $revision): array
    {
        return DB::transaction(function () use ($patient, $kind, $by, $content, $revision) {
            Patient::query()->whereKey($patient->id)->lockForUpdate()->value('id');
            $draft = self::open($patient, $kind);
            if ($draft->revision !== $revision) {
                return ['kept' => false, 'draft' => $draft];
            }
            $draft->fill([...$content, 'revision' => $revision + 1, 'practitioner_id' => $by->id])->save();

            return ['kept' => true, 'draft' => $draft];
        });
    }

    /** @return array<string, string> text by part, as the record fills it now */
    public static function filled(Patient $patient, LetterKind $kind): array
    {
        $of = LetterFactsOf::patient($patient, CarbonImmutable::now());

        return $kind === LetterKind::Summary ? SummaryWords::parts($of) : LetterDraft::of($kind, $of->facts());
    }

    /** @throws ValidationException where it was signed or thrown away meanwhile, as seen after Back */
    public static function open(Patient $patient, LetterKind $kind): Draft
    {
        return self::of($patient, $kind) ?? throw ValidationException::withMessages(
            ['revision' => 'This letter is not being written any more: it was signed, or thrown away. Look under Letters.'],
        );
    }

    public static function of(Patient $patient, LetterKind $kind): ?Draft
    {
        return $patient->letterDrafts()->where('kind', $kind)->with('practitioner')->orderByDesc('id')->first();
    }
}
