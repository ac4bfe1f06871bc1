<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A line of the caseload also comes from what was measured and tapped; who needed help last stands first. */
return new class extends Migration
{
    private const TABLES = ['measurements', 'home_checks'];

    public function up(): void
    {
        Schema::table('caseload_lines', function (Blueprint $table) {
            $table->dateTime('since')->nullable();
        });
        foreach (self::TABLES as $table) {
            foreach (['insert' => 'new', 'update' => 'new', 'delete' => 'old'] as $event => $row) {
                DB::unprepared(
                    "create trigger {$table}_caseload_{$event} after {$event} on {$table} for each row update caseload_lines set changes = "
                        ."changes + 1 where patient_id = {$row}.patient_id",
                );
            }
        }
    }

    public function down(): void
    {
        foreach (self::TABLES as $table) {
            foreach (['insert', 'update', 'delete'] as $event) {
                DB::unprepared("drop trigger if exists {$table}_caseload_{$event}");
            }
        }
        Schema::table('caseload_lines', fn (Blueprint $table) => $table->dropColumn('since'));
    }
};
