<?php

declare(strict_types=1);

namespace App\Device\Outbox;

use App\Facts\Sent;
use App\Models\Device;
use Illuminate\Support\Facades\Validator as Validators;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;

/** What a device may send. */
final class Kinds
{
    /** Time as a device writes it. */
    public const TIME = 'date_format:Y-m-d\TH:i:s.vp,Y-m-d\TH:i:sp';

    /** @var list<class-string<Kind>> */
    private const ALL = [
        PracticeKind::class, DiaryKind::class, FormKind::class, PutOffKind::class, HomeCheckKind::class, SecondLookKind::class,
        TickKind::class, TracePartKind::class, TraceKind::class,
    ];

    /** Names under which something may still wait on a device. */
    private const EARLIER = ['check' => 'home-check'];

    /** @return list<string> */
    public static function names(): array
    {
        return [...array_map(fn (string $class) => $class::name(), self::ALL), ...array_keys(self::EARLIER)];
    }

    public static function named(string $name): Kind
    {
        foreach (self::ALL as $class) {
            if ($class::name() === (self::EARLIER[$name] ?? $name)) {
                return app($class);
            }
        }
        throw new InvalidArgumentException("There is no kind “{$name}”.");
    }

    /**
     * @param  array<array-key, mixed>  $body
     * @return bool whether it was new
     *
     * @throws ValidationException when it cannot be stored, with the reason
     */
    public static function store(string $name, Device $device, array $body, Sent $sent): bool
    {
        $kind = self::named($name);
        $validator = Validators::make($body, $kind->rules(), $kind->messages());
        $validator->after($kind->checkTogether(...));

        return $kind->store($device, $validator->validate(), $sent);
    }
}
