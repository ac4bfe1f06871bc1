<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Told;

use JsonSerializable;

/**
 * One sentence for the patient: a translation key with values. A value is a number that is rounded as it is read, the
 * prescriber's own words, another key, as ['key' => …], or several of which one may be, as ['any' => […]]. With a count,
 * the text has forms for one and for more.
 */
final readonly class Sentence implements JsonSerializable
{
    /** In place of a key: the prescriber's own words stand in the value "text". */
    public const OWN_WORDS = 'told.own-words';

    /** @param  array<string, int|string|array{key: string}|array{any: list<string>}>  $values  by name; "count" chooses the form */
    public function __construct(public Part $part, public string $key, public array $values = [])
    {
    }

    public static function own(Part $part, string $text): self
    {
        return new self($part, self::OWN_WORDS, ['text' => $text]);
    }

    /** @return array{part: string, key: string, values?: array<string, int|string|array{key: string}|array{any: list<string>}>} */
    public function jsonSerialize(): array
    {
        return ['part' => $this->part->value, 'key' => $this->key, ...($this->values === [] ? [] : ['values' => $this->values])];
    }
}
