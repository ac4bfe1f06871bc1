<?php

declare(strict_types=1);

namespace App\Device\Outbox;

use App\Models\Device;
use Illuminate\Support\Facades\Validator as Validators;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;

/** What a device may send. */
final class Kinds
{
    /** Time as a device writes it. */
    public const TIME = 'date_format:Y-m-d\TH:i:s.vp,Y-m-d\TH:i:sp';

    /** @var array<string, class-string<Kind>> */
    private const ALL = [
        'practice' => PracticeKind::class,
        'diary' => DiaryKind::class,
        'form' => FormKind::class,
        'put-off' => PutOffKind::class,
        'check' => HomeCheckKind::class,
        'second-look' => SecondLookKind::class,
    ];

    /** @return list<string> */
    public static function names(): array
    {
        return array_keys(self::ALL);
    }

    /**
     * @param  array<array-key, mixed>  $body
     * @return bool whether it was new
     *
     * @throws ValidationException when it cannot be stored, with the reason
     */
    public static function store(string $name, Device $device, array $body, Sent $sent): bool
    {
        $class = self::ALL[$name] ?? throw new InvalidArgumentException("There is no kind “{$name}”.");
        $kind = app($class);
        $validator = Validators::make($body, $kind->rules(), $kind->messages());
        $validator->after($kind->checkTogether(...));

        return $kind->store($device, $validator->validate(), $sent);
    }
}
