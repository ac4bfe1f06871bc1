<?php

declare(strict_types=1);

namespace App\Records;

/** Whether a document is one of ours: all of its tables, each row with all of its columns and no others, numbered from 1. */
final class RecordShape
{
    /** Rows of one table; more is no record of a person. */
    public const MOST = 50000;

    /**
     * @param  array<string, mixed>  $document
     *
     * @throws BadRecord
     */
    public static function look(array $document, Carried $carried): void
    {
        if (($document['format'] ?? null) !== RecordOut::FORMAT) {
            throw BadRecord::because('record.json is not a record of this kind: “format” must be “'.RecordOut::FORMAT.'”.');
        }
        $version = $document['version'] ?? null;
        if ($version !== RecordOut::VERSION) {
            throw BadRecord::because(match (true) {
                is_int($version) && $version > RecordOut::VERSION => "record.json is of version $version, and this program reads up to "
                    .'version '.RecordOut::VERSION.'. Update it, then read the file in again.',
                default => 'record.json has no version that this program knows; it reads version '.RecordOut::VERSION.'.',
            });
        }
        self::columns('patient', $document['patient'] ?? null, Carried::PATIENT);
        self::rows('people', $document['people'] ?? null, ['id', 'name', 'profession', 'registration']);
        $tables = $document['tables'] ?? null;
        if (! is_array($tables) || array_keys($tables) !== array_keys(Carried::TABLES)) {
            $names = array_keys(Carried::TABLES);
            $wrong = is_array($tables)
                ? [...array_diff($names, array_keys($tables)), ...array_diff(array_keys($tables), $names)] : ['tables'];
            throw BadRecord::because('In record.json, these tables are missing, or not known, or out of order: '
                .implode(', ', array_slice(array_map(strval(...), $wrong), 0, 5)).'.');
        }
        foreach ($tables as $table => $rows) {
            self::rows($table, $rows, ['id', ...$carried->columns[$table]]);
        }
    }

    /** @param  list<string>  $columns */
    private static function rows(string $table, mixed $rows, array $columns): void
    {
        if (! is_array($rows) || ! array_is_list($rows) || count($rows) > self::MOST) {
            throw BadRecord::because("In record.json, “{$table}” must be a list of at most ".self::MOST.' rows.');
        }
        foreach ($rows as $index => $row) {
            $number = $index + 1;
            self::columns("$table, row $number", $row, $columns);
            if (! is_array($row) || $row['id'] !== $number) {
                throw BadRecord::because("In record.json, $table, row $number: “id” must be $number.");
            }
        }
    }

    /** @param  list<string>  $columns */
    private static function columns(string $where, mixed $row, array $columns): void
    {
        if (! is_array($row)) {
            throw BadRecord::because("In record.json, $where is not a row.");
        }
        $missing = array_diff($columns, array_keys($row));
        $unknown = array_diff(array_keys($row), $columns);
        if ($missing !== [] || $unknown !== []) {
            throw BadRecord::because("In record.json, $where: ".implode(' ', array_filter([
                $missing === [] ? '' : '“'.implode('”, “', $missing).'” missing.',
                $unknown === [] ? '' : '“'.mb_substr(implode('”, “', $unknown), 0, 80).'” not known.',
            ])));
        }
    }
}
