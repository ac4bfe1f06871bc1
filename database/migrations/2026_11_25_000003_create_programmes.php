<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('programmes', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('patient_id')->constrained();
            $table->date('closed_on')->nullable();
            // One active programme a patient: the column is null once it is closed, and nulls never clash.
            $table->boolean('is_active')->nullable()->storedAs('if(closed_on is null, 1, null)');
            $table->timestamps();
            $table->unique(['patient_id', 'is_active']);
        });

        Schema::create('programme_versions', function (Blueprint $table) {
            $table->id();
            $table->foreignId('programme_id')->constrained();
            $table->unsignedSmallInteger('number');
            $table->foreignId('practitioner_id')->constrained();
            $table->date('in_force_from');
            $table->date('ends_on')->nullable();
            $table->date('review_on');
            $table->string('rated_symptom', 60);
            $table->text('reason')->nullable();
            $table->dateTime('issued_at');
            $table->unique(['programme_id', 'number']);
        });

        Schema::create('programme_items', function (Blueprint $table) {
            $table->id();
            $table->foreignId('programme_version_id')->constrained();
            $table->ulid('lineage')->index();
            $table->json('fields');
            $table->unique(['programme_version_id', 'lineage']);
        });

        Schema::create('finding_reasons', function (Blueprint $table) {
            $table->id();
            $table->foreignId('programme_version_id')->constrained();
            $table->ulid('lineage');
            $table->string('rule', 40);
            $table->text('message');
            $table->text('reason');
            $table->foreignId('practitioner_id')->constrained();
            $table->dateTime('given_at');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('finding_reasons');
        Schema::dropIfExists('programme_items');
        Schema::dropIfExists('programme_versions');
        Schema::dropIfExists('programmes');
    }
};
