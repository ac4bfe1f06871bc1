<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Clinic;
use App\Models\Practitioner;
use App\Models\Role;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Practitioner> */
final class PractitionerFactory extends Factory
{
    protected $model = Practitioner::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'clinic_id' => Clinic::factory(),
            'name' => fake()->firstName().' '.fake()->lastName(), 'profession' => 'physiotherapist', 'role' => Role::Practitioner,
            'email' => fake()->unique()->userName().'@clinic.example', 'password' => 'a-long-password',
        ];
    }
}
