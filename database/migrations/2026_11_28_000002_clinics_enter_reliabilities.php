<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Spread and reliability of questionnaires for which no reliable change is shipped, as a clinic goes by them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('clinics', fn (Blueprint $table) => $table->json('reliabilities')->nullable()->after('thresholds'));
    }

    public function down(): void
    {
        Schema::table('clinics', fn (Blueprint $table) => $table->dropColumn('reliabilities'));
    }
};
