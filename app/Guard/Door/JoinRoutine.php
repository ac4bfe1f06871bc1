<?php

declare(strict_types=1);

namespace App\Guard\Door;

use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * Moves every row of the younger record to the older one, within the transaction of whoever calls it, and writes down which
 * row came from where. It refuses what is no pair: another clinic, another date of birth, a record that is joined already,
 * two running programmes, two open sessions.
 */
final class JoinRoutine
{
    public const NAME = 'join_records';

    /** Handled by themselves, or not a patient's any more. */
    private const APART = ['patients', 'caseload_lines', 'record_joins', 'joined_rows', 'note_words', 'care_sessions'];

    public static function lay(): void
    {
        DB::unprepared('drop procedure if exists '.self::NAME);
        DB::unprepared(self::statement());
    }

    public static function statement(): string
    {
        $moves = implode("\n", array_map(self::move(...), self::tables()));
        $text = 'char(26) character set utf8mb4 collate utf8mb4_unicode_ci';

        return 'create procedure '.self::NAME."(in younger $text, in older $text, in the_join bigint) modifies sql data sql security definer
begin
  declare exit handler for sqlexception begin delete from ".Door::TABLE.' where connection = connection_id(); resignal; end;
  if '.self::pair()." then
    signal sqlstate '45000' set message_text = 'These two records cannot be joined.';
  end if;
  insert into ".Door::TABLE." (connection) values (connection_id());
  update measurements m join chosen_symptoms y on y.id = m.chosen_symptom_id and y.patient_id = younger
    join chosen_symptoms o on o.patient_id = older and o.name = y.name set m.chosen_symptom_id = o.id;
  delete y from chosen_symptoms y join chosen_symptoms o on o.patient_id = older and o.name = y.name where y.patient_id = younger;
$moves
  insert into joined_rows (record_join_id, of_table, of_row)
    select the_join, 'care_sessions', id from care_sessions where patient_id = younger;
  update care_sessions set number = number + 20000 where patient_id = younger;
  update care_sessions set number = number + 10000 where patient_id = older;
  update care_sessions set patient_id = older where patient_id = younger;
  update care_sessions s join (
    select id, row_number() over (order by begun_at, id) as place from care_sessions where patient_id = older
  ) n on n.id = s.id set s.number = n.place;
  insert ignore into note_words (patient_id, word) select older, word from note_words where patient_id = younger;
  delete from note_words where patient_id = younger;
  delete from caseload_lines where patient_id = younger;
  update patients set joined_into = older where id = younger;
  delete from ".Door::TABLE.' where connection = connection_id();
end';
    }

    /** True of what is no pair. */
    private static function pair(): string
    {
        $both = fn (string $what): string => "(select count(distinct patient_id) from $what and patient_id in (younger, older)) > 1";

        return '(select count(*) from patients y join patients o on o.clinic_id = y.clinic_id and o.birth_date = y.birth_date '
            .'where y.id = younger and o.id = older and y.id <> o.id and y.joined_into is null and o.joined_into is null '
            .'and o.created_at <= y.created_at) = 0 or '
            .$both('programmes where closed_on is null').' or '.$both('care_sessions where closed_at is null')
            .' or (select count(*) from record_joins where id = the_join and younger_id = younger and older_id = older) = 0';
    }

    private static function move(string $table): string
    {
        return "  insert into joined_rows (record_join_id, of_table, of_row) select the_join, '$table', id from $table "
            ."where patient_id = younger;\n"
            ."  update $table set patient_id = older where patient_id = younger;";
    }

    /** @return list<string> every other table that has rows of a patient */
    private static function tables(): array
    {
        $all = array_map(fn (stdClass $row) => (string) $row->name, DB::select(
            'select c.table_name as name from information_schema.columns c join information_schema.tables t '
                ."on t.table_schema = c.table_schema and t.table_name = c.table_name and t.table_type = 'BASE TABLE' "
                ."where c.table_schema = database() and c.column_name = 'patient_id' order by c.table_name",
        ));

        return array_values(array_diff($all, self::APART));
    }
}
