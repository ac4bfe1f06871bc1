<?php

declare(strict_types=1);

namespace App\Actions\Recording;

use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\Recording;
use App\Models\RecordingKind;
use App\Models\RecordingPart;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use IvoryPace\InvalidValue;
use IvoryPace\Signal\Edf\EdfReader;
use IvoryPace\Signal\Reading\OnFile;
use IvoryPace\Signal\TraceCsv;

/** Reads a recording from a file, EDF, EDF+ or a table, into a patient's record: whole, or not at all with the exact reason. */
final class ReadTraceFile
{
    /** Samples in one part. */
    private const TOGETHER = 1000;

    private const MOST_NAME = 80;

    public function __construct(private readonly ReadRecording $read)
    {
    }

    /** @throws ValidationException with what is wrong with the file */
    public function __invoke(Patient $patient, Practitioner $by, string $name, string $bytes, CarbonImmutable $now): Recording
    {
        try {
            [$values, $played] = self::isTable($name, $bytes) ? [self::table($bytes), []] : OnFile::read(EdfReader::read($bytes));
            $seconds = array_values(OnFile::traces($values))[0]->seconds();
        } catch (InvalidValue $problem) {
            throw ValidationException::withMessages(['file' => $problem->getMessage()]);
        }

        return DB::transaction(function () use ($patient, $by, $name, $bytes, $values, $played, $seconds, $now) {
            Patient::query()->whereKey($patient->id)->lockForUpdate()->value('id');
            if (Recording::areEnough($patient->id, $now)) {
                throw ValidationException::withMessages(['file' => (string) __('felt.traces.too-many')]);
            }
            $recording = Recording::query()->create([
                'patient_id' => $patient->id, 'uuid' => (string) Str::uuid(), 'practitioner_id' => $by->id, 'kind' => RecordingKind::File,
                'source' => 'file', 'about' => mb_substr(trim($name), 0, self::MOST_NAME), 'started_at' => $now,
                'ended_at' => $now->addMilliseconds((int) (1000 * $seconds)),
                'played' => $played === [] ? null : $played, 'created_at' => $now,
            ]);
            self::keep($recording, self::isTable($name, $bytes) ? null : $bytes, $values, $now);

            return ($this->read)($recording, $now);
        });
    }

    private static function isTable(string $name, string $bytes): bool
    {
        $ends = fn (string $with) => str_ends_with(mb_strtolower($name), $with);

        return $ends('.csv') || (! $ends('.edf') && ! str_starts_with($bytes, '0 '));
    }

    /**
     * @return array<string, list<array{float, float}>>
     *
     * @throws InvalidValue
     */
    private static function table(string $bytes): array
    {
        $read = TraceCsv::read($bytes);

        return array_map(fn (string $label) => $read[$label], OnFile::named(array_map(strval(...), array_keys($read))));
    }

    /**
     * The file itself stays as long as its samples, so that it goes out again as it came in.
     *
     * @param  array<string, list<array{float, float}>>  $values
     */
    private static function keep(Recording $recording, ?string $file, array $values, CarbonImmutable $now): void
    {
        $part = fn (int $number, int $lines, string $samples) => RecordingPart::query()->create([
            'recording_id' => $recording->id, 'number' => $number, 'lines' => $lines, 'samples' => $samples, 'received_at' => $now,
        ]);
        if ($file !== null) {
            $part(RecordingPart::WHOLE_FILE, 1, base64_encode((string) gzdeflate($file)));
        }
        $number = 0;
        foreach ($values as $channel => $samples) {
            foreach (array_chunk($samples, self::TOGETHER) as $some) {
                $part(++$number, count($some), RecordingPart::pack([$channel => $some]));
            }
        }
    }
}
