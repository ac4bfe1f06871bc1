<?php

declare(strict_types=1);

// Has our EDF+ files read by others: a whole one by MNE, value by value, and one with a gap by BioSig.
require __DIR__.'/../../core/vendor/autoload.php';

use IvoryPace\Signal\Edf\EdfNote;
use IvoryPace\Signal\Edf\EdfWriter;
use IvoryPace\Signal\Edf\Recorded;
use IvoryPace\Signal\MadeUp\MadeUpBreathing;
use IvoryPace\Signal\Steps\Resampling;

function must(bool $is, string $what): void
{
    $is || exit("Other programs do not read it: $what\n");
}

$made = new MadeUpBreathing([2.0, 0.0, 3.0, 0.0], 30, seed: 4, noiseDb: 20);
$path = (string) tempnam(sys_get_temp_dir(), 'edf');
rename($path, $path = "$path.edf");
foreach ([[], [62.0, 75.5]] as $gap) {
    $there = fn (array $samples) => array_values(array_filter(
        $samples, fn (array $sample) => $gap === [] || $sample[0] <= $gap[0] || $sample[0] >= $gap[1],
    ));
    $file = Recorded::file(
        ['belly' => [Resampling::even($there($made->belly())), 'au'], 'chest' => [Resampling::even($there($made->chest())), 'au']],
        [EdfNote::of(3.0, 'Breathe in', 2.0), EdfNote::of(4.2, 'Beat')], '02.12.26', '09.30.00', '02-DEC-2026',
    );
    file_put_contents($path, EdfWriter::bytes($file));
    if ($gap === []) {
        $reads = '/usr/bin/python3 '.escapeshellarg(__DIR__.'/edf-check.py').' '.escapeshellarg($path);
        $said = json_decode((string) shell_exec($reads), true);
        foreach ($file->channels as $channel) {
            $theirs = $said['channels'][$channel->label] ?? [];
            $apart = array_map(fn (float $one, float $other) => abs($one - $other), $channel->physical(), $theirs);
            must(count($theirs) === count($channel->values) && max($apart) < 1e-9, "the values of {$channel->label}");
        }
        $notes = array_map(fn (EdfNote $note) => [$note->start(), (float) $note->lasts, $note->texts[0]], $file->allNotes());
        must($said['rate'] == 25 && $said['notes'] == $notes, 'its notes');
    } else {
        $said = json_decode((string) shell_exec('save2gdf -JSON '.escapeshellarg($path).' 2>/dev/null'), true);
        must(($said['NumberOfRecords'] ?? 0) === $file->records() && ($said['Samplingrate'] ?? 0) == 25, 'the file with a gap');
    }
}
unlink($path);
echo "Our EDF+ files were read by MNE, value by value and note by note, and by BioSig, with a gap.\n";
