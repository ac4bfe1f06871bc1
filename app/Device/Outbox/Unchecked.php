<?php

declare(strict_types=1);

namespace App\Device\Outbox;

use Carbon\CarbonImmutable;
use Throwable;

/** What a device has sent and nobody has checked: anything may stand in any field, and it is read as far as it can be. */
final readonly class Unchecked
{
    private const LONGEST = 60;

    /** @param  array<array-key, mixed>  $body */
    public function __construct(private array $body)
    {
    }

    /** @return string at most 60 characters; empty where there is no text */
    public function text(string $field): string
    {
        $value = $this->body[$field] ?? null;

        return is_scalar($value) ? mb_substr((string) $value, 0, self::LONGEST) : '';
    }

    /** A day as the practitioner reads it: "4 Nov 2026". */
    public function day(string $field): string
    {
        try {
            return $this->text($field) === '' ? 'an unknown day' : CarbonImmutable::parse($this->text($field))->format('j M Y');
        } catch (Throwable) {
            return 'an unknown day';
        }
    }

    public function isFalse(string $field): bool
    {
        return ($this->body[$field] ?? true) === false;
    }

    /** @return array<array-key, mixed> empty where there is no list */
    public function list(string $field): array
    {
        $value = $this->body[$field] ?? null;

        return is_array($value) ? $value : [];
    }
}
