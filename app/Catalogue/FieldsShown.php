<?php

declare(strict_types=1);

namespace App\Catalogue;

/** The fields of an exercise for a page: what is named stays an object there, also where it is empty. */
final class FieldsShown
{
    private const NAMED = ['parameters', 'counting', 'counts'];

    /**
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed>
     */
    public static function of(array $fields): array
    {
        foreach (self::NAMED as $name) {
            if (is_array($fields[$name] ?? null)) {
                $fields[$name] = (object) $fields[$name];
            }
        }

        return $fields;
    }
}
