<?php

declare(strict_types=1);

namespace App\Actions\Clinic;

use App\Models\Practitioner;
use App\Models\VoiceClip;
use Illuminate\Validation\ValidationException;
use IvoryPace\Exercise\Told\Script;
use IvoryPace\InvalidValue;
use IvoryPace\Signal\VoiceClip as Clip;

/** Keeps a line in a practitioner's own voice, cut, levelled and no longer than fits; a new one takes the place of the old. */
final class RecordLine
{
    /** @throws ValidationException with what to do about it */
    public function __invoke(Practitioner $by, string $line, string $wav): VoiceClip
    {
        $longest = Script::lines()[$line] ?? throw ValidationException::withMessages(['line' => 'There is no such line to record.']);
        try {
            $clip = Clip::fromWav($wav, $longest);
        } catch (InvalidValue $problem) {
            throw ValidationException::withMessages(['wav' => $problem->getMessage()]);
        }
        $sound = $clip->toWav();

        return VoiceClip::query()->updateOrCreate(['practitioner_id' => $by->id, 'line' => $line], [
            'ms' => (int) round($clip->seconds() * 1000), 'loudness' => round($clip->loudness(), 1), 'hash' => hash('sha256', $sound),
            'wav' => base64_encode($sound), 'recorded_at' => now(),
        ]);
    }
}
