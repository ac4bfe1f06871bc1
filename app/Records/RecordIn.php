<?php

declare(strict_types=1);

namespace App\Records;

use App\Facts\Caseload\NoteWords;
use App\Models\Patient;
use App\Models\Practitioner;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;

/**
 * Makes a record from a document that {@see RecordOut} wrote, in the clinic of whoever reads it in. Call it within a
 * transaction: what is refused half way must leave nothing.
 */
final class RecordIn
{
    /** @var array<string, array<int, int|string>> id by number, by table */
    private array $ids = [];

    /** @var array<int, int> id by number of a person */
    private array $people = [];

    private readonly Carried $carried;

    /**
     * @param  array<string, mixed>  $document
     * @param  array<int, string>  $papers  of signed letters, by number
     */
    private function __construct(private readonly array $document, private readonly array $papers, private readonly Practitioner $by)
    {
        $this->carried = Carried::now();
    }

    /**
     * @param  array<string, mixed>  $document
     * @param  array<int, string>  $papers
     *
     * @throws BadRecord with the table and the row that are wrong
     */
    public static function read(array $document, array $papers, Practitioner $by): Patient
    {
        RecordShape::look($document, Carried::now());

        return (new self($document, $papers, $by))->make();
    }

    private function make(): Patient
    {
        $this->readPeople();
        $id = strtolower((string) Str::ulid());
        $this->insert('patients', 0, [
            ...$this->closed('patients', (array) $this->document['patient']), 'id' => $id, 'clinic_id' => $this->by->clinic_id,
            'practitioner_id' => $this->by->id, 'updated_at' => now(),
        ]);
        foreach (array_keys(Carried::TABLES) as $table) {
            foreach ($this->rows($table) as $index => $row) {
                $this->ids[$table][$index + 1] = $this->readRow($table, $index + 1, $row, $id);
            }
            RecordOpens::look($table, array_values($this->ids[$table] ?? []));
        }
        $patient = Patient::query()->findOrFail($id);
        RecordOpens::whole($patient);
        foreach ($patient->everySession()->with('note.amendments')->get() as $session) {
            foreach ([$session->note?->text, ...($session->note?->amendments->pluck('text')->all() ?? [])] as $text) {
                NoteWords::keep($id, $patient->clinic_id, (string) $text);
            }
        }

        return $patient;
    }

    /** Whoever is here by the same name and registration; anybody else is a name without an account. */
    private function readPeople(): void
    {
        foreach ((array) $this->document['people'] as $index => $person) {
            $this->people[$index + 1] = $this->known($person) ?? $this->insert('practitioners', $index + 1, [
                'clinic_id' => $this->by->clinic_id, 'name' => $person['name'], 'profession' => $person['profession'],
                'registration' => $person['registration'], 'role' => 'practitioner', 'ended_at' => now(),
                'email' => 'nobody-'.strtolower((string) Str::ulid()).Practitioner::NOBODY, 'password' => Hash::make(Str::random(40)),
                'created_at' => now(), 'updated_at' => now(),
            ]);
        }
    }

    /** @param  array<string, mixed>  $person */
    private function known(array $person): ?int
    {
        if (! is_string($person['name']) || ! is_string($person['profession']) || ! (is_string($person['registration'] ?? ''))) {
            throw BadRecord::because('In record.json, people: a name, profession or registration is no text.');
        }
        $found = Practitioner::query()->where('clinic_id', $this->by->clinic_id)->where('name', $person['name'])
            ->where('registration', $person['registration'])
            // Without a registration only who came in by a file before: a name alone is nobody.
            ->when($person['registration'] === null, fn ($who) => $who->where('profession', $person['profession'])
                ->where('email', 'like', '%'.Practitioner::NOBODY))->value('id');

        return is_numeric($found) ? (int) $found : null;
    }

    /** @param  array<string, mixed>  $row */
    private function readRow(string $table, int $number, array $row, string $patient): int|string
    {
        unset($row['id']);
        $values = $this->closed($table, Carried::underSymptoms($table, $row, $this->ids['chosen_symptoms'] ?? []));
        foreach ($this->carried->references[$table] ?? [] as $column => $other) {
            if (($values[$column] ?? null) !== null) {
                $values[$column] = ($other === 'practitioners' ? $this->people : $this->ids[$other] ?? [])[$values[$column]]
                    ?? throw BadRecord::because("In record.json, $table, row $number: “{$column}” names a row that is not there.");
            }
        }
        if (isset($this->carried->references[$table]['patient_id'])) {
            $values['patient_id'] = $patient;
        }
        $values += $this->anew($table, $number);
        if (! isset($this->carried->ulids[$table])) {
            return $this->insert($table, $number, $values);
        }
        $values['id'] = strtolower((string) Str::ulid());
        $this->insert($table, $number, $values);

        return $values['id'];
    }

    /** @return array<string, mixed> what stays behind and must be there */
    private function anew(string $table, int $number): array
    {
        return match ($table) {
            'practices', 'habit_ticks', 'home_checks', 'recordings' => ['uuid' => (string) Str::uuid()],
            // It is the name of a device, and lets nobody in.
            'devices' => ['credential_hash' => hash('sha256', Str::random(60)), 'revoked_at' => now(), 'updated_at' => now()],
            'decisions' => ['clinic_id' => $this->by->clinic_id],
            'letters' => ['pdf' => Crypt::encryptString(base64_encode(
                $this->papers[$number] ?? throw BadRecord::because("The paper of letter $number is missing."),
            ))],
            default => [],
        };
    }

    /** @return list<array<string, mixed>> */
    private function rows(string $table): array
    {
        /** @var list<array<string, mixed>> $rows */
        $rows = ((array) $this->document['tables'])[$table];

        return $rows;
    }

    /**
     * @param  array<array-key, mixed>  $row
     * @return array<string, mixed> as it stands in the database
     */
    private function closed(string $table, array $row): array
    {
        $closed = [];
        foreach ($row as $column => $value) {
            $column = (string) $column;
            $holdsSeveral = $this->carried->isSealedList($table, $column) || $this->carried->isJson($table, $column);
            if ($value !== null && is_array($value) !== $holdsSeveral) {
                throw BadRecord::because("In record.json, $table: “{$column}” is ".($holdsSeveral ? 'no list.' : 'a list.'));
            }
            $json = fn (): string => json_encode($value, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
            $closed[$column] = match (true) {
                $value === null => null,
                $this->carried->isSealed($table, $column) => Crypt::encryptString(is_scalar($value) ? (string) $value : ''),
                $this->carried->isSealedList($table, $column) => Crypt::encryptString($json()),
                $this->carried->isJson($table, $column) => $json(),
                default => $value,
            };
        }

        return $closed;
    }

    /** @param  array<string, mixed>  $values */
    private function insert(string $table, int $number, array $values): int
    {
        try {
            DB::table($table)->insert($values);
        } catch (QueryException $problem) {
            throw BadRecord::because(
                "In record.json, $table".($number === 0 ? '' : ", row $number").', something cannot be stored: '
                .Str::limit((string) ($problem->errorInfo[2] ?? 'a value is not of its kind'), 160),
            );
        }

        return (int) DB::getPdo()->lastInsertId();
    }
}
