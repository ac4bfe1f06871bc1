<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Progress\Proposal;

use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Progress\Proposal\Decision;
use IvoryPace\Progress\Proposal\StepTaken;
use IvoryPace\Progress\Proposal\WhatWasDone;
use LogicException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class WhatWasDoneTest extends TestCase
{
    private const EXHALE = ['technique' => 'extended-exhale', 'ratio' => '4:0:5:1', 'breaths' => 12, 'position' => 'standing', 'times_a_day' => 2];

    /** @return iterable<string, array{array<string, mixed>, Decision|null}> */
    public static function changes(): iterable
    {
        yield 'only why the patient does it' => [['why' => 'For the stairs.'], null];
        yield 'fewer practices' => [['times_a_day' => 1], Decision::Lighten];
        yield 'fewer breaths' => [['breaths' => 8], Decision::Lighten];
        yield 'other times' => [['anchors' => array_map(fn (string $anchor) => ['anchor' => $anchor, 'from' => '07:00', 'to' => '09:00', 'days' => [1, 2, 3, 4, 5, 6, 7]], ['breakfast', 'evening'])], Decision::Lighten];
        yield 'more practices' => [['times_a_day' => 3], Decision::GoOn];
        yield 'another breath of the same length' => [['ratio' => '5:0:4:1'], Decision::GoOn];
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('changes')]
    public function test_a_change_amounts_to_a_decision(array $with, ?Decision $decision): void
    {
        self::assertSame($decision, WhatWasDone::to($this->item(), $this->item($with)));
    }

    public function test_steps_are_recognised_and_what_is_gone_was_stopped(): void
    {
        $item = $this->item();
        $up = StepTaken::up($item) ?? throw new LogicException('no rung');
        self::assertSame(Decision::StepUp, WhatWasDone::to($item, $up));
        self::assertSame(Decision::StepBack, WhatWasDone::to($up, $item, [$item]));
        self::assertSame(Decision::Stop, WhatWasDone::to($item, null));
    }

    /** @param  array<string, mixed>  $with */
    private function item(array $with = []): Item
    {
        return DraftReader::read($with + self::EXHALE, '01JABCDEFGHJKMNPQRSTVWXYZ0')->item ?? throw new LogicException('cannot be prescribed');
    }
}
