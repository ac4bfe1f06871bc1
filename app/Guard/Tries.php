<?php

declare(strict_types=1);

namespace App\Guard;

use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

/** Failures are counted under several names, each with its own limit; whoever is at one of them waits. */
final class Tries
{
    /** @param  array<string, int>  $limits  most failures by name */
    public function __construct(private readonly array $limits, private readonly int $minutes)
    {
    }

    /** @throws ValidationException under this field, when there were too many */
    public function ensureSomeAreLeft(string $field, string $words = 'Too many tries. Wait :minutes min, then try again.'): void
    {
        foreach ($this->limits as $name => $most) {
            if (RateLimiter::tooManyAttempts($name, $most)) {
                $minutes = (string) max(1, (int) ceil(RateLimiter::availableIn($name) / 60));
                throw ValidationException::withMessages([$field => str_replace(':minutes', $minutes, $words)])->status(429);
            }
        }
    }

    public function countFailure(): void
    {
        foreach (array_keys($this->limits) as $name) {
            RateLimiter::hit($name, $this->minutes * 60);
        }
    }

    public function forget(string ...$names): void
    {
        foreach ($names as $name) {
            RateLimiter::clear($name);
        }
    }

    /** One guesser has a whole network of addresses of the newer kind. */
    public static function addressOf(?string $ip): string
    {
        $bytes = $ip === null ? false : @inet_pton($ip);

        return $bytes !== false && strlen($bytes) === 16 ? bin2hex(substr($bytes, 0, 8)) : (string) $ip;
    }
}
