<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

/** One patient-day: which of its practices are done. */
final readonly class Today
{
    /** @var list<TodaySlot> by opening time */
    public array $slots;

    public int $done;

    /**
     * @param  list<DueSlot>  $slots
     * @param  list<PracticeRecord>  $records  of the same day
     */
    public function __construct(array $slots, array $records)
    {
        $records = PracticeRecord::credited($records);
        usort($records, fn (PracticeRecord $a, PracticeRecord $b) => $a->startedAt <=> $b->startedAt);
        $filled = self::match($slots, $records);
        $this->slots = array_map(
            fn (int $index) => new TodaySlot($slots[$index], $filled[$index] ?? null),
            array_keys($slots),
        );
        $this->done = count($filled);
    }

    /**
     * Practices go to the anchor they were done for; the others fill what is left in order.
     *
     * @param  list<DueSlot>  $slots
     * @param  list<PracticeRecord>  $records
     * @return array<int, PracticeRecord>
     */
    private static function match(array $slots, array $records): array
    {
        $filled = [];
        $left = [];
        foreach ($records as $record) {
            $own = self::firstFree($slots, $filled, fn (DueSlot $slot) => $slot->lineage === $record->lineage
                && $slot->anchor === $record->anchor);
            if ($own === null) {
                $left[] = $record;
            } else {
                $filled[$own] = $record;
            }
        }
        foreach ($left as $record) {
            $index = self::firstFree($slots, $filled, fn (DueSlot $slot) => $slot->lineage === $record->lineage);
            if ($index !== null) {
                $filled[$index] = $record;
            }
        }

        return $filled;
    }

    /**
     * @param  list<DueSlot>  $slots
     * @param  array<int, PracticeRecord>  $filled
     * @param  callable(DueSlot): bool  $fits
     */
    private static function firstFree(array $slots, array $filled, callable $fits): ?int
    {
        foreach ($slots as $index => $slot) {
            if (! isset($filled[$index]) && $fits($slot)) {
                return $index;
            }
        }

        return null;
    }
}
