<?php

declare(strict_types=1);

namespace App\Signals;

use App\Models\Consent;
use App\Models\Patient;

/** Whether a patient agrees that the samples of a recording stay for a while: a line of its own, and its last word counts. */
final class TracesAgreed
{
    /** A changed text gets a new version. */
    public const VERSION = '2026-12';

    public const ABOUT = 'traces';

    /** Null while nobody has said anything. */
    public static function by(Patient $patient): ?bool
    {
        $last = Consent::query()->where('patient_id', $patient->id)->where('about', self::ABOUT)->latest('given_at')->latest('id')->first();

        return $last === null ? null : $last->kind === 'accepted' && $last->version === self::VERSION;
    }

    public static function text(Patient $patient): string
    {
        return (string) __('felt.traces.text', ['clinic' => $patient->clinic->name]);
    }

    public static function hash(Patient $patient): string
    {
        return hash('sha256', self::text($patient));
    }
}
