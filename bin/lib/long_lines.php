<?php

declare(strict_types=1);

// Names every line of code that is too long to be read beside another, and ends with 1 where there is one.
const LONGEST = ['php' => 140, 'ts' => 120, 'svelte' => 120];
const FOLDERS = ['app', 'bin', 'bootstrap/app.php', 'config', 'core/src', 'database', 'resources/js', 'routes'];

chdir(__DIR__.'/../..');
$tooLong = 0;
foreach (FOLDERS as $folder) {
    $files = is_file($folder)
        ? [new SplFileInfo($folder)]
        : new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS));
    foreach ($files as $file) {
        $longest = LONGEST[$file->getExtension()] ?? PHP_INT_MAX;
        foreach (file($file->getPathname(), FILE_IGNORE_NEW_LINES) ?: [] as $at => $line) {
            if (mb_strlen($line) > $longest) {
                $tooLong++;
                printf("%s:%d has %d characters; at most %d.\n", $file->getPathname(), $at + 1, mb_strlen($line), $longest);
            }
        }
    }
}
exit($tooLong === 0 ? 0 : 1);
