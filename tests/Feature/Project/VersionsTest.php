<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** There is no lock file; what is installed is what the list of versions says, also of packages that others need. */
final class VersionsTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function folders(): iterable
    {
        yield 'the application' => ['.'];
        yield 'the core' => ['core'];
    }

    #[DataProvider('folders')]
    public function test_what_is_installed_is_what_is_written_down(string $folder): void
    {
        $path = base_path($folder);
        $installed = json_decode((string) file_get_contents("$path/vendor/composer/installed.json"), true);
        $lines = array_map(fn (array $package) => "{$package['name']} {$package['version']}", $installed['packages']);

        self::assertSame(
            (array) file("$path/composer.versions", FILE_IGNORE_NEW_LINES), $lines,
            "When a package is meant to change: php bin/lib/versions.php $folder > $folder/composer.versions",
        );
    }
}
