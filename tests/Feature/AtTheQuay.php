<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;

/** Tests that begin with the demo, on one Wednesday afternoon. */
trait AtTheQuay
{
    protected function atTheQuay(): void
    {
        $this->travelTo(CarbonImmutable::parse(KeptDemo::WHEN, KeptDemo::ZONE));
        config(['mail.default' => 'outbox']);
        KeptDemo::lay();
    }
}
