<?php

declare(strict_types=1);

namespace App\Device;

use RuntimeException;

/**
 * The patient's service worker, with the list of the files that it keeps.
 *
 * @phpstan-type Built array{file: string, imports?: list<string>, dynamicImports?: list<string>, css?: list<string>, assets?: list<string>}
 */
final class PatientWorker
{
    private const ENTRY = 'resources/js/patient.ts';

    private const WORKER = 'resources/js/worker.ts';

    /** Other alphabets are fetched when they are needed. */
    private const FONTS = '~-latin-wght-[^/]*\.woff2$~';

    public static function script(): string
    {
        $directory = config()->string('app.build_directory');
        $manifest = self::manifest(public_path("$directory/manifest.json"));
        $code = file_get_contents(public_path("$directory/{$manifest[self::WORKER]['file']}"));
        if ($code === false) {
            throw new RuntimeException('The worker has not been built.');
        }
        // The names of the files carry a hash of what is in them.
        $files = array_map(fn (string $file) => ['url' => "/$directory/$file", 'revision' => null], self::files($manifest));

        return 'self.ivoryPaceFiles = '.json_encode($files, JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR).";\n".$code;
    }

    /** @return array<string, Built> */
    private static function manifest(string $path): array
    {
        $text = is_file($path) ? file_get_contents($path) : false;
        if ($text === false) {
            throw new RuntimeException("There is no $path: the front ends have not been built.");
        }

        /** @var array<string, Built> */
        return json_decode($text, true, flags: JSON_THROW_ON_ERROR);
    }

    /**
     * @param  array<string, Built>  $manifest
     * @return list<string> script, style and fonts of the patient's pages, each once
     */
    private static function files(array $manifest): array
    {
        $files = [];
        $open = $seen = [self::ENTRY];
        while (($key = array_pop($open)) !== null) {
            $entry = $manifest[$key];
            $fonts = array_filter($entry['assets'] ?? [], fn (string $asset) => preg_match(self::FONTS, $asset) === 1);
            array_push($files, $entry['file'], ...($entry['css'] ?? []), ...array_values($fonts));
            // What is opened later has to be there without a network too; two may import each other.
            $next = [...($entry['imports'] ?? []), ...($entry['dynamicImports'] ?? [])];
            array_push($open, ...array_diff($next, $seen));
            array_push($seen, ...$next);
        }

        return array_values(array_unique($files));
    }
}
