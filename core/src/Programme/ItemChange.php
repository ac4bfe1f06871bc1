<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

/** What happens to one item from one version to the next. */
final readonly class ItemChange
{
    /**
     * @param  string  $kind  added, removed or changed
     * @param  string  $name  of the exercise or routine
     * @param  list<ChangedPart>  $lines  for a changed one
     * @param  Item|null  $was  of a changed one: how it was
     */
    public function __construct(public string $kind, public Item $item, public string $name, public array $lines, public ?Item $was = null)
    {
    }
}
