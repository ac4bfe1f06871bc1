<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Offers;

use IvoryPace\Exercise\Change;
use IvoryPace\Programme\Item;

/** Easier forms of the same practice: no slower, fewer steps, or no count at all. */
final class EasierForms
{
    /** @return list<Change> */
    public static function of(Item $item): array
    {
        $prescription = $item->prescription;
        $parameters = $prescription->parameters;
        $changes = [];
        if ($prescription->guidance->tempo->slowest > 1) {
            $changes[] = new Change('never slower than prescribed', ['slowest' => 1.0]);
        }
        if (isset($parameters['steps']) && $parameters['steps'] > 1) {
            $changes[] = new Change('one length only', ['parameters' => ['steps' => 1.0] + $parameters]);
        }
        if (isset($parameters['top'], $parameters['start'])) {
            $least = $prescription->technique->parameters['start']->min;
            $changes[] = new Change("$least counts throughout", ['parameters' => ['start' => $least, 'top' => $least] + $parameters]);
            $changes[] = new Change(
                "$least counts throughout, without soft pauses",
                ['parameters' => ['start' => $least, 'top' => $least, 'pause' => 0.0] + $parameters],
            );
        }
        if ($prescription->technique->key !== 'diaphragmatic') {
            $changes[] = OtherTechnique::plain($item, 'without a count: diaphragmatic breathing');
        }

        return $changes;
    }
}
