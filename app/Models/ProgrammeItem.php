<?php

declare(strict_types=1);

namespace App\Models;

use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Likeness;
use LogicException;

/**
 * @property int $id
 * @property string $lineage
 * @property array<string, mixed> $fields
 */
final class ProgrammeItem extends Row
{
    public $timestamps = false;

    protected $table = 'programme_items';

    private ?Item $read = null;

    /** @var list<Likeness>|null */
    private ?array $likeness = null;

    /** The exercise as the core sees it. */
    public function item(): Item
    {
        return $this->read ??= DraftReader::read($this->fields, $this->lineage)->item
            ?? throw new LogicException("Exercise {$this->id} of an issued version cannot be read.");
    }

    /** @return list<Likeness> what it is like, for pauses and stops */
    public function likeness(): array
    {
        return $this->likeness ??= Likeness::ofItem($this->item());
    }

    /** True when both prescribe the same in the same way. */
    public function isPrescribedLike(self $other): bool
    {
        // Versions never change, so what is stored is compared as it is stored: reading it costs more.
        return $this->getRawOriginal('fields') === $other->getRawOriginal('fields');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['fields' => 'array'];
    }
}
