<?php

declare(strict_types=1);

namespace App\Fhir;

use InvalidArgumentException;

/**
 * Resources as they are gathered. Each is named by an address that is made of the record's id, its kind and the row that it
 * is of (RFC 4122, version 5): two bundles never share one, and the same record makes the same again.
 */
final class Bundle
{
    /** Of this program's bundles; made once at random. */
    private const SPACE = '6f6d1c5e-5d0b-4c1a-9b57-3f0e4b8b1c77';

    /** @var array<string, array<string, mixed>> by address */
    private array $resources = [];

    /** @var array<string, array<array-key, int>> number by row, by kind: a database's own numbers mean nothing elsewhere */
    private array $numbers = [];

    public function __construct(private readonly string $record)
    {
    }

    /** @return array{reference: string, type: string} to a resource that is in the bundle, or will be */
    public function to(string $kind, int|string $row): array
    {
        return ['reference' => $this->url($kind, $row), 'type' => $kind];
    }

    public function url(string $kind, int|string $row): string
    {
        return 'urn:uuid:'.$this->id($kind, $row);
    }

    /** @param  array<string, mixed>  $resource */
    public function add(string $kind, int|string $row, array $resource): void
    {
        $id = $this->id($kind, $row);
        if (isset($this->resources[$id])) {
            throw new InvalidArgumentException("$kind of $row is in the bundle already.");
        }
        $this->resources[$id] = ['resourceType' => $kind, 'id' => $id, ...Said::filled($resource)];
    }

    public function has(string $kind, int|string $row): bool
    {
        return isset($this->numbers[$kind][$row]);
    }

    /** @return list<array-key> those of a kind that are there or were referred to, in the order in which they came */
    public function rows(string $kind): array
    {
        return array_keys($this->numbers[$kind] ?? []);
    }

    /** @return array{resourceType: string, type: string, entry: list<array{fullUrl: string, resource: array<string, mixed>}>} */
    public function written(): array
    {
        return ['resourceType' => 'Bundle', 'type' => 'collection', 'entry' => array_map(
            fn (string $id, array $resource) => ['fullUrl' => "urn:uuid:$id", 'resource' => $resource],
            array_keys($this->resources), array_values($this->resources),
        )];
    }

    private function id(string $kind, int|string $row): string
    {
        $number = $this->numbers[$kind][$row] ??= count($this->numbers[$kind] ?? []) + 1;
        $hash = sha1(hex2bin(str_replace('-', '', self::SPACE))."{$this->record}/$kind/$number");

        return sprintf(
            '%s-%s-5%s-%x%s-%s', substr($hash, 0, 8), substr($hash, 8, 4), substr($hash, 13, 3), hexdec($hash[16]) & 3 | 8,
            substr($hash, 17, 3), substr($hash, 20, 12),
        );
    }
}
