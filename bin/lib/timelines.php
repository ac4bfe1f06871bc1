<?php

declare(strict_types=1);

// Prints the timeline of every technique as JSON, as it is prescribed without further words.

use IvoryPace\Exercise\Catalogue;
use IvoryPace\Programme\DraftReader;

require __DIR__.'/../../core/vendor/autoload.php';

$timelines = [];
foreach (Catalogue::all() as $key => $technique) {
    $item = DraftReader::read(['technique' => $key], 'x')->item ?? throw new RuntimeException("$key cannot be prescribed");
    $timelines[$key] = $item->timeline();
}
// Ten minutes of one breath, for what is drawn.
$timelines['ten-minutes'] = DraftReader::read(
    ['technique' => 'extended-exhale', 'ratio' => '4:0:5:1', 'breaths' => 60], 'x',
)->item?->timeline();
echo json_encode($timelines, JSON_THROW_ON_ERROR);
