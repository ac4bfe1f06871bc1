<?php

declare(strict_types=1);

namespace App\Actions\Records;

use App\Guard\Trail;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Records\BadRecord;
use App\Records\RecordIn;
use App\Records\RecordOut;
use App\Records\RecordZip;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Reads a record from a file, whole or not at all: what is stored is written out once more and must be the same. */
final readonly class ReadRecord
{
    public function __construct(private Trail $trail)
    {
    }

    /** @throws ValidationException with what is wrong in the file, and where */
    public function __invoke(string $path, Practitioner $by): Patient
    {
        try {
            ['document' => $document, 'papers' => $papers] = RecordZip::read($path);

            return DB::transaction(function () use ($document, $papers, $by) {
                $patient = RecordIn::read($document, $papers, $by);
                self::compare($document, RecordOut::document($patient));
                $this->trail->of($patient);
                $this->trail->changed('record', null, 'read in from a file');

                return $patient;
            });
        } catch (BadRecord $problem) {
            throw ValidationException::withMessages(['file' => $problem->getMessage().' Nothing of it is stored.']);
        }
    }

    /**
     * @param  array<string, mixed>  $read
     * @param  array<string, mixed>  $stored
     */
    private static function compare(array $read, array $stored): void
    {
        foreach (['patient', 'people'] as $part) {
            if (! self::isSame($read[$part], $stored[$part])) {
                throw BadRecord::because("In record.json, “{$part}” has a value that is not of its kind.");
            }
        }
        /** @var array<string, list<mixed>> $tables */
        $tables = $read['tables'];
        /** @var array<string, list<mixed>> $kept */
        $kept = $stored['tables'];
        foreach ($tables as $table => $rows) {
            foreach ($rows as $index => $row) {
                if (! self::isSame($row, $kept[$table][$index] ?? null)) {
                    throw BadRecord::because("In record.json, $table, row ".($index + 1).': a value is not of its kind.');
                }
            }
        }
    }

    /** In whichever order they stand. */
    private static function isSame(mixed $one, mixed $other): bool
    {
        if (! is_array($one) || ! is_array($other)) {
            return $one === $other;
        }
        foreach ($one as $key => $value) {
            if (! array_key_exists($key, $other) || ! self::isSame($value, $other[$key])) {
                return false;
            }
        }

        return count($one) === count($other);
    }
}
