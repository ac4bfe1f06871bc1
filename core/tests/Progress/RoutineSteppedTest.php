<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Progress;

use IvoryPace\Exercise\Ladder\Reach;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\PrescriptionFields;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\SelfCheck;
use IvoryPace\Progress\Proposal\Decision;
use IvoryPace\Progress\Proposal\RoutineStepped;
use IvoryPace\Progress\Proposal\StepTaken;
use IvoryPace\Progress\Proposal\WhatWasDone;
use IvoryPace\Safety\PatientFacts;
use LogicException;
use PHPUnit\Framework\TestCase;

/** Routines go up and down one exercise at a time. */
final class RoutineSteppedTest extends TestCase
{
    public function test_one_exercise_grows_on_its_own_ladder_and_everything_else_stays(): void
    {
        $item = $this->routine();
        $up = StepTaken::up($item);
        self::assertNotNull($up);
        self::assertCount(1, $this->changed($item, $up));
        self::assertSame($item->lineage, $up->lineage);
        self::assertEquals([$item->plan, $item->why, $item->short, $item->checks], [$up->plan, $up->why, $up->short, $up->checks]);
        self::assertEquals(RoutineStepped::up($item, new Reach)?->rung->prescription, $up->exercises()[$this->changed($item, $up)[0]]);
        self::assertSame(Decision::StepUp, WhatWasDone::to($item, $up));
    }

    /** As often as there is something to grow: no step is left behind, none moves elsewhere, and it comes to an end. */
    public function test_it_grows_evenly_up_to_the_end_of_all_ladders(): void
    {
        $item = $this->routine();
        $grew = [];
        for ($n = 0; $n < 200 && ($next = StepTaken::up($item)) !== null; $n++) {
            $grew[] = $this->changed($item, $next)[0];
            foreach ($next->exercises() as $index => $prescription) {
                self::assertSame($item->exercises()[$index]->position, $prescription->position);
            }
            $item = $next;
        }
        self::assertNotSame([], $grew);
        self::assertLessThan(200, $n);
        self::assertSame([1, 2], array_values(array_unique(array_map(fn (int $index) => $index, $this->sorted($grew)))), 'both counted breaths, not the rolls');
        self::assertNull(StepTaken::nextRung($item, new Reach));
    }

    public function test_what_has_a_hold_eases_first_and_a_step_back_is_known_as_one(): void
    {
        $item = $this->routine();
        $back = StepTaken::back($item, [], new PatientFacts);
        self::assertNotNull($back);
        self::assertSame([2], $this->changed($item, $back), 'the square breath, not the longer exhale before it');
        self::assertSame(Decision::StepBack, WhatWasDone::to($item, $back));
    }

    public function test_what_is_asked_afterwards_stays_when_a_single_exercise_is_stepped(): void
    {
        $item = DraftReader::read([
            'technique' => 'extended-exhale', 'position' => 'seated', 'hands' => 'chest-and-belly', 'checks' => ['first-hand', 'shoulders'],
        ], 'x')->item;
        self::assertNotNull($item);
        self::assertSame([SelfCheck::FirstHand, SelfCheck::Shoulders], StepTaken::up($item)?->checks);
        self::assertNotSame([], StepTaken::back($item, [])->checks ?? []);
    }

    private function routine(): Item
    {
        return DraftReader::read(['kind' => 'routine', 'routine_name' => 'Three', 'why' => 'for the stairs', 'checks' => ['shoulders'], 'times_a_day' => 1, 'steps' => [
            ['kind' => 'exercise', 'technique' => 'shoulder-rolls', 'minutes' => 1, 'position' => 'seated'],
            ['kind' => 'exercise', 'technique' => 'extended-exhale', 'ratio' => '3:0:4:1', 'breaths' => 6, 'position' => 'seated'],
            ['kind' => 'exercise', 'technique' => 'square', 'ratio' => '4:4:4:4', 'breaths' => 4, 'position' => 'seated'],
        ], 'short' => ['steps' => [1]]], 'lineage')->item ?? throw new LogicException;
    }

    /** @return list<int> places of the exercises that differ */
    private function changed(Item $one, Item $other): array
    {
        $fields = fn (Item $item): array => array_map(fn (Prescription $each) => PrescriptionFields::write($each), $item->exercises());

        return array_keys(array_filter($fields($other), fn (array $each, int $index) => $each != $fields($one)[$index], ARRAY_FILTER_USE_BOTH));
    }

    /**
     * @param  list<int>  $numbers
     * @return list<int>
     */
    private function sorted(array $numbers): array
    {
        sort($numbers);

        return $numbers;
    }
}
