<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use IvoryPace\Exercise\Change;

/** What a safety rule says about a prescription for this patient. */
final readonly class Finding
{
    public const BASIS = 'Common practice.';

    /**
     * @param  string  $rule  id of the rule
     * @param  string  $message  for the practitioner, with the numbers behind it
     * @param  string  $field  the draft field that causes it
     * @param  Cause  $cause  the flags and numbers that made it
     * @param  list<Change>  $changes  each clears the finding, or says that it only eases it
     */
    public function __construct(
        public string $rule,
        public Level $level,
        public string $title,
        public string $message,
        public string $field,
        public Cause $cause = new Cause,
        public array $changes = [],
        public string $basis = self::BASIS,
    ) {
    }

    /** @param  list<Change>  $changes */
    public function offering(array $changes): self
    {
        return new self($this->rule, $this->level, $this->title, $this->message, $this->field, $this->cause, $changes, $this->basis);
    }

    /** True when this says more than the other did: a graver level, another flag, a worse number. */
    public function isWorseThan(?self $before): bool
    {
        return $before === null || $this->level->rank() > $before->level->rank() || ! $before->cause->covers($this->cause);
    }
}
