<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The count of changes from which a line was made: no time, as the name of the column said. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('caseload_lines', fn (Blueprint $table) => $table->renameColumn('computed_at', 'made_of'));
    }

    public function down(): void
    {
        Schema::table('caseload_lines', fn (Blueprint $table) => $table->renameColumn('made_of', 'computed_at'));
    }
};
