<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

/** Some of what was due: how much of it was practised. */
final readonly class Share
{
    /** @param  float  $credit  0 to $due */
    public function __construct(public int $due = 0, public float $credit = 0.0)
    {
    }

    public function plus(int $due, float $credit): self
    {
        return new self($this->due + $due, $this->credit + $credit);
    }

    /** 0–1; null when nothing was due. */
    public function share(): ?float
    {
        return $this->due === 0 ? null : $this->credit / $this->due;
    }
}
