<?php

declare(strict_types=1);

/**
 * The versions of all PHP packages, also of those that others need: one a line, "name version". There is no lock file.
 *   php versions.php FOLDER          prints what is installed in a folder
 *   php versions.php FOLDER --with   prints what its composer.versions asks for, as arguments of composer
 */
$folder = $argv[1] ?? '.';
if (($argv[2] ?? '') === '--with') {
    foreach (is_file("$folder/composer.versions") ? file("$folder/composer.versions", FILE_IGNORE_NEW_LINES) ?: [] : [] as $line) {
        [$name, $version] = explode(' ', $line);
        echo "--with=$name:$version\n";
    }
    exit(0);
}
$installed = json_decode((string) file_get_contents("$folder/vendor/composer/installed.json"), true);
foreach ($installed['packages'] as $package) {
    echo "{$package['name']} {$package['version']}\n";
}
