<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use Closure;

/** A line of the tables that speaks of a prescription whoever the patient is. */
final readonly class AnyoneRule implements Rule
{
    /**
     * @param  string  $field  the draft field that causes it
     * @param  Closure(Look): (Seen|null)  $sees  with its level
     * @param  Closure(Look): list<\IvoryPace\Exercise\Change>  $offers
     */
    public function __construct(
        private string $id,
        private string $title,
        private string $field,
        private Closure $sees,
        private Closure $offers,
    ) {
    }

    public function id(): string
    {
        return $this->id;
    }

    public function check(Look $look): ?Finding
    {
        $seen = ($this->sees)($look);

        return $seen?->level === null ? null : new Finding(
            $this->id, $seen->level, $this->title, ucfirst($seen->text).'.'.$seen->also, $seen->field ?? $this->field,
            new Cause([], $seen->numbers),
        );
    }

    public function changes(Look $look, Finding $finding): array
    {
        return ($this->offers)($look);
    }

    /** Caution above one mark, a reason above another; null below both. */
    public static function above(float $value, float $caution, float $reason = INF): ?Level
    {
        return match (true) {
            $value > $reason + 1e-9 => Level::NeedsReason,
            $value > $caution + 1e-9 => Level::Caution,
            default => null,
        };
    }
}
