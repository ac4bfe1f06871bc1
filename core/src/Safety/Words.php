<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

/** Small helps for the sentences of findings. */
final class Words
{
    /**
     * "asthma", "asthma and COPD", "asthma, COPD and reflux".
     *
     * @param  list<Flag>  $flags
     */
    public static function list(array $flags): string
    {
        $labels = array_map(fn (Flag $flag) => $flag->label(), $flags);
        $last = array_pop($labels);

        return $labels === [] ? (string) $last : implode(', ', $labels).' and '.$last;
    }

    /** At most two decimals and no needless ones: 7, 7.5, 0.71. */
    public static function number(float $value): string
    {
        $text = rtrim(rtrim(number_format($value, 2, '.', ''), '0'), '.');

        return $text === '-0' || $text === '' ? '0' : $text;
    }
}
