<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\AskedForm;
use App\Models\SealedColumns;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * Which tables a record is made of, and how their rows hang together, as the database itself says. What is a secret, what is
 * computed from the rest and what belongs to a clinic stays behind.
 */
final readonly class Carried
{
    /** Parents first; which of their columns stay behind. A table of a patient is here or in LEFT: a test says so. */
    public const TABLES = [
        'chosen_symptoms' => [], 'asked_forms' => [], 'screenings' => [], 'screening_answers' => [], 'raised_red_flags' => [],
        'red_flag_actions' => [], 'measurements' => [], 'programmes' => [], 'programme_versions' => [], 'programme_items' => [],
        'finding_reasons' => [], 'care_sessions' => [], 'session_steps' => [], 'session_notes' => [], 'note_amendments' => [],
        'decisions' => [],
        'devices' => ['credential_hash', 'pin', 'wrong_pins', 'open_hash', 'open_until', 'revoked_at', 'last_seen_at', 'updated_at'],
        'consents' => [], 'practices' => ['uuid'], 'pauses' => [], 'second_looks' => [], 'diary_entries' => [], 'habit_ticks' => ['uuid'],
        'recordings' => ['uuid', 'samples_until', 'samples_gone_at'],
        'home_checks' => ['uuid'], 'put_offs' => [], 'new_findings' => [], 'handovers' => [], 'letters' => ['pdf'],
        'letter_drafts' => [],
    ];

    /** @var array<string, string> tables with a patient's rows that stay behind, and why */
    public const LEFT = [
        'access_links' => 'a secret', 'appointments' => 'the clinic’s own calendar; what took place is a session',
        'access_trail' => 'the clinic’s own', 'record_joins' => 'the clinic’s own', 'kept_asides' => 'not yet part of the record',
        'erasures' => 'the clinic’s own',
        'recording_parts' => 'kept for 90 days at most; a trace is saved as a file of its own',
        'caseload_lines' => 'computed', 'note_words' => 'computed',
    ];

    /** Of the patient's own row. */
    public const PATIENT = [
        'name', 'birth_date', 'time_zone', 'locale', 'day_start', 'contact', 'minutes_a_day', 'own_low_saturation', 'checked_facts',
        'created_at',
    ];

    /** References that the database does not know of. */
    private const ALSO = [
        'screenings' => ['asked_form_id' => 'asked_forms'], 'letter_drafts' => ['replaces_id' => 'letters'],
    ];

    /**
     * @param  array<string, list<string>>  $columns  that are carried, by table, without id, patient and clinic
     * @param  array<string, array<string, string>>  $references  table that a column refers to, by table and column
     * @param  array<string, list<string>>  $json  columns that hold several values
     * @param  array<string, bool>  $ulids  tables whose rows are numbered by us and not by the database
     */
    private function __construct(public array $columns, public array $references, public array $json, public array $ulids)
    {
    }

    public static function now(): self
    {
        $columns = $references = $json = $ulids = [];
        foreach (self::ask('select table_name as t, column_name as c, column_type as k, generation_expression as g '
            .'from information_schema.columns where table_schema = database() order by table_name, ordinal_position') as $row) {
            if ($row->c === 'id' && $row->k === 'char(26)') {
                $ulids[$row->t] = true;
            }
            if (! in_array($row->c, ['id', 'patient_id', 'clinic_id', ...(self::TABLES[$row->t] ?? [])], true) && $row->g === null) {
                $columns[$row->t][] = $row->c;
            }
        }
        foreach (self::ask('select table_name as t, column_name as c, referenced_table_name as k from information_schema.key_column_usage '
            .'where table_schema = database() and referenced_table_name is not null') as $row) {
            $references[$row->t][$row->c] = $row->k;
        }
        foreach (self::ask('select table_name as t, constraint_name as c from information_schema.check_constraints '
            ."where constraint_schema = database() and check_clause like 'json_valid%'") as $row) {
            $json[$row->t][] = $row->c;
        }
        $of = fn (array $all): array => array_intersect_key($all, self::TABLES);

        return new self(
            array_replace(array_fill_keys(array_keys(self::TABLES), []), $of($columns)),
            array_merge_recursive($of($references), self::ALSO), $of($json), $of($ulids),
        );
    }

    /** How its rows are found: through the patient, or through the row that they hang on. */
    public function parent(string $table): ?string
    {
        if (array_key_exists('patient_id', $this->references[$table] ?? [])) {
            return null;
        }
        foreach ($this->references[$table] ?? [] as $column => $other) {
            if (isset(self::TABLES[$other])) {
                return $column;
            }
        }

        return null;
    }

    public function isSealed(string $table, string $column): bool
    {
        return in_array($column, SealedColumns::TEXTS[$table] ?? [], true);
    }

    public function isSealedList(string $table, string $column): bool
    {
        return in_array($column, SealedColumns::LISTS[$table] ?? [], true);
    }

    public function isJson(string $table, string $column): bool
    {
        return in_array($column, $this->json[$table] ?? [], true);
    }

    /**
     * Ratings stand under the symptom that they are of: that is a reference too.
     *
     * @param  array<string, mixed>  $row  opened
     * @param  array<array-key, int|string>  $symptoms  other key by key
     * @return array<string, mixed>
     */
    public static function underSymptoms(string $table, array $row, array $symptoms): array
    {
        $rekeyed = function (mixed $ratings) use ($symptoms): mixed {
            $new = [];
            foreach (is_array($ratings) ? $ratings : [] as $key => $rating) {
                if (isset($symptoms[$key])) {
                    $new[$symptoms[$key]] = $rating;
                }
            }

            return is_array($ratings) ? $new : $ratings;
        };
        if ($table === 'diary_entries' && is_array($row['content'] ?? null) && isset($row['content']['ratings'])) {
            $row['content']['ratings'] = $rekeyed($row['content']['ratings']);
        }
        if ($table === 'asked_forms' && ($row['form'] ?? null) === AskedForm::SYMPTOMS) {
            $row['answers'] = $rekeyed($row['answers'] ?? null);
        }

        return $row;
    }

    /** @return list<stdClass> */
    private static function ask(string $query): array
    {
        return array_values(DB::select($query));
    }
}
