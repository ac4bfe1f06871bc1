<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A practitioner can pause too, with a reason that the patient reads. How a pause began cannot be changed. */
return new class extends Migration
{
    private const BEGINNING = [
        'patient_id', 'lineage', 'rule', 'practice_id', 'cause', 'from_at', 'likeness', 'raised_red_flag_id', 'reason', 'begun_by',
    ];

    public function up(): void
    {
        Schema::table('pauses', function (Blueprint $table) {
            $table->text('reason')->nullable();
            $table->foreignId('begun_by')->nullable()->constrained('practitioners');
        });
        $this->protect(self::BEGINNING);
    }

    public function down(): void
    {
        $this->protect(array_slice(self::BEGINNING, 0, -2));
        Schema::table('pauses', function (Blueprint $table) {
            $table->dropConstrainedForeignId('begun_by');
            $table->dropColumn('reason');
        });
    }

    /** @param  list<string>  $columns */
    private function protect(array $columns): void
    {
        $changes = implode(' or ', array_map(fn (string $column) => "not (new.$column <=> old.$column)", $columns));
        DB::unprepared(
            "create or replace trigger pauses_beginning before update on pauses for each row begin if $changes then "
                ."signal sqlstate '45000' set message_text = 'How a pause began cannot be changed.'; end if; end",
        );
    }
};
