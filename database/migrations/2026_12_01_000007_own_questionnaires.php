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
        // Questionnaires that a clinic brought along; what was asked keeps a copy.
        Schema::create('own_questionnaires', function (Blueprint $table) {
            $table->ulid('id')->primary();
            $table->foreignId('clinic_id')->constrained();
            $table->foreignId('practitioner_id')->constrained();
            $table->string('name', 120);
            $table->json('fields');
            $table->timestamps();
            $table->unique(['clinic_id', 'name']);
        });

        Schema::table('asked_forms', function (Blueprint $table) {
            // Its questions as they were asked; null for those that come with the program.
            $table->json('asked')->nullable()->after('form');
        });
        Door::lay();
    }

    public function down(): void
    {
        Schema::table('asked_forms', fn (Blueprint $table) => $table->dropColumn('asked'));
        Schema::dropIfExists('own_questionnaires');
    }
};
