<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use Illuminate\Contracts\Translation\Loader;

/** A made-up language: every English text in brackets. */
final class Bracketed implements Loader
{
    public const LOCALE = 'qq';

    public function __construct(private readonly Loader $real)
    {
    }

    public function load($locale, $group, $namespace = null): array
    {
        return $locale === self::LOCALE ? self::bracket($this->real->load('en', $group, $namespace)) : $this->real->load($locale, $group, $namespace);
    }

    public function addNamespace($namespace, $hint): void
    {
        $this->real->addNamespace($namespace, $hint);
    }

    public function addJsonPath($path): void
    {
        $this->real->addJsonPath($path);
    }

    public function namespaces(): array
    {
        return $this->real->namespaces();
    }

    /**
     * @param  array<array-key, mixed>  $texts
     * @return array<array-key, mixed>
     */
    private static function bracket(array $texts): array
    {
        return array_map(fn (mixed $text) => is_array($text) ? self::bracket($text) : '⟦'.$text.'⟧', $texts);
    }
}
