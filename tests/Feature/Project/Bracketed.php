<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use Illuminate\Contracts\Translation\Loader;

/** A made-up language: every English text in brackets. */
final class Bracketed implements Loader
{
    public const LOCALE = 'qq';

    /** The same in brackets, with days and months that the calendar knows. */
    public const WITH_DATES = 'de';

    public function __construct(private readonly Loader $real)
    {
    }

    public function load($locale, $group, $namespace = null): array
    {
        return in_array($locale, [self::LOCALE, self::WITH_DATES], true)
            ? self::bracket($this->real->load('en', $group, $namespace))
            : $this->real->load($locale, $group, $namespace);
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
        return array_map(fn (mixed $text) => is_array($text) ? self::bracket($text) : self::inBrackets((string) $text), $texts);
    }

    /** Each form of a text that goes by a number on its own. */
    private static function inBrackets(string $text): string
    {
        $forms = preg_match('/^(\{\d+\}|\[\d+,(\d+|\*)\])/', $text) === 1 ? explode('|', $text) : [$text];

        return implode('|', array_map(
            fn (string $form) => (string) preg_replace('/^((?:\{\d+\}|\[\d+,(?:\d+|\*)\])\s*)?(.*)$/s', '$1⟦$2⟧', $form), $forms,
        ));
    }
}
