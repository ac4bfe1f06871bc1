<?php

declare(strict_types=1);

namespace IvoryPace\Tests;

use PHPUnit\Framework\TestCase;

/** What the README shows is what the core does. */
final class ReadmeTest extends TestCase
{
    public function test_every_example_prints_what_stands_under_it(): void
    {
        $text = (string) file_get_contents(__DIR__.'/../README.md');
        preg_match_all('/```php\n(.*?)```\n+```text\n(.*?)```/s', $text, $examples, PREG_SET_ORDER);
        self::assertCount(3, $examples);
        self::assertSame(3, substr_count($text, '```php'));
        foreach ($examples as [, $code, $printed]) {
            ob_start();
            eval($code);
            self::assertSame($printed, (string) ob_get_clean());
        }
    }
}
