<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Written only where the database is several nodes: a lock of one is none on another, a written row is.
        Schema::create('turns', function (Blueprint $table) {
            $table->unsignedSmallInteger('id')->primary();
            $table->unsignedBigInteger('taken');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('turns');
    }
};
