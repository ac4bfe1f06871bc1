<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Http\Request;

/** What stands behind the ? of an address: anybody can write anything there. */
final class FromAddress
{
    private const LONGEST = 100;

    /** Empty where it is no text. */
    public static function text(Request $request, string $name): string
    {
        $value = $request->query($name);

        return is_string($value) && mb_check_encoding($value, 'UTF-8') ? trim(mb_substr($value, 0, self::LONGEST)) : '';
    }
}
