<?php

declare(strict_types=1);

namespace App\Outbox;

use Carbon\CarbonImmutable;

/** When something was sent by the device's clock and received by ours: the difference corrects the device's times. */
final readonly class Sent
{
    /** A device's clock may be this far off before its times are corrected, in seconds. */
    private const TRUSTED_OFFSET_S = 90;

    /** How many seconds our clock is ahead of the device's. */
    public int $offset;

    public function __construct(CarbonImmutable $sentAt, public CarbonImmutable $receivedAt)
    {
        $this->offset = (int) round($sentAt->diffInSeconds($receivedAt));
    }

    /** A time of the device, by our clock. */
    public function corrected(string $deviceTime): CarbonImmutable
    {
        return CarbonImmutable::parse($deviceTime)->utc()->addSeconds(abs($this->offset) > self::TRUSTED_OFFSET_S ? $this->offset : 0);
    }
}
