<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Names and ids that have to be unique are compared by bytes: the collation takes “Strasse” and “Straße”, or ids in other
 * letters, for the same. What is alike for a person is compared by the application.
 */
return new class extends Migration
{
    private const COLUMNS = [
        'kept_asides' => 'item varchar(64)', 'own_exercises' => 'name varchar(60)', 'own_routines' => 'name varchar(60)',
        'programme_templates' => 'name varchar(60)', 'chosen_symptoms' => 'name varchar(60)',
    ];

    public function up(): void
    {
        $this->collate('utf8mb4_bin');
    }

    public function down(): void
    {
        $this->collate('utf8mb4_unicode_ci');
    }

    private function collate(string $collation): void
    {
        foreach (self::COLUMNS as $table => $column) {
            DB::statement("alter table $table modify $column character set utf8mb4 collate $collation not null");
        }
    }
};
