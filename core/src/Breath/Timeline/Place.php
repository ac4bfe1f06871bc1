<?php

declare(strict_types=1);

namespace IvoryPace\Breath\Timeline;

use JsonSerializable;

/** Where a cue stands: routine step, round, and which breath of how many. All count from 1; 0 means none. */
final readonly class Place implements JsonSerializable
{
    public function __construct(
        public int $step = 1,
        public int $round = 0,
        public int $breath = 0,
        public int $ofBreaths = 0,
    ) {
    }

    public function isLastBreath(): bool
    {
        return $this->breath > 0 && $this->breath === $this->ofBreaths;
    }

    /** @return array{step: int, round: int, breath: int, of: int} */
    public function jsonSerialize(): array
    {
        return ['step' => $this->step, 'round' => $this->round, 'breath' => $this->breath, 'of' => $this->ofBreaths];
    }
}
