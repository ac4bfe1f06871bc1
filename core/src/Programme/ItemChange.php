<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

/** What happens to one item from one version to the next. */
final readonly class ItemChange
{
    /**
     * @param  string  $kind  added, removed or changed
     * @param  string  $name  of the exercise or routine
     * @param  list<array{what: string, from: string, to: string}>  $lines  for a changed one, in words for the practitioner
     */
    public function __construct(public string $kind, public Item $item, public string $name, public array $lines)
    {
    }
}
