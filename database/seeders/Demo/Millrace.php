<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Models\Practitioner;

/** A second clinic, so that it can be seen that neither reaches anything of the other's. */
final readonly class Millrace
{
    public function __construct(private Practitioner $gwen)
    {
    }

    public function seed(): void
    {
        (new InventedPatient(
            $this->gwen, 10, ['name' => Promises::patient('of-another-clinic'), 'birth_date' => '1971-02-02', 'minutes_a_day' => 10],
        ))
            ->screened(10)
            ->issued(
                10,
                [
                    'technique' => 'extended-exhale', 'ratio' => '4:0:5:1', 'breaths' => 12, 'position' => 'seated', 'props' => [],
                    'times_a_day' => 2,
                ],
            )
            ->joined(10)
            ->practised(10, 0, chance: [0.8, 0.8]);
        new InventedPatient($this->gwen, 1, ['name' => 'Rook Amberley', 'birth_date' => '1990-12-12']);
    }
}
