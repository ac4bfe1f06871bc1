<?php

declare(strict_types=1);

// What differs from Laravel's own settings.
return [
    'name' => env('APP_NAME', 'Ivory Pace'),

    // Where the built front ends are, below public/.
    'build_directory' => env('BUILD_DIRECTORY', 'build'),

    // Of hashes that must stay the same when the key that encrypts is replaced: words of notes, whose the things on a phone are,
    // addresses that end messages. The first key of the application, until another is set.
    'mark_key' => env('APP_MARK_KEY') ?? env('APP_KEY'),

    // Marks of records that were erased: outside of what an archive holds.
    'erased_list' => env('ERASED_LIST') ?? storage_path('erased.list'),
];
