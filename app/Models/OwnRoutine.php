<?php

declare(strict_types=1);

namespace App\Models;

/** A routine that a clinic has put together; its fields are name and steps. */
final class OwnRoutine extends OwnWork
{
}
