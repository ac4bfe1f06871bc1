<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

/** A change that is offered: what it says, and the fields that it sets. */
final readonly class Change
{
    /**
     * @param  array<string, mixed>  $set  fields with their new values
     * @param  array<string, mixed>|null  $add  fields of an exercise that is added to the programme
     * @param  bool  $onlyEases  what it is offered for stays, and is less
     */
    public function __construct(public string $label, public array $set, public ?array $add = null, public bool $onlyEases = false)
    {
    }
}
