<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use IvoryPace\Programme\Item;

/** One safety rule. */
interface Rule
{
    /** Stable id, used in stored reasons and in the hazard log. */
    public function id(): string;

    /** How grave its finding is. */
    public function level(): Level;

    /**
     * The finding for this prescription and patient, or null.
     *
     * @param  list<Item>  $others  the other exercises of the programme
     */
    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding;
}
