<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

use IvoryPace\Exercise\School;

/** A programme as it is typed: its items in order, each as far as it can be read. */
final readonly class ProgrammeDraft
{
    public const MAX_ITEMS = 12;

    /**
     * @param  list<Draft>  $drafts  in order
     * @param  list<string>  $ids  of the drafts: lineages of those in force, any text for new ones
     * @param  string|null  $error  what is wrong with the list as a whole
     */
    private function __construct(public array $drafts, public array $ids, public School $school, public ?string $error)
    {
    }

    /**
     * @param  array<mixed>  $items  fields of each, with an "id"
     * @param  string|null  $school  over that of the items
     */
    public static function read(array $items, ?string $school = null): self
    {
        $chosen = School::tryFrom((string) $school);
        $drafts = [];
        $ids = [];
        foreach (array_slice(array_values($items), 0, self::MAX_ITEMS) as $index => $fields) {
            /** @var array<string, mixed> $fields */
            $fields = is_array($fields) ? $fields : [];
            $id = is_string($fields['id'] ?? null) && $fields['id'] !== '' && ! in_array($fields['id'], $ids, true)
                ? $fields['id']
                : 'new-'.$index;
            unset($fields['id']);
            $ids[] = $id;
            $drafts[] = DraftReader::read($chosen === null ? $fields : [...$fields, 'school' => $chosen->value], $id)->asWritten();
        }
        $error = match (true) {
            $items === [] => 'A programme needs at least one exercise.',
            count($items) > self::MAX_ITEMS => 'A programme of '.count($items).' exercises is longer than '.self::MAX_ITEMS.'.',
            default => null,
        };

        return new self($drafts, $ids, $chosen ?? $drafts[0]->item->school ?? School::GentleControl, $error);
    }

    /** @return list<Item> those that can be read */
    public function items(): array
    {
        return array_values(array_filter(array_map(fn (Draft $draft) => $draft->item, $this->drafts)));
    }

    public function isComplete(): bool
    {
        return $this->error === null
            && array_filter($this->drafts, fn (Draft $draft) => $draft->item === null || $draft->errors !== []) === [];
    }

    /** @return array<int, float> minutes of practice by ISO weekday, of all items that can be read */
    public function minutesByWeekday(): array
    {
        $minutes = array_fill(1, 7, 0.0);
        foreach ($this->items() as $item) {
            foreach ($item->minutesByWeekday() as $weekday => $more) {
                $minutes[$weekday] += $more;
            }
        }

        return $minutes;
    }
}
