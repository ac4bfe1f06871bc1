<?php

declare(strict_types=1);

namespace App\Paper;

/** Which two pages lie side by side on each side of a sheet, so that a folded stack reads from front to back. */
final class FoldedPages
{
    /**
     * Up to two pages are one side that is folded like a card, with the writing inside. More are a stack, printed on both
     * sides and turned on the short edge: four pages a sheet, the last ones empty where their number does not fill it.
     *
     * @param  int  $pages  1 or more
     * @return list<array{int|null, int|null}> left and right, counted from 1; null stays empty
     */
    public static function of(int $pages): array
    {
        if ($pages <= 2) {
            return [[1, $pages === 2 ? 2 : null]];
        }
        $all = intdiv($pages + 3, 4) * 4;
        $there = fn (int $page): ?int => $page <= $pages ? $page : null;
        $sides = [];
        for ($side = 0; $side < $all / 2; $side++) {
            $outer = $all - $side;
            $sides[] = $side % 2 === 0 ? [$there($outer), $there($side + 1)] : [$there($side + 1), $there($outer)];
        }

        return $sides;
    }
}
