<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

/** What a prescriber has typed so far: the item when everything can be read, and what is wrong where. */
final readonly class Draft
{
    /**
     * @param  array<string, string>  $errors  by field
     * @param  array<string, mixed>  $fields  as typed, completed with defaults
     */
    public function __construct(public ?Item $item, public array $errors, public array $fields)
    {
    }

    /** The same, with what is refused when something is written; what was stored is still shown. */
    public function asWritten(): self
    {
        return $this->item === null
            ? $this
            : new self($this->item, [...WhenWritten::problems($this->item), ...$this->errors], $this->fields);
    }

    /**
     * The same draft with some fields changed.
     *
     * @param  array<string, mixed>  $changes
     */
    public function with(array $changes, string $lineage): self
    {
        // An edited ladder starts from what was prescribed: another start needs another ladder.
        return DraftReader::read([...$this->fields, 'ladder' => null, ...$changes], $lineage);
    }
}
