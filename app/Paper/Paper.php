<?php

declare(strict_types=1);

namespace App\Paper;

/** How the sheet is printed. */
enum Paper: string
{
    case A4 = 'a4';

    /** Letters of 16 pt and over, for eyes that need them (common practice for large print). */
    case Large = 'large';

    /** Pages of half the size, two on each side of the paper, in the order in which it is folded. */
    case Fold = 'fold';

    /** What was asked for; the usual one where nothing that is known was. */
    public static function asked(mixed $name): self
    {
        return self::tryFrom(is_string($name) ? $name : '') ?? self::A4;
    }

    public function pageSize(): string
    {
        return $this === self::Fold ? 'A5' : 'A4';
    }

    /** Whether two columns have room beside each other. */
    public function isWide(): bool
    {
        return $this === self::A4;
    }
}
