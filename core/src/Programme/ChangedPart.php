<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

/** One part of an item that changes, in words for the practitioner. */
final readonly class ChangedPart
{
    /**
     * @param  ItemPart|null  $part  null for a parameter of the technique's own
     * @param  string  $what  its label
     * @param  string  $from  empty where there was nothing
     * @param  string  $to  empty where there is nothing any more
     */
    public function __construct(public ?ItemPart $part, public string $what, public string $from, public string $to)
    {
    }

    /** @return array{what: string, from: string, to: string} */
    public function write(): array
    {
        return ['what' => $this->what, 'from' => $this->from, 'to' => $this->to];
    }
}
