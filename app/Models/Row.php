<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What all models of ours have in common. What may be written is decided by form requests and actions.
 */
abstract class Row extends Model
{
    protected $guarded = [];

    /**
     * Laravel looks for attributes on each of a model's four hundred methods, in every request anew; for a page that reads
     * fifteen tables that takes longer than the queries. None of ours has such attributes, and what traits bring is found by
     * its conventional name.
     */
    protected static function bootTraits(): void
    {
        $names = array_map(class_basename(...), array_values(class_uses_recursive(static::class)));
        $existing = fn (string $prefix): array => array_values(
            array_filter(
                array_map(fn (string $name) => $prefix.$name, $names), fn (string $method) => method_exists(static::class, $method),
            ),
        );
        foreach ($existing('boot') as $method) {
            static::$method();
        }
        static::$traitInitializers[static::class] = $existing('initialize');
    }
}
