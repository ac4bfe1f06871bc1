<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Guard\Rights;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Prints the statements that give the running application its rights; the database's administrator runs them. */
final class DatabaseRights extends Command
{
    protected $signature = 'database:rights {user : as SQL names it, with its host}';

    protected $description = 'Print the rights of the running application as SQL';

    public function handle(): int
    {
        $database = DB::connection()->getDatabaseName();
        $tables = array_column(DB::select(
            "select table_name as name from information_schema.tables where table_schema = ? and table_type = 'BASE TABLE' order by 1",
            [$database],
        ), 'name');
        foreach (Rights::statements($database, (string) $this->argument('user'), array_map(strval(...), $tables)) as $statement) {
            $this->line("$statement;");
        }

        return self::SUCCESS;
    }
}
