<?php

declare(strict_types=1);

namespace IvoryPace\Breath\Timeline;

use JsonSerializable;

/** One beat of the pacer: when, in ms from the segment's zero, and what is said on it: a number, a word, or nothing. */
final readonly class Beat implements JsonSerializable
{
    /** @param  string|null  $word  translation key, in place of the number */
    public function __construct(public int $atMs, public ?int $number, public ?string $word = null)
    {
    }

    /** @return array{at: int, number: int|null, word?: string} */
    public function jsonSerialize(): array
    {
        return ['at' => $this->atMs, 'number' => $this->number, ...($this->word === null ? [] : ['word' => $this->word])];
    }
}
