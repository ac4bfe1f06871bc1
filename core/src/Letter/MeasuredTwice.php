<?php

declare(strict_types=1);

namespace IvoryPace\Letter;

/** A measure at first and lately, as it is printed. */
final readonly class MeasuredTwice
{
    /**
     * @param  string  $name  "Resting rate"
     * @param  string  $now  value with its unit, or in words
     * @param  string  $nowOn  day, printed
     * @param  string|null  $then  null where it was taken once
     * @param  string|null  $thenOn  day, printed; null where it was taken once
     * @param  bool  $comparable  taken in the same position and by the same method
     * @param  string|null  $change  what the difference means, "improved, reliably"; null where nothing is claimed of this measure
     */
    public function __construct(
        public string $name,
        public string $now,
        public string $nowOn,
        public ?string $then = null,
        public ?string $thenOn = null,
        public bool $comparable = true,
        public ?string $change = null,
    ) {
    }

    /** "Nijmegen questionnaire: 31 on 3 Sep 2026, 17 on 20 Nov 2026: 14 points fewer: improved, reliably". */
    public function sentence(): string
    {
        if ($this->then === null) {
            return "{$this->name}: {$this->now} on {$this->nowOn}";
        }

        return "{$this->name}: {$this->then} on {$this->thenOn}, {$this->now} on {$this->nowOn}".match (true) {
            ! $this->comparable => '; taken in another way, so the two are not compared',
            $this->change !== null => "; {$this->change}",
            default => '',
        };
    }
}
