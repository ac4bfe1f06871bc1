<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Patient;
use App\Models\Practitioner;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<Patient> */
final class PatientFactory extends Factory
{
    protected $model = Patient::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        $practitioner = Practitioner::factory();

        return [
            'practitioner_id' => $practitioner,
            'clinic_id' => fn (array $attributes) => Practitioner::query()->whereKey($attributes['practitioner_id'])->sole()->clinic_id,
            'name' => fake()->firstName().' '.fake()->lastName(),
            'birth_date' => '1980-05-05', 'time_zone' => 'Europe/Lisbon', 'day_start' => '04:00',
            'contact' => null, 'minutes_a_day' => null,
        ];
    }
}
