<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Programme;

use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\Lineages;
use LogicException;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class LineagesTest extends TestCase
{
    public function test_an_exercise_keeps_its_line_and_what_has_become_another_begins_one(): void
    {
        $inForce = ['a' => self::item('square'), 'b' => self::item('noticing'), 'c' => self::item('square')];

        self::assertSame(['a', 'c', 'new-1', 'b'], self::lines([
            ['technique' => 'square', 'breaths' => 6], ['technique' => 'square'], ['technique' => 'square'], ['technique' => 'noticing'],
        ], $inForce), 'each line goes on once, in its order');
        self::assertSame(['c', 'a'], self::lines([['id' => 'c', 'technique' => 'square'], ['technique' => 'square']], $inForce));
        self::assertSame(['new-1', 'b'], self::lines([['id' => 'b', 'technique' => 'square'], ['technique' => 'noticing']], $inForce));
        self::assertSame(['new-1', 'new-2'], self::lines([['id' => 'gone', 'technique' => 'square'], ['id' => 7, 'technique' => 'square']], $inForce));
        self::assertSame([], Lineages::kept([], $inForce, fn () => 'new'));
    }

    public function test_a_breath_of_ones_own_goes_by_its_name(): void
    {
        $own = ['technique' => 'own', 'own_name' => 'Cornet breath', 'ratio' => '4:6'];
        $inForce = ['o' => DraftReader::read($own, 'o')->item ?? throw new LogicException];

        self::assertSame(['o'], self::lines([$own], $inForce));
        self::assertSame(['new-1'], self::lines([['own_name' => 'Tuba breath'] + $own], $inForce));
    }

    public function test_at_random_no_line_goes_on_twice_and_none_is_lost_while_its_exercise_is_there(): void
    {
        $random = new Randomizer(new Mt19937(20261128));
        $techniques = ['square', 'noticing', 'even', 'extended-exhale'];
        for ($run = 0; $run < 300; $run++) {
            $pick = fn (): string => $techniques[$random->getInt(0, 3)];
            $inForce = [];
            for ($n = $random->getInt(0, 5); $n > 0; $n--) {
                $inForce["l$n"] = self::item($pick());
            }
            $ordered = [];
            for ($n = $random->getInt(0, 6); $n > 0; $n--) {
                $ordered[] = ['technique' => $pick()] + ($random->getInt(0, 3) === 0 && $inForce !== [] ? ['id' => $random->pickArrayKeys($inForce, 1)[0]] : []);
            }
            $kept = Lineages::kept($ordered, $inForce, fn () => 'new-'.$random->getInt(1, PHP_INT_MAX));
            $lines = array_column($kept, 'id');
            self::assertSame(count($lines), count(array_unique($lines)));
            self::assertSame(array_column($ordered, 'technique'), array_column($kept, 'technique'));
            foreach ($kept as $item) {
                if (isset($inForce[$item['id']])) {
                    self::assertSame($inForce[$item['id']]->prescription->technique->key, $item['technique']);
                }
            }
            foreach ($techniques as $technique) {
                $unnamed = count(array_filter($ordered, fn (array $each) => ! isset($each['id']) && $each['technique'] === $technique));
                $there = count(array_filter($inForce, fn (Item $item) => $item->prescription->technique->key === $technique));
                $goesOn = count(array_filter($kept, fn (array $each) => isset($inForce[$each['id']]) && $each['technique'] === $technique));
                self::assertGreaterThanOrEqual(min($unnamed, $there), $goesOn);
            }
        }
    }

    private static function item(string $technique): Item
    {
        return DraftReader::read(['technique' => $technique], 'x')->item ?? throw new LogicException;
    }

    /**
     * @param  list<array<string, mixed>>  $ordered
     * @param  array<string, Item>  $inForce
     * @return list<mixed>
     */
    private static function lines(array $ordered, array $inForce): array
    {
        $made = 0;

        return array_column(Lineages::kept($ordered, $inForce, function () use (&$made) {
            return 'new-'.++$made;
        }), 'id');
    }
}
