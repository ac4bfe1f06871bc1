<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** When everything was put away last. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('backups', function (Blueprint $table) {
            $table->id();
            $table->dateTime('made_at')->index();
            $table->unsignedBigInteger('bytes');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('backups');
    }
};
