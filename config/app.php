<?php

declare(strict_types=1);

// What differs from Laravel's own settings.
return [
    'name' => env('APP_NAME', 'Ivory Pace'),

    // Where the built front ends are, below public/.
    'build_directory' => env('BUILD_DIRECTORY', 'build'),

    // Marks of records that were erased: outside of what an archive holds.
    'erased_list' => env('ERASED_LIST') ?? storage_path('erased.list'),
];
