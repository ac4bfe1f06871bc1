<?php

declare(strict_types=1);

// Times what is made of a whole record: a letter, the file, and reading it in. Nothing of it stays.

use App\Actions\Letters\WriteLetter;
use App\Letters\LetterFactsOf;
use App\Letters\LetterPaper;
use App\Models\Patient;
use App\Records\RecordIn;
use App\Records\RecordZip;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use IvoryPace\Letter\LetterKind;

require __DIR__.'/../../vendor/autoload.php';
(require __DIR__.'/../../bootstrap/app.php')->make(Kernel::class)->bootstrap();

$patient = Patient::query()->withCount('practices')->with('clinic', 'practitioner')->orderByDesc('practices_count')->firstOrFail();
$median = function (callable $do): float {
    $times = [];
    for ($run = 0; $run < 5; $run++) {
        $begun = hrtime(true);
        $do();
        $times[] = (hrtime(true) - $begun) / 1e9;
    }
    sort($times);

    return $times[2];
};
$say = fn (string $what, float $seconds, string $budget) => printf("  %-52s %6.2f s   budget %s\n", $what, $seconds, $budget);

printf("\nFiles of a record with %d practices, median of 5\n", (int) $patient->getAttribute('practices_count'));
$now = CarbonImmutable::now();
$say('letter: filled, and set on paper with the Course', $median(function () use ($patient, $now): void {
    $fresh = Patient::query()->with('clinic', 'practitioner')->findOrFail($patient->id);
    (new LetterPaper(
        LetterFactsOf::patient($fresh, $now), LetterKind::Progress, 'Dr Fenn', WriteLetter::filled($fresh, LetterKind::Progress), true,
        $fresh->practitioner, $now,
    ))->pdf();
}), '1 s');
$bytes = '';
$say('record.zip out', $median(function () use ($patient, &$bytes): void {
    $bytes = RecordZip::of($patient);
}), '3 s');
$path = (string) tempnam(sys_get_temp_dir(), 'record');
file_put_contents($path, $bytes);
$say('record.zip in', $median(function () use ($path, $patient): void {
    DB::beginTransaction();
    ['document' => $document, 'papers' => $papers] = RecordZip::read($path);
    RecordIn::read($document, $papers, $patient->practitioner);
    DB::rollBack();
}), 'none');
unlink($path);
printf("  %-52s %6.0f KB\n", 'record.zip', strlen($bytes) / 1024);
