<?php

declare(strict_types=1);

namespace App\Language;

use App\Models\Patient;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\App;

/** In which language a patient is spoken to. There is one for each folder of lang/; the practitioner's side stays English. */
final class PatientLanguage
{
    public const FIRST = 'en';

    /**
     * Whatever is put into words meanwhile is in the patient's language, dates among it.
     *
     * @template T
     *
     * @param  callable(): T  $do
     * @return T
     */
    public static function of(Patient $patient, callable $do): mixed
    {
        $before = App::getLocale();
        self::speak($patient->locale);
        try {
            return $do();
        } finally {
            App::setLocale($before);
        }
    }

    public static function speak(string $locale): void
    {
        App::setLocale(self::isThere($locale) ? $locale : self::FIRST);
    }

    /** Of somebody of whom nothing is known yet: what their browser asks for, where it is there. */
    public static function wished(Request $request): string
    {
        return $request->getPreferredLanguage(array_keys(self::all())) ?? self::FIRST;
    }

    /** @return array<string, string> name of each language by locale, the first one first */
    public static function all(): array
    {
        $names = [];
        foreach (glob(lang_path('*'), GLOB_ONLYDIR) ?: [] as $folder) {
            $locale = basename($folder);
            $names[$locale] = (string) trans('language.name', [], $locale);
        }

        return array_replace([self::FIRST => $names[self::FIRST] ?? 'English'], $names);
    }

    public static function isThere(string $locale): bool
    {
        return preg_match('/^[a-zA-Z_]{2,12}$/D', $locale) === 1 && trans()->getLoader()->load($locale, 'language') !== [];
    }
}
