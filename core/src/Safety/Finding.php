<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use IvoryPace\Exercise\Change;

/** What a safety rule says about a prescription for this patient. */
final readonly class Finding
{
    /**
     * @param  string  $rule  id of the rule
     * @param  string  $message  for the practitioner, with the numbers behind it
     * @param  string  $field  the draft field that causes it
     * @param  list<Change>  $changes  each clears the finding
     */
    public function __construct(
        public string $rule,
        public Level $level,
        public string $title,
        public string $message,
        public string $field,
        public array $changes,
        public string $basis,
    ) {
    }

    /** @param  list<Change>  $changes */
    public function offering(array $changes): self
    {
        return new self($this->rule, $this->level, $this->title, $this->message, $this->field, $changes, $this->basis);
    }
}
