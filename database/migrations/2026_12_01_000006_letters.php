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
        // A letter that is being written.
        Schema::create('letter_drafts', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('patient_id')->constrained();
            $table->foreignId('practitioner_id')->constrained();
            $table->string('kind', 12);
            $table->text('addressee')->nullable();
            $table->mediumText('parts');
            $table->boolean('with_course')->default(true);
            // Which it is to take the place of.
            $table->unsignedBigInteger('replaces_id')->nullable();
            $table->unsignedInteger('revision')->default(1);
            $table->timestamps();
            $table->index(['patient_id', 'kind']);
        });

        // As it was signed, with the very bytes that were sent.
        Schema::create('letters', function (Blueprint $table) {
            $table->id();
            $table->foreignUlid('patient_id')->constrained();
            $table->foreignId('practitioner_id')->constrained();
            $table->string('kind', 12);
            $table->text('addressee')->nullable();
            $table->mediumText('parts');
            $table->mediumText('text');
            $table->longText('pdf');
            $table->foreignId('replaces_id')->nullable()->constrained('letters');
            $table->dateTime('signed_at');
            $table->dateTime('sent_at')->nullable();
            $table->foreignId('sent_by')->nullable()->constrained('practitioners');
            $table->text('sent_how')->nullable();
            $table->index(['patient_id', 'signed_at']);
        });

        Schema::table('clinics', function (Blueprint $table) {
            $table->text('letter_head')->nullable()->after('calendar_initials');
            $table->text('letter_foot')->nullable()->after('letter_head');
            // Sentences that are used again and again: name and text.
            $table->json('letter_blocks')->nullable()->after('letter_foot');
        });
        Door::lay();
    }

    public function down(): void
    {
        Schema::table('clinics', fn (Blueprint $table) => $table->dropColumn(['letter_head', 'letter_foot', 'letter_blocks']));
        Schema::dropIfExists('letters');
        Schema::dropIfExists('letter_drafts');
    }
};
