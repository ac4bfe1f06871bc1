<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Why a practice cannot have been as it was sent: it is kept and shown, and credited with nothing.
        Schema::table('practices', fn (Blueprint $table) => $table->string('doubt', 20)->nullable());
    }

    public function down(): void
    {
        Schema::table('practices', fn (Blueprint $table) => $table->dropColumn('doubt'));
    }
};
