<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Assessment;

use IvoryPace\Assessment\ScreeningQuestions;
use IvoryPace\Health\Flag;
use IvoryPace\Health\RedFlag;
use PHPUnit\Framework\TestCase;

final class ScreeningTest extends TestCase
{
    public function test_every_red_flag_and_every_asked_flag_is_a_question(): void
    {
        $keys = ScreeningQuestions::keys();

        self::assertCount(count(RedFlag::asked()) + count(Flag::asked()), array_unique($keys));
        self::assertContains('red.chest-pain', $keys);
        self::assertContains('flag.copd', $keys);
        self::assertNotContains('flag.under-16', $keys, 'follows from the date of birth');
        foreach (RedFlag::asked() as $flag) {
            self::assertStringEndsWith('?', ScreeningQuestions::ofRedFlag($flag));
        }
    }

    public function test_it_is_complete_only_when_every_question_has_an_answer(): void
    {
        $answers = array_fill_keys(ScreeningQuestions::keys(), false);
        self::assertSame([], ScreeningQuestions::unanswered($answers));
        unset($answers['flag.asthma']);
        self::assertSame(['flag.asthma'], ScreeningQuestions::unanswered($answers));
    }
}
