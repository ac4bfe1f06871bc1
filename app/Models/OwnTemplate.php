<?php

declare(strict_types=1);

namespace App\Models;

/** A programme that a clinic starts from; its fields are school and items. */
final class OwnTemplate extends OwnWork
{
    protected $table = 'programme_templates';
}
