<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use Closure;
use IvoryPace\Health\Flag;

/** A line of the tables: a feature of a prescription, the flags with which it matters, and how gravely. */
final readonly class FlagRule implements Rule
{
    /**
     * @param  string  $field  the draft field that causes it
     * @param  array<string, list<Flag>>  $flags  by level
     * @param  Closure(Look): (Seen|null)  $sees
     * @param  Closure(Look): list<\IvoryPace\Exercise\Change>  $offers
     * @param  (Closure(Look, Flag): bool)|null  $isOnlyNoted  a downgrade: with this flag it is a plain note here
     */
    public function __construct(
        private string $id,
        private string $title,
        private string $field,
        private array $flags,
        private Closure $sees,
        private Closure $offers,
        private ?Closure $isOnlyNoted = null,
    ) {
    }

    public function id(): string
    {
        return $this->id;
    }

    public function check(Look $look): ?Finding
    {
        $with = [];
        foreach ($this->flags as $level => $flags) {
            foreach ($look->patient->which($flags) as $flag) {
                $with[] = [$flag, Level::from($level)];
            }
        }
        $seen = $with === [] ? null : ($this->sees)($look);
        if ($seen === null) {
            return null;
        }
        $level = Level::Note;
        foreach ($with as [$flag, $grave]) {
            $here = $this->isOnlyNoted !== null && ($this->isOnlyNoted)($look, $flag) ? Level::Note : $grave;
            $level = $here->rank() > $level->rank() ? $here : $level;
        }
        $flags = array_column($with, 0);

        return new Finding(
            $this->id, $level, $this->title, ucfirst($seen->text).', with '.Phrases::list($flags).'.'.$seen->also,
            $seen->field ?? $this->field, new Cause($flags, $seen->numbers),
        );
    }

    public function changes(Look $look, Finding $finding): array
    {
        return ($this->offers)($look);
    }
}
