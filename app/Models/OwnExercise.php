<?php

declare(strict_types=1);

namespace App\Models;

/** A counted breath that a clinic has named; its fields are those of an exercise. */
final class OwnExercise extends OwnWork
{
}
