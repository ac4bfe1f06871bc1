<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

/** What kinds of values were seen in a place, as a TypeScript type: objects by field, lists by what is in them. */
final class Shape
{
    /** A field with more different words than this is text. */
    private const MOST_WORDS = 24;

    private const LONGEST_TUPLE = 4;

    /** Fields whose keys are names of something, not fields. */
    private const MAPS = ['numbers', 'parameters'];

    /** @var array<string, true> */
    private array $plain = [];

    /** @var array<string, true> */
    private array $words = [];

    private bool $isText = false;

    private ?self $items = null;

    private bool $isList = false;

    /** @var array<int, true> how many there were in lists */
    private array $lengths = [];

    /** @var list<self> what stood in each place of a short list */
    private array $places = [];

    private bool $isNumber = false;

    /** @var array<int, true> signs: -1, 0 and 1 */
    private array $signs = [];

    /** @var array<string, self>|null */
    private ?array $fields = null;

    /** @var array<string, int> how often each field was there */
    private array $times = [];

    private int $objects = 0;

    public function __construct(private readonly bool $isNamedMap = false)
    {
    }

    public function see(mixed $value): void
    {
        match (true) {
            is_object($value) => $this->seeObject((array) $value),
            is_array($value) => $this->seeList($value),
            is_string($value) => $this->seeText($value),
            is_bool($value) => $this->plain[$value ? 'true' : 'false'] = true,
            is_null($value) => $this->plain['null'] = true,
            default => $this->seeNumber($value),
        };
    }

    public function type(int $depth = 0): string
    {
        $types = array_keys($this->plain);
        if (isset($this->plain['true'], $this->plain['false'])) {
            $types = [...array_diff($types, ['true', 'false']), 'boolean'];
        }
        if ($this->isNumber || isset($this->signs[1]) && ! isset($this->signs[-1])) {
            $types[] = 'number';
        } else {
            array_push($types, ...array_map(strval(...), array_keys($this->signs)));
        }
        if ($this->isText) {
            $types[] = 'string';
        }
        if (! $this->isText) {
            array_push($types, ...array_map(fn (string $word) => "'$word'", array_keys($this->words)));
        }
        if ($this->isList) {
            $types[] = $this->listed($depth);
        }
        if ($this->fields !== null) {
            $types[] = $this->object($depth);
        }
        sort($types);

        return $types === [] ? 'never' : implode(' | ', $types);
    }

    /** A list that always has as many as this is a tuple. */
    private function listed(int $depth): string
    {
        if ($this->items === null) {
            return '[]';
        }
        if (count($this->lengths) === 1 && $this->places !== []) {
            return '['.implode(', ', array_map(fn (self $place) => $place->type($depth), $this->places)).']';
        }

        return self::grouped($this->items->type($depth)).'[]';
    }

    private static function grouped(string $type): string
    {
        return str_contains($type, ' | ') || str_contains($type, "\n") && ! str_starts_with($type, '{') ? "($type)" : $type;
    }

    private function object(int $depth): string
    {
        assert($this->fields !== null);
        $indent = str_repeat('    ', $depth + 1);
        if ($this->isMap()) {
            $all = new self;
            foreach ($this->fields as $each) {
                $all->add($each);
            }

            return 'Record<string, '.$all->type($depth).'>';
        }
        ksort($this->fields);
        $lines = [];
        foreach ($this->fields as $name => $field) {
            $lines[] = "$indent$name".($this->times[$name] < $this->objects ? '?' : '').': '.$field->type($depth + 1).';';
        }

        return $lines === [] ? 'Record<string, never>' : "{\n".implode("\n", $lines)."\n".str_repeat('    ', $depth).'}';
    }

    /** Keys that are no names of fields are keys of a map. */
    private function isMap(): bool
    {
        return $this->isNamedMap || array_filter(array_keys($this->fields ?? []), fn (string $name) => preg_match('/^[a-z][a-z0-9_]*$/', $name) !== 1) !== [];
    }

    private function add(self $other): void
    {
        $this->plain += $other->plain;
        $this->words += $other->words;
        $this->isText = $this->isText || $other->isText || count($this->words) > self::MOST_WORDS;
        $this->isList = $this->isList || $other->isList;
        $this->isNumber = $this->isNumber || $other->isNumber;
        $this->signs += $other->signs;
        $this->lengths += $other->lengths;
        foreach ($other->places as $place => $each) {
            $this->places[$place] ??= new self;
            $this->places[$place]->add($each);
        }
        if ($other->items !== null) {
            $this->items ??= new self;
            $this->items->add($other->items);
        }
        $this->objects += $other->objects;
        foreach ($other->fields ?? [] as $name => $field) {
            $this->fields ??= [];
            $this->fields[$name] ??= new self;
            $this->fields[$name]->add($field);
            $this->times[$name] = ($this->times[$name] ?? 0) + $other->times[$name];
        }
        if ($other->fields === []) {
            $this->fields ??= [];
        }
    }

    private function seeNumber(int|float $value): void
    {
        if (in_array($value, [-1, 0, 1], true)) {
            $this->signs[$value] = true;
        } else {
            $this->isNumber = true;
        }
    }

    /** @param  array<array-key, mixed>  $value */
    private function seeObject(array $value): void
    {
        $this->objects++;
        $this->fields ??= [];
        foreach ($value as $name => $each) {
            $name = (string) $name;
            $this->fields[$name] ??= new self(in_array($name, self::MAPS, true));
            $this->fields[$name]->see($each);
            $this->times[$name] = ($this->times[$name] ?? 0) + 1;
        }
    }

    /** @param  array<array-key, mixed>  $value */
    private function seeList(array $value): void
    {
        $this->isList = true;
        $this->lengths[count($value)] = true;
        foreach (array_values($value) as $place => $each) {
            $this->items ??= new self;
            $this->items->see($each);
            if ($place < self::LONGEST_TUPLE && count($value) <= self::LONGEST_TUPLE) {
                $this->places[$place] ??= new self;
                $this->places[$place]->see($each);
            }
        }
    }

    private function seeText(string $value): void
    {
        if (preg_match('/^[a-z][a-z-]{0,30}$/', $value) !== 1) {
            $this->isText = true;
        }
        $this->words[$value] = true;
        if ($this->isText || count($this->words) > self::MOST_WORDS) {
            $this->isText = true;
            $this->words = [];
        }
    }
}
