<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Casts\Sealed;
use App\Models\Casts\SealedList;
use App\Models\Patient;
use Illuminate\Support\Facades\DB;
use RuntimeException;
use stdClass;

/**
 * Everything that stands in a patient's record, as one document that any clinic can read back. Rows are numbered within
 * their table from 1, in the order in which they were made: the numbers of a database mean nothing elsewhere.
 */
final class RecordOut
{
    public const FORMAT = 'ivory-pace-record';

    public const VERSION = 1;

    /** @var array<string, array<array-key, int>> number by id, by table */
    private array $numbers = [];

    /** @var array<int, int> number by id of a practitioner */
    private array $people = [];

    private function __construct(private readonly Patient $patient, private readonly Carried $carried)
    {
    }

    /**
     * @return array{
     *     format: string, version: int, patient: array<string, mixed>, people: list<array<string, mixed>>,
     *     tables: array<string, list<array<string, mixed>>>
     * }
     */
    public static function document(Patient $patient): array
    {
        return (new self($patient, Carried::now()))->made();
    }

    /** @return array<int, string> the paper of each signed letter, by its number in the document */
    public static function papers(Patient $patient): array
    {
        $papers = [];
        foreach ($patient->letters()->orderBy('id')->get(['id', 'pdf']) as $index => $letter) {
            $papers[$index + 1] = $letter->bytes() ?? '';
        }

        return $papers;
    }

    /**
     * @return array{
     *     format: string, version: int, patient: array<string, mixed>, people: list<array<string, mixed>>,
     *     tables: array<string, list<array<string, mixed>>>
     * }
     */
    private function made(): array
    {
        $row = (array) DB::table('patients')->where('id', $this->patient->id)->first(Carried::PATIENT);
        $tables = [];
        foreach (array_keys(Carried::TABLES) as $table) {
            $tables[$table] = $this->table($table);
        }

        return [
            'format' => self::FORMAT, 'version' => self::VERSION, 'patient' => $this->opened('patients', $row),
            'people' => $this->people(), 'tables' => $tables,
        ];
    }

    /** @return list<array<string, mixed>> */
    private function table(string $table): array
    {
        $parent = $this->carried->parent($table);
        $query = DB::table($table)->orderBy('id');
        if ($parent === null) {
            $query->where('patient_id', $this->patient->id);
        } else {
            $query->whereIn($parent, array_keys($this->numbers[$this->carried->references[$table][$parent]] ?? []));
        }
        $rows = $query->limit(RecordShape::MOST + 1)->get(['id', ...$this->carried->columns[$table]]);
        if ($rows->count() > RecordShape::MOST) {
            // Rather no file than one that leaves something out.
            throw new RuntimeException("A record with more than {$rows->count()} rows of $table is none of a person.");
        }
        $this->numbers[$table] = [];
        foreach ($rows as $row) {
            $this->numbers[$table][$row->id] = count($this->numbers[$table]) + 1;
        }

        return array_values($rows->map(fn (stdClass $row) => $this->row($table, $row))->all());
    }

    /** @return array<string, mixed> */
    private function row(string $table, stdClass $row): array
    {
        $values = Carried::underSymptoms($table, $this->opened($table, (array) $row), $this->numbers['chosen_symptoms'] ?? []);
        $values['id'] = $this->numbers[$table][$row->id];
        foreach ($this->carried->references[$table] ?? [] as $column => $other) {
            if (($values[$column] ?? null) !== null) {
                $values[$column] = $other === 'practitioners' ? $this->person((int) $values[$column])
                    : ($this->numbers[$other][$values[$column]] ?? null);
            }
        }

        return $values;
    }

    /**
     * @param  array<array-key, mixed>  $row
     * @return array<string, mixed>
     */
    private function opened(string $table, array $row): array
    {
        $opened = [];
        foreach ($row as $column => $value) {
            $column = (string) $column;
            $opened[$column] = match (true) {
                ! is_string($value) => $value,
                $this->carried->isSealed($table, $column) => Sealed::open($value) ?? Sealed::UNREADABLE,
                $this->carried->isSealedList($table, $column) => SealedList::open($value),
                $this->carried->isJson($table, $column) => json_decode($value, true),
                default => $value,
            };
        }

        return $opened;
    }

    private function person(int $id): int
    {
        return $this->people[$id] ??= count($this->people) + 1;
    }

    /** @return list<array<string, mixed>> whoever wrote something in it */
    private function people(): array
    {
        $found = DB::table('practitioners')->whereIn('id', array_keys($this->people))->get(['id', 'name', 'profession', 'registration'])
            ->keyBy('id');

        return array_map(fn (int $id, int $number) => [
            'id' => $number, 'name' => $found[$id]->name ?? '', 'profession' => $found[$id]->profession ?? '',
            'registration' => $found[$id]->registration ?? null,
        ], array_keys($this->people), array_values($this->people));
    }
}
