<?php

declare(strict_types=1);

namespace App\Language;

use Illuminate\Support\Arr;

/** All texts that a patient reads, by translation key. */
final class PatientTexts
{
    private const FILES = ['patient', 'felt', 'cue', 'exercise', 'stop', 'anchor', 'position', 'prop'];

    /** @return array<string, string> */
    public static function forPatients(): array
    {
        $words = [];
        foreach (self::FILES as $file) {
            $texts = trans($file);
            foreach (Arr::dot(is_array($texts) ? $texts : []) as $key => $text) {
                $words["$file.$key"] = is_string($text) ? $text : '';
            }
        }

        return $words;
    }
}
