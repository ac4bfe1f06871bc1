<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Progress\Proposal;

use IvoryPace\Exercise\Adjusting;
use IvoryPace\Exercise\PrescriptionFields;
use IvoryPace\Exercise\PrescriptionReader;
use IvoryPace\Exercise\School;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Progress\Proposal\StepTaken;
use LogicException;
use PHPUnit\Framework\TestCase;

final class StepTest extends TestCase
{
    private const EXHALE = ['technique' => 'extended-exhale', 'ratio' => '4:0:5:1', 'breaths' => 12, 'position' => 'standing', 'times_a_day' => 2, 'why' => 'For the stairs.'];

    public function test_up_takes_the_next_rung_and_leaves_times_reason_and_lineage(): void
    {
        $item = $this->item();
        $next = StepTaken::up($item);

        self::assertNotNull($next);
        self::assertSame($item->ladder()?->next()?->prescription->summary(), $next->prescription->summary());
        self::assertSame([$item->lineage, $item->why, $item->plan], [$next->lineage, $next->why, $next->plan]);
    }

    public function test_an_edited_ladder_keeps_what_is_left_of_it_and_ends(): void
    {
        $item = $this->item(['ladder' => [['set' => ['breaths' => 14], 'days' => 3], ['set' => ['breaths' => 16], 'days' => 10]]]);
        $next = StepTaken::up($item);
        self::assertSame([14, 16, 10], [$next?->prescription->breaths, $next?->ladder()?->next()?->prescription->breaths, $next?->ladder()?->next()?->days]);
        $top = StepTaken::up($next ?? $item);
        self::assertSame(16, $top?->prescription->breaths);
        self::assertNull(StepTaken::up($top), 'an edited ladder has an end');
    }

    public function test_back_leads_to_the_form_from_which_the_ladder_came(): void
    {
        $first = $this->item();
        $second = StepTaken::up($first) ?? throw new LogicException('no rung');
        self::assertSame($first->summary(), StepTaken::back($second, [$first])?->summary());

        // After a step back the harder form is the latest one, and not below.
        self::assertNotSame($second->summary(), StepTaken::back($first, [$second])?->summary());
        self::assertSame($first->summary(), StepTaken::back($second, [$this->item(['ratio' => '3:0:3:1', 'position' => 'supine']), $first])?->summary(), 'what does not lead here is passed over');
    }

    public function test_where_no_rung_leads_here_the_school_says_what_is_easier(): void
    {
        $item = $this->item();
        foreach (School::cases() as $school) {
            $mine = $this->item(['school' => $school->value]);
            $back = StepTaken::back($mine, []);
            self::assertNotNull($back, $school->value);
            self::assertSame([$item->lineage, $item->why], [$back->lineage, $back->why]);
            self::assertEquals(PrescriptionReader::changed($mine->prescription, Adjusting::tooHard($mine->prescription, $school)[0]->set), $back->prescription);
            self::assertNotSame(PrescriptionFields::write($mine->prescription), PrescriptionFields::write($back->prescription), $school->value);
        }
    }

    /** @param  array<string, mixed>  $with */
    private function item(array $with = []): Item
    {
        return DraftReader::read($with + self::EXHALE, '01JABCDEFGHJKMNPQRSTVWXYZ0')->item ?? throw new LogicException('cannot be prescribed');
    }
}
