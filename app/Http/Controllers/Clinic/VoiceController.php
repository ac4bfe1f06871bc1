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
        // Of lines that are said alike one stands for all: the one that is recorded, or the first.
        $shown = [];
        foreach (VoiceScript::alike() as $group) {
            $recorded = array_values(array_filter($group, $clips->has(...)));
            $shown += array_fill_keys($group, $recorded[0] ?? $group[0]);
        }
        $running = array_map(
            fn (array $lines) => array_values(array_unique(array_map(fn (string $line) => $shown[$line], $lines))),
            VoiceScript::running($practitioner),
        );
        $used = array_count_values(array_merge([], ...$running));

        return Inertia::render('Voice', [
            'lines' => array_map(fn (string $line) => [
                'line' => $line,
                'text' => VoiceScript::text($line),
                'longest_s' => VoiceScript::lines()[$line],
                'used' => $used[$line] ?? 0,
                'kept' => ($clip = $clips->get($line)) === null
                    ? null
                    : ['ms' => $clip->ms, 'loudness' => $clip->loudness, 'hash' => $clip->hash],
            ], array_values(array_unique($shown))),
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
