<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use IvoryPace\Health\Flag;

/** Flags in the sentences of findings. */
final class Phrases
{
    /**
     * "asthma", "asthma and COPD", "asthma, COPD and reflux".
     *
     * @param  list<Flag>  $flags
     */
    public static function list(array $flags): string
    {
        $younger = in_array(Flag::Under12, $flags, true);
        $labels = array_map(
            fn (Flag $flag) => $flag->label(),
            array_values(array_filter($flags, fn (Flag $flag) => ! ($younger && $flag === Flag::Under16))),
        );
        $last = array_pop($labels);

        return $labels === [] ? (string) $last : implode(', ', $labels).' and '.$last;
    }
}
