<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // From which numbers on something is proposed; what is missing is as shipped.
        Schema::table('clinics', fn (Blueprint $table) => $table->json('thresholds')->nullable());
    }

    public function down(): void
    {
        Schema::table('clinics', fn (Blueprint $table) => $table->dropColumn('thresholds'));
    }
};
