<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

/** Which exercise of a new version goes on which line of the programme, so that what was practised stays with it. */
final class Lineages
{
    /**
     * An item keeps its lineage as long as it is the same exercise; what is new, or has become another, begins one of its
     * own. Each lineage goes on once.
     *
     * @param  list<array<string, mixed>>  $ordered  fields of each; "id" is the lineage of one in force
     * @param  array<string, Item>  $inForce  by lineage
     * @param  callable(): string  $new  makes a lineage
     * @return list<array<string, mixed>> the fields with their "id"
     */
    public static function kept(array $ordered, array $inForce, callable $new): array
    {
        $items = [];
        foreach ($ordered as $fields) {
            $lineage = self::of($fields, $inForce);
            unset($inForce[$lineage ?? '']);
            $items[] = ['id' => $lineage ?? $new()] + $fields;
        }

        return $items;
    }

    /**
     * @param  array<string, mixed>  $fields
     * @param  array<string, Item>  $inForce
     */
    private static function of(array $fields, array $inForce): ?string
    {
        $named = $fields['id'] ?? null;
        if ($named !== null) {
            return is_string($named) && ($inForce[$named] ?? null)?->isSameExerciseAs($fields) === true ? $named : null;
        }
        foreach ($inForce as $lineage => $item) {
            if ($item->isSameExerciseAs($fields)) {
                return (string) $lineage;
            }
        }

        return null;
    }
}
