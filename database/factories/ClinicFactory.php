<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Clinic;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Clinic> */
final class ClinicFactory extends Factory
{
    protected $model = Clinic::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'name' => 'Clinic '.fake()->unique()->numberBetween(1, 9999), 'time_zone' => 'Europe/Lisbon',
            'emergency_wording' => 'Call 112 now.', 'crisis_number' => '116 123, the helpline',
        ];
    }
}
