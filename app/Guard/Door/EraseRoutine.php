<?php

declare(strict_types=1);

namespace App\Guard\Door;

use Illuminate\Support\Facades\DB;
use LogicException;
use stdClass;

/**
 * Removes everything of a patient, what was joined into the record and whatever hangs on its rows, within the transaction of
 * whoever calls it. What that is the database itself says: each row that names the patient, and each that refers to one of those.
 * It refuses where nobody has written down that this record is to go.
 */
final class EraseRoutine
{
    public const NAME = 'erase_record';

    private const WHO = 'gone.id = who or gone.joined_into = who';

    /** What says that it was done. */
    private const STAYS = ['erasures'];

    /** Written anew whenever a row goes that it is made of. */
    private const LAST = ['caseload_lines', 'note_words'];

    public static function lay(): void
    {
        if (DB::select("select 1 from information_schema.tables where table_schema = database() and table_name = 'erasures'") === []) {
            return; // while the database is being made
        }
        DB::unprepared('drop procedure if exists '.self::NAME);
        DB::unprepared(self::statement());
    }

    public static function statement(): string
    {
        $text = 'char(26) character set utf8mb4 collate utf8mb4_unicode_ci';
        $steps = implode("\n", array_map(fn (string $step) => "  $step;", self::steps()));

        return 'create procedure '.self::NAME."(in who $text, in the_erasure bigint) modifies sql data sql security definer
begin
  declare exit handler for sqlexception begin delete from ".Door::TABLE." where connection = connection_id(); resignal; end;
  if (select count(*) from erasures where id = the_erasure and patient_id = who and outcome = 'erased' and done_at is null) = 0 then
    signal sqlstate '45000' set message_text = 'Nobody has said that this record is to go.';
  end if;
  insert into ".Door::TABLE." (connection) values (connection_id());
$steps
  delete from patients where joined_into = who;
  delete from patients where id = who;
  update erasures set patient_id = null, reason = null where patient_id = who;
  update erasures set done_at = utc_timestamp() where id = the_erasure;
  delete from ".Door::TABLE.' where connection = connection_id();
end';
    }

    /** @return list<string> one for each table, those that hang on others first */
    private static function steps(): array
    {
        [$direct, $children] = self::whatNames();
        $steps = [];
        foreach (self::ordered(array_keys($direct + $children), $children) as $table) {
            foreach (self::ways($table, $direct, $children) as $way) {
                foreach ($children[$table] ?? [] as $column => $parent) {
                    if ($parent === $table) {
                        $steps[] = "update $table as row_0 $way set row_0.$column = null where ".self::WHO;
                    }
                }
                $steps[] = "delete row_0 from $table as row_0 $way where ".self::WHO;
            }
        }

        return $steps;
    }

    /**
     * @return array{array<string, list<string>>, array<string, array<string, string>>} columns that name a patient, by table; and the
     *     table that a column refers to, by table and column, among those that have rows of a patient
     */
    private static function whatNames(): array
    {
        $direct = $all = [];
        foreach (self::ask("select c.table_name as t, c.column_name as c from information_schema.columns c join information_schema.tables t
            on t.table_schema = c.table_schema and t.table_name = c.table_name and t.table_type = 'BASE TABLE'
            where c.table_schema = database() and c.column_name = 'patient_id' order by c.table_name") as $row) {
            $direct[$row->t][] = $row->c;
        }
        foreach (self::ask('select table_name as t, column_name as c, referenced_table_name as r from information_schema.key_column_usage
            where table_schema = database() and referenced_table_name is not null order by table_name, column_name') as $row) {
            if ($row->r !== 'patients') {
                $all[$row->t][$row->c] = $row->r;
            } elseif ($row->t !== 'patients' && ! in_array($row->c, $direct[$row->t] ?? [], true)) {
                $direct[$row->t][] = $row->c;
            }
        }
        $direct = array_diff_key($direct, array_flip(self::STAYS));
        $owned = $direct;
        do {
            $before = count($owned);
            foreach ($all as $table => $references) {
                if (array_intersect($references, array_keys($owned)) !== []) {
                    $owned[$table] ??= [];
                }
            }
        } while (count($owned) > $before);
        $children = array_map(
            fn (array $references) => array_filter($references, fn (string $to) => isset($owned[$to])), array_intersect_key($all, $owned),
        );

        return [$direct, array_filter($children, fn (array $references) => $references !== [])];
    }

    /**
     * How a table's rows lead to the patient, as joins: a delete with a subquery would look at every row of everybody.
     *
     * @param  array<string, list<string>>  $direct
     * @param  array<string, array<string, string>>  $children
     * @return list<string>
     */
    private static function ways(string $table, array $direct, array $children, int $depth = 0): array
    {
        $ways = array_map(fn (string $column) => "join patients as gone on gone.id = row_$depth.$column", $direct[$table] ?? []);
        if ($ways !== []) {
            return $ways;
        }
        foreach ($children[$table] ?? [] as $column => $parent) {
            if ($parent !== $table) {
                $next = $depth + 1;
                foreach (self::ways($parent, $direct, $children, $next) as $way) {
                    $ways[] = "join $parent as row_$next on row_$next.id = row_$depth.$column $way";
                }
            }
        }

        return $ways;
    }

    /**
     * @param  list<string>  $tables
     * @param  array<string, array<string, string>>  $children
     * @return list<string>
     */
    private static function ordered(array $tables, array $children): array
    {
        $ordered = [];
        $left = array_diff($tables, self::LAST);
        while ($left !== []) {
            $free = array_filter($left, fn (string $table) => array_filter(
                $left, fn (string $other) => $other !== $table && in_array($table, $children[$other] ?? [], true),
            ) === []);
            if ($free === []) {
                throw new LogicException('These tables refer to each other in a circle: '.implode(', ', $left).'.');
            }
            array_push($ordered, ...array_values($free));
            $left = array_diff($left, $free);
        }

        return [...$ordered, ...array_values(array_intersect(self::LAST, $tables))];
    }

    /** @return list<stdClass> */
    private static function ask(string $query): array
    {
        return array_values(DB::select($query));
    }
}
