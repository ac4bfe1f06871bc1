<?php

declare(strict_types=1);

namespace App\Facts;

use Carbon\CarbonImmutable;
use IvoryPace\Practice\RecoveryWatch;

/** When something was sent by the device's clock and received by ours: the difference corrects the device's times. */
final readonly class Sent
{
    /** How many seconds our clock is ahead of the device's. */
    public int $offset;

    public function __construct(CarbonImmutable $sentAt, public CarbonImmutable $receivedAt)
    {
        $this->offset = (int) round($sentAt->diffInSeconds($receivedAt));
    }

    /** A time of the device, by our clock. */
    public function corrected(string $deviceTime): CarbonImmutable
    {
        return CarbonImmutable::parse($deviceTime)->utc()
            ->addSeconds(abs($this->offset) > RecoveryWatch::TRUSTED_OFFSET ? $this->offset : 0);
    }
}
