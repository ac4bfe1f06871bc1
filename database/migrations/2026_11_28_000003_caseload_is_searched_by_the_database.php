<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** By what a line of the caseload is found: words of the name, what is prescribed, flags and the reason; all plain elsewhere too. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('caseload_lines', function (Blueprint $table) {
            $table->string('reason', 40)->nullable()->after('urgency');
            $table->string('names', 400)->nullable()->after('reason');
            $table->text('prescribed')->nullable()->after('names');
            $table->text('flags')->nullable()->after('prescribed');
            $table->index('holds_until');
        });
    }

    public function down(): void
    {
        Schema::table('caseload_lines', function (Blueprint $table) {
            $table->dropIndex(['holds_until']);
            $table->dropColumn(['reason', 'names', 'prescribed', 'flags']);
        });
    }
};
