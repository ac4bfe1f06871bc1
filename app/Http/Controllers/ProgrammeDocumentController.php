<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Facts\AskedProgramme;
use App\Models\Patient;
use App\Models\ProgrammeItem;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use IvoryPace\Exchange\ProgrammeDocument;
use IvoryPace\Programme\Goal;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\ItemFields;

/** Programmes as files: written from a version, read onto the Bench. */
final class ProgrammeDocumentController
{
    public function show(Request $request, Patient $patient, int $number): Response
    {
        $version = AskedProgramme::of($request, $patient)?->versions()->with('items')->firstWhere('number', $number);
        abort_if($version === null, 404);
        $weeks = $version->ends_on === null ? 52 : (int) ceil(($version->in_force_from->diffInDays($version->ends_on) + 1) / 7);
        $document = new ProgrammeDocument(
            $version->school, max(1, min(52, $weeks)), $version->rated_symptom,
            $version->goal === null ? null : Goal::read($version->goal)[0],
            array_values($version->items->map(fn (ProgrammeItem $item) => $item->item())->all()),
        );

        return response($document->toJson(), 200, [
            'Content-Type' => 'application/json', 'Content-Disposition' => "attachment; filename=\"programme-version-$number.json\"",
        ]);
    }

    /** Reads a file for the Bench; nothing is stored. */
    public function read(Request $request, Patient $patient): JsonResponse
    {
        $text = $request->input('text');
        [$document, $errors] = ProgrammeDocument::read(is_string($text) ? $text : '');
        if ($document === null) {
            return response()->json(['message' => 'This file cannot be taken.', 'problems' => array_map(
                fn (string $path, string $message) => ['path' => $path, 'message' => $message], array_keys($errors), $errors,
            )]);
        }

        return response()->json([
            'items' => array_map(fn (Item $item) => ItemFields::write($item), $document->items),
            'school' => $document->school->value,
            'weeks' => $document->weeks,
            'rated_symptom' => $document->ratedSymptom,
            'goal' => $document->goal?->write(),
        ]);
    }
}
