<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Programme;

use IvoryPace\Programme\Goal;
use LogicException;
use PHPUnit\Framework\TestCase;

final class GoalReachedTest extends TestCase
{
    public function test_days_at_the_target_are_counted_back_from_the_latest_rated_one(): void
    {
        $atMost = $this->goal('at-most');
        self::assertSame(3, $atMost->daysReached([5, 2, 4, 3, null, 1, 3]));
        self::assertSame(2, $atMost->daysReached([null, 3, 3, null]), 'a day without a rating neither counts nor breaks');
        self::assertSame([0, 0], [$atMost->daysReached([3, 3, 4]), $atMost->daysReached([])]);
        self::assertSame(2, $this->goal('at-least')->daysReached([2, 3, 7]));
    }

    private function goal(string $direction): Goal
    {
        return Goal::read(['words' => 'Sleep through', 'measure' => 'tension', 'target' => '3', 'direction' => $direction])[0] ?? throw new LogicException('no goal');
    }
}
