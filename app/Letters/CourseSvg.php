<?php

declare(strict_types=1);

namespace App\Letters;

use IvoryPace\Numbers;

/** The Course on paper: weeks from left to right, what was prescribed above what was kept and how it was rated. */
final class CourseSvg
{
    private const WIDTH = 660;

    private const LEFT = 112;

    private const ROW = 78;

    private const TOP = 34;

    /** Of a bar. */
    private const WIDEST = 18.0;

    /** Weeks between two dates under the axis, so that they do not touch. */
    private const DATES = 10;

    /**
     * @param  list<CourseWeek>  $weeks  at least one
     * @param  string  $rated  what is rated before and after practice
     */
    public static function of(array $weeks, string $rated): string
    {
        $step = (self::WIDTH - self::LEFT) / count($weeks);
        $hasRatings = array_filter($weeks, fn (CourseWeek $week) => $week->before !== null) !== [];
        $height = self::TOP + self::ROW * ($hasRatings ? 2 : 1) + 30;
        $body = self::versions($weeks, $step).self::kept($weeks, $step, self::TOP).($hasRatings
            ? self::ratings($weeks, $step, self::TOP + self::ROW, $rated) : '').self::dates($weeks, $step, $height - 14);

        $size = self::WIDTH.' '.$height;

        return '<svg xmlns="http://www.w3.org/2000/svg" width="'.self::WIDTH."\" height=\"$height\" viewBox=\"0 0 $size\">$body</svg>";
    }

    /** @param  list<CourseWeek>  $weeks */
    private static function versions(array $weeks, float $step): string
    {
        $marks = self::text(0, 14, 'Version');
        $last = -100.0;
        foreach ($weeks as $index => $week) {
            if ($week->versions !== []) {
                $x = self::x($index, $step);
                $marks .= self::line($x, 18, $x, self::TOP - 4, 1.2);
                // Those of weeks beside each other are told by their mark alone.
                if ($x - $last > 22) {
                    $marks .= self::text($x, 14, implode(', ', $week->versions));
                    $last = $x;
                }
            }
        }

        return $marks;
    }

    /** @param  list<CourseWeek>  $weeks */
    private static function kept(array $weeks, float $step, int $top): string
    {
        $high = self::ROW - 22;
        $base = $top + $high;
        $drawn = self::text(0, $top + 12, 'Practice kept').self::text(0, $top + 24, '% of what was due', true)
            .self::line(self::LEFT, $base, self::WIDTH, $base, 0.6).self::line(self::LEFT, $top, self::WIDTH, $top, 0.3)
            .self::text(self::LEFT - 24, $top + 4, '100', true).self::text(self::LEFT - 12, $base + 3, '0', true);
        foreach ($weeks as $index => $week) {
            $x = self::x($index, $step);
            if ($week->share !== null) {
                $tall = round($high * min(1.0, $week->share), 1);
                $drawn .= sprintf(
                    '<rect x="%s" y="%s" width="%s" height="%s" fill="#4c6b2f"/>', $x, $base - $tall,
                    max(1.5, 2 * self::middle($step)), max(0.6, $tall),
                );
            }
            if ($week->stops > 0) {
                $at = $x + self::middle($step);
                $drawn .= sprintf('<path d="M%s %sl4 -7h-8Z" fill="#a63f28"/>', $at, $base + 10)
                    .self::text($at + 5, $base + 11, (string) $week->stops, true);
            }
        }

        return $drawn;
    }

    /** @param  list<CourseWeek>  $weeks */
    private static function ratings(array $weeks, float $step, int $top, string $rated): string
    {
        $high = self::ROW - 22;
        $y = fn (float $value) => round($top + $high * (1 - $value / 10), 1);
        $drawn = self::text(0, $top + 12, mb_strimwidth(ucfirst($rated === '' ? 'Rating' : $rated), 0, 22, '…'))
            .self::text(0, $top + 24, 'ring before, dot after', true)
            .self::line(self::LEFT, $top, self::WIDTH, $top, 0.3).self::line(self::LEFT, $top + $high, self::WIDTH, $top + $high, 0.6)
            .self::text(self::LEFT - 18, $top + 4, '10', true).self::text(self::LEFT - 12, $top + $high + 3, '0', true);
        foreach ($weeks as $index => $week) {
            $x = self::x($index, $step) + self::middle($step);
            if ($week->before !== null && $week->after !== null) {
                $drawn .= self::line($x, $y($week->before), $x, $y($week->after), 0.5)
                    .sprintf('<circle cx="%s" cy="%s" r="2.2" fill="#24302f"/>', $x, $y($week->after));
            }
            if ($week->before !== null) {
                $drawn .= sprintf(
                    '<circle cx="%s" cy="%s" r="2.2" fill="#ffffff" stroke="#24302f" stroke-width="0.8"/>', $x, $y($week->before),
                );
            }
        }

        return $drawn;
    }

    /** @param  list<CourseWeek>  $weeks */
    private static function dates(array $weeks, float $step, int $y): string
    {
        $every = (int) max(1, ceil(count($weeks) / self::DATES));
        $drawn = '';
        foreach ($weeks as $index => $week) {
            if ($index % $every === 0) {
                $drawn .= self::line(self::x($index, $step), $y - 12, self::x($index, $step), $y - 8, 0.6)
                    .self::text(self::x($index, $step), $y, $week->from, true);
            }
        }

        return $drawn;
    }

    private static function x(int $index, float $step): float
    {
        return round(self::LEFT + $index * $step, 1);
    }

    /** Of a week's bar. */
    private static function middle(float $step): float
    {
        return round(min(self::WIDEST, $step * 0.7) / 2, 1);
    }

    private static function line(float $x1, float $y1, float $x2, float $y2, float $width): string
    {
        return "<path d=\"M$x1 {$y1}L$x2 $y2\" stroke=\"#24302f\" stroke-width=\"$width\" fill=\"none\"/>";
    }

    private static function text(float $x, float $y, string $text, bool $small = false): string
    {
        return sprintf(
            '<text x="%s" y="%s" font-size="%s" font-family="figtree" fill="#24302f">%s</text>', $x, $y, $small ? 8 : 9.5, e($text),
        );
    }

    /** @param  list<CourseWeek>  $weeks  what is drawn, in words, for whoever does not see it */
    public static function words(array $weeks, string $rated): string
    {
        return implode("\n", array_map(fn (CourseWeek $week) => "Week of {$week->from}: ".implode(', ', array_filter([
            $week->versions === [] ? '' : 'version '.implode(', ', $week->versions),
            $week->share === null ? 'nothing due' : round(100 * $week->share).' % practised',
            $week->stops === 0 ? '' : ($week->stops === 1 ? 'stopped once' : "stopped {$week->stops} times"),
            $week->before === null ? '' : ($rated === '' ? 'rating' : $rated).' '.Numbers::print($week->before).' before'
                .($week->after === null ? '' : ', '.Numbers::print($week->after).' after'),
        ])), $weeks));
    }
}
