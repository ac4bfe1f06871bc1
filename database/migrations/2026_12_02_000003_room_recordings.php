<?php

declare(strict_types=1);

use App\Guard\Door\Door;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Several devices may measure at once: which of them may send to a recording, and how far each has come.
        Schema::create('recording_sensors', function (Blueprint $table) {
            $table->id();
            $table->foreignId('recording_id')->constrained()->cascadeOnDelete();
            $table->foreignId('sensor_id')->constrained();
            // How many parts there are, as the device says when it has sent the last one.
            $table->unsignedSmallInteger('parts')->nullable();
            // Samples that did not belong to it, and were left out.
            $table->unsignedInteger('outside')->default(0);
            $table->unique(['recording_id', 'sensor_id']);
            $table->index(['sensor_id', 'recording_id']);
        });

        Schema::table('recording_parts', function (Blueprint $table) {
            // Each device counts its own parts; 0 is the patient's phone, or a file.
            $table->unsignedBigInteger('sender')->default(0)->after('recording_id');
            $table->unique(['recording_id', 'sender', 'number']);
            $table->dropUnique(['recording_id', 'number']);
        });

        Schema::table('recordings', function (Blueprint $table) {
            $table->dropForeign(['sensor_id']);
            $table->dropIndex(['sensor_id', 'ended_at']);
            $table->dropColumn('sensor_id');
            $table->index('created_at');
            // A kept value names the recording it was read from.
            $table->dropForeign(['measurement_id']);
            $table->dropColumn('measurement_id');
        });
        // “two belts, quiet minute”
        Schema::table('measurements', fn (Blueprint $table) => $table->string('method', 40)->change());
        Door::lay();
    }

    public function down(): void
    {
        Schema::table('recordings', function (Blueprint $table) {
            $table->dropIndex(['created_at']);
            $table->foreignId('sensor_id')->nullable()->constrained();
            $table->index(['sensor_id', 'ended_at']);
            $table->foreignId('measurement_id')->nullable()->constrained('measurements');
        });
        Schema::table('recording_parts', function (Blueprint $table) {
            $table->unique(['recording_id', 'number']);
            $table->dropUnique(['recording_id', 'sender', 'number']);
            $table->dropColumn('sender');
        });
        Schema::dropIfExists('recording_sensors');
        Door::lay();
    }
};
