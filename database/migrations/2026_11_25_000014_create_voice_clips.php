<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('voice_clips', function (Blueprint $table) {
            $table->id();
            $table->foreignId('practitioner_id')->constrained();
            $table->string('line', 60);
            $table->unsignedSmallInteger('ms');
            $table->decimal('loudness', 4, 1);
            $table->string('hash', 64);
            // WAV as it is played: 16-bit, one channel, a few seconds at the most.
            $table->mediumText('wav');
            $table->dateTime('recorded_at');
            $table->unique(['practitioner_id', 'line']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('voice_clips');
    }
};
