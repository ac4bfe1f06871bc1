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
        // That a record was erased, or that it was asked for and refused. Of what is gone no name stays.
        Schema::create('erasures', function (Blueprint $table) {
            $table->id();
            $table->foreignId('clinic_id')->constrained();
            // None where a restore did it once more.
            $table->foreignId('practitioner_id')->nullable()->constrained();
            $table->ulid('patient_id')->nullable();
            $table->string('outcome', 10);
            $table->string('why', 10);
            $table->text('reason')->nullable();
            // By which a restored copy of it is known again: salt and keyed hash.
            $table->char('mark', 81)->nullable();
            $table->dateTime('asked_at');
            $table->dateTime('done_at')->nullable();
            $table->index(['clinic_id', 'asked_at']);
            $table->index('patient_id');
        });

        Schema::table('clinics', function (Blueprint $table) {
            // How long records are kept after they were archived; null while nobody has said it.
            $table->unsignedTinyInteger('keep_years')->nullable()->after('letter_blocks');
            $table->unsignedTinyInteger('keep_minors_until')->nullable()->after('keep_years');
        });

        Schema::table('patients', function (Blueprint $table) {
            $table->index(['clinic_id', 'archived_at']);
        });
        Door::lay();
    }

    public function down(): void
    {
        Schema::table('patients', fn (Blueprint $table) => $table->dropIndex(['clinic_id', 'archived_at']));
        Schema::table('clinics', fn (Blueprint $table) => $table->dropColumn(['keep_years', 'keep_minors_until']));
        Schema::dropIfExists('erasures');
    }
};
