<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A programme that keeps up what an earlier one reached: it has no end. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('programmes', fn (Blueprint $table) => $table->boolean('is_maintenance')->default(false));
    }

    public function down(): void
    {
        Schema::table('programmes', fn (Blueprint $table) => $table->dropColumn('is_maintenance'));
    }
};
