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
        // It came from a device in the wrong hands: its numbers count nowhere, and its samples are gone.
        Schema::table('recordings', fn (Blueprint $table) => $table->dateTime('set_aside_at')->nullable()->after('read_at'));
        Door::lay();
    }

    public function down(): void
    {
        Schema::table('recordings', fn (Blueprint $table) => $table->dropColumn('set_aside_at'));
        Door::lay();
    }
};
