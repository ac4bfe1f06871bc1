<?php

declare(strict_types=1);

namespace IvoryPace\Progress;

/** How one practice felt, as far as it was said. */
final readonly class RatedPractice
{
    /**
     * @param  int|null  $before  0–10
     * @param  int|null  $after  0–10
     * @param  int|null  $effort  0–10
     * @param  string|null  $smooth  yes, partly or no
     * @param  Felt|null  $felt  null when no device measured it
     */
    public function __construct(
        public ?int $before = null,
        public ?int $after = null,
        public ?int $effort = null,
        public ?string $smooth = null,
        public bool $stoppedForSymptom = false,
        public ?Felt $felt = null,
    ) {
    }
}
