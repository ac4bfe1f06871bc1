<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use IvoryPace\Exercise\Change;

/** One safety rule. */
interface Rule
{
    /** Stable id, used in stored reasons and in the hazard log. */
    public function id(): string;

    /** The finding for this prescription and patient, without changes; null when there is nothing to say. */
    public function check(Look $look): ?Finding;

    /**
     * Changes that might clear its finding, the best first; {@see RuleBook} offers those that do.
     *
     * @return list<Change>
     */
    public function changes(Look $look, Finding $finding): array;
}
