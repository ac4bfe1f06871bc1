<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Signal;

use IvoryPace\Signal\VoiceScript;
use PHPUnit\Framework\TestCase;

final class VoiceScriptTest extends TestCase
{
    public function test_numbers_fit_between_two_counts_of_a_second(): void
    {
        self::assertLessThan(1.0, VoiceScript::lines()['number.1']);
        self::assertArrayNotHasKey('number.13', VoiceScript::lines());
    }
}
