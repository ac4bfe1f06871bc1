<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What patients tap to reach the clinic.
        Schema::table('clinics', fn (Blueprint $table) => $table->string('telephone', 40)->nullable());
    }

    public function down(): void
    {
        Schema::table('clinics', fn (Blueprint $table) => $table->dropColumn('telephone'));
    }
};
