<?php

declare(strict_types=1);

namespace App\Http\Controllers\Clinic;

use App\Actions\Clinic\RecordLine;
use App\Catalogue\VoiceScript;
use App\Models\Practitioner;
use App\Models\VoiceClip;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Inertia\Inertia;
use Inertia\Response as Page;

/** A practitioner's own voice: each line is recorded, heard and recorded anew by its owner only. */
final class VoiceController
{
    public function show(#[CurrentUser] Practitioner $practitioner): Page
    {
        $clips = VoiceClip::query()->where('practitioner_id', $practitioner->id)->limit(VoiceScript::MOST_CLIPS)
            ->get(['line', 'ms', 'loudness', 'hash'])->keyBy('line');
        $running = VoiceScript::running($practitioner);
        $used = array_count_values(array_merge([], ...$running));

        return Inertia::render('Voice', [
            'lines' => array_map(fn (string $line, float $longest) => [
                'line' => $line,
                'text' => str_starts_with($line, 'number.') ? substr($line, 7) : (string) __($line),
                'longest_s' => $longest,
                'used' => $used[$line] ?? 0,
                'kept' => ($clip = $clips->get($line)) === null
                    ? null
                    : ['ms' => $clip->ms, 'loudness' => $clip->loudness, 'hash' => $clip->hash],
            ], array_keys(VoiceScript::lines()), VoiceScript::lines()),
            'running' => $running,
        ]);
    }

    public function store(Request $request, #[CurrentUser] Practitioner $practitioner, string $line, RecordLine $record): JsonResponse
    {
        $clip = $record($practitioner, $line, $request->getContent());

        return response()->json(['ms' => $clip->ms, 'loudness' => $clip->loudness, 'hash' => $clip->hash], 201);
    }

    public function sound(#[CurrentUser] Practitioner $practitioner, string $line): Response
    {
        $clip = VoiceClip::query()->where('practitioner_id', $practitioner->id)->where('line', $line)->firstOrFail();

        return response($clip->sound(), 200, ['Content-Type' => 'audio/wav']);
    }

    public function destroy(#[CurrentUser] Practitioner $practitioner, string $line): JsonResponse
    {
        VoiceClip::query()->where('practitioner_id', $practitioner->id)->where('line', $line)->delete();

        return response()->json(['removed' => true]);
    }
}
