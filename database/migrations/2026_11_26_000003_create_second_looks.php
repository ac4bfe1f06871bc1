<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** How a symptom was some minutes after a stop. What was said is not said again: it is kept as it was. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('second_looks', function (Blueprint $table) {
            $table->id();
            $table->foreignId('practice_id')->unique()->constrained();
            $table->boolean('settled');
            $table->dateTime('looked_at');
            $table->dateTime('received_at');
        });
        DB::unprepared(
            "create trigger second_looks_no_update before update on second_looks for each row signal sqlstate '45000' set message_text = "
                ."'A second look cannot be changed.'",
        );
        DB::unprepared(
            "create trigger second_looks_no_delete before delete on second_looks for each row signal sqlstate '45000' set message_text = "
                ."'A second look cannot be deleted.'",
        );
    }

    public function down(): void
    {
        Schema::dropIfExists('second_looks');
    }
};
