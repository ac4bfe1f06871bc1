<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Nobody gets messages who has not wished for them.
        Schema::table('patients', function (Blueprint $table) {
            $table->boolean('mails_appointments')->default(false)->after('contact');
            $table->boolean('mails_practice')->default(false)->after('mails_appointments');
            $table->index(['mails_practice', 'id']);
        });
        Schema::table('practitioners', fn (Blueprint $table) => $table->boolean('mails_reviews')->default(false)->after('email'));

        // What was sent once is not sent again. A hash: whom it was about cannot be read here.
        Schema::create('sent_messages', function (Blueprint $table) {
            $table->char('what', 64)->primary();
            $table->dateTime('at')->index();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('sent_messages');
        Schema::table('practitioners', fn (Blueprint $table) => $table->dropColumn('mails_reviews'));
        Schema::table('patients', function (Blueprint $table) {
            $table->dropIndex(['mails_practice', 'id']);
            $table->dropColumn(['mails_appointments', 'mails_practice']);
        });
    }
};
