<?php

declare(strict_types=1);

namespace App\Signals;

use App\Models\Recording;
use App\Models\RecordingPart;
use IvoryPace\InvalidValue;
use IvoryPace\Signal\Reading\OnFile;
use IvoryPace\Signal\Reading\PlayedBreath;

/** A recording's samples as a file that other programs read. */
final class TraceFile
{
    /** @throws InvalidValue when none are there */
    public static function edf(Recording $recording): string
    {
        $file = $recording->samples()->where('sender', 0)->where('number', RecordingPart::WHOLE_FILE)->first();

        return $file !== null && $recording->source === 'file' ? (string) gzinflate((string) base64_decode($file->samples, true))
            : OnFile::edf(
                SamplesOf::recording($recording), PlayedBreath::list($recording->played ?? []),
                $recording->started_at->setTimezone($recording->patient->clinic->time_zone),
            );
    }

    /** @throws InvalidValue when none are there */
    public static function csv(Recording $recording): string
    {
        return OnFile::csv(SamplesOf::recording($recording));
    }
}
