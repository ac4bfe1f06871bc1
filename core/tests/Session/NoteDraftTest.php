<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Session;

use IvoryPace\Session\NoteDraft;
use PHPUnit\Framework\TestCase;

final class NoteDraftTest extends TestCase
{
    public function test_what_was_practised_is_said_with_its_stops(): void
    {
        self::assertSame('Humming: not practised', NoteDraft::practised('Humming', 0, null, []));
        self::assertSame('Humming: practised once, 5 % of what was due', NoteDraft::practised('Humming', 1, 0.046, []));
        self::assertSame(
            'Humming: practised 12 times, 86 % of what was due; stopped 2 times, for dizziness; once, for panic',
            NoteDraft::practised('Humming', 12, 0.857, ['dizziness' => 2, 'panic' => 1]),
        );
    }
}
