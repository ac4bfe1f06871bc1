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
     * @param  array{int, int}|null  $followed  breaths that were followed, of how many that a device could see; null when it was not measured
     * @param  int|null  $lagMs  how late they began, in the middle
     */
    public function __construct(
        public ?int $before = null,
        public ?int $after = null,
        public ?int $effort = null,
        public ?string $smooth = null,
        public bool $stoppedForSymptom = false,
        public ?array $followed = null,
        public ?int $lagMs = null,
    ) {
    }
}
