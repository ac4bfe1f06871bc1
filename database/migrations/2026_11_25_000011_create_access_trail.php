<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Who opened or changed what of which patient. Repeats within a minute are one line.
        Schema::create('access_trail', function (Blueprint $table) {
            $table->id();
            $table->foreignId('clinic_id')->constrained();
            $table->foreignUlid('patient_id')->constrained();
            $table->foreignId('practitioner_id')->constrained();
            $table->string('kind', 6);
            $table->string('what', 80);
            $table->dateTime('at');
            $table->unique(['patient_id', 'practitioner_id', 'what', 'kind', 'at']);
            $table->index(['clinic_id', 'at']);
        });

        // Who is responsible for a patient, and who else sees them as theirs, over time.
        Schema::create('handovers', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('patient_id')->constrained();
            $table->string('kind', 12);
            $table->foreignId('to_id')->constrained('practitioners');
            $table->foreignId('by_id')->constrained('practitioners');
            $table->string('reason', 500);
            $table->dateTime('at');
            $table->index(['patient_id', 'at']);
        });

        foreach (['access_trail' => 'The access trail', 'handovers' => 'A hand-over'] as $table => $what) {
            foreach (['update' => 'changed', 'delete' => 'removed'] as $event => $done) {
                DB::unprepared(
                    "create trigger {$table}_no_{$event} before {$event} on {$table} for each row signal sqlstate '45000' set message_text "
                        ."= '{$what} cannot be {$done}.'",
                );
            }
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('handovers');
        Schema::dropIfExists('access_trail');
    }
};
