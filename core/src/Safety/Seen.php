<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

/** That a prescription has the feature which a rule looks for. */
final readonly class Seen
{
    /**
     * @param  string  $text  the feature with its number, as a sentence begins
     * @param  array<string, float>  $numbers  behind it, greater is worse
     * @param  Level|null  $level  where the feature alone decides it
     * @param  string|null  $field  that causes it, where it is another than the rule's
     * @param  string  $also  a sentence to add
     */
    public function __construct(
        public string $text,
        public array $numbers = [],
        public ?Level $level = null,
        public ?string $field = null,
        public string $also = '',
    ) {
    }
}
