<?php

declare(strict_types=1);

namespace Tests\Feature\Hostile;

use Illuminate\Support\Str;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** What nobody who means well would send; the same for the same seed. */
final class Nasty
{
    public const FIELDS = [
        'name', 'email', 'birth_date', 'items', 'reason', 'goal', 'measure', 'value', 'taps', 'tries', 'pairs', 'position', 'answers', 'form', 'on', 'done',
        'fields', 'own_name', 'ratio', 'weeks', 'review_on', 'starts_on', 'rated_symptom', 'based_on', 'decisions', 'content', 'revision', 'text', 'note',
        'outcome', 'school', 'at', 'at_time', 'lineage', 'anchor', 'days', 'uuid', 'started_at', 'ended_at', 'sent_at', 'pin', 'kind', 'symptoms', 'to',
        'role', 'thresholds', 'reliabilities', 'emergency_wording', 'time_zone', 'locale', 'line', 'audio', 'action', 'confirmed', 'search', 'page', 'query',
        'token', 'password', 'your_password', 'code', 'profession', 'registration', 'demanded',
    ];

    private readonly Randomizer $chance;

    public function __construct(int $seed)
    {
        $this->chance = new Randomizer(new Xoshiro256StarStar($seed));
    }

    /** FUZZ_SEED asks for other requests. */
    public static function seeded(): self
    {
        return new self((int) (getenv('FUZZ_SEED') ?: 20261129));
    }

    /** FUZZ_REQUESTS asks for more of them. */
    public static function requests(int $usually): int
    {
        return (int) (getenv('FUZZ_REQUESTS') ?: $usually);
    }

    public function upTo(int $most): int
    {
        return $this->chance->getInt(0, $most);
    }

    /**
     * @template T
     *
     * @param  list<T>  $of
     * @return T
     */
    public function one(array $of): mixed
    {
        return $of[$this->upTo(count($of) - 1)];
    }

    /** In an address. */
    public function id(): string
    {
        return $this->one(['1', '0', '-1', '99999999999999999999', 'x', (string) Str::ulid(), '1e400', '%27%20or%201']);
    }

    public function value(int $depth = 0): mixed
    {
        if ($depth < 3 && $this->upTo(4) === 0) {
            return array_map(fn () => $this->value($depth + 1), array_fill(0, 1 + $this->upTo(3), 0));
        }
        if ($depth < 3 && $this->upTo(6) === 0) {
            return [$this->one(self::FIELDS) => $this->value($depth + 1)];
        }

        return $this->one([
            null, true, false, 0, -1, PHP_INT_MAX, PHP_INT_MIN, 1.5, 1e308, '', ' ', '0', '-0', '1e400', 'NaN', '0000-01-01', '9999-12-31', '2026-02-30', '99999999999999999999999',
            "\xff\xfe", "a\0b", 'Straße', 'STRASSE', str_repeat('ß', 5000), str_repeat('x', 100_000), "'; drop table patients; --", '<script>alert(1)</script>', '=1+1',
            '../../etc/passwd', '{{7*7}}', '%00', "\u{202e}", "\u{1f9d8}", '4:6', '25:61', '2026-11-10T12:00:00.000Z', '9999-01-01T00:00:00.000Z', '4:-2:7', [], [[]], ['a' => ['b' => []]],
        ]);
    }

    /**
     * The same body with one thing in it, however deep, that is not right.
     *
     * @param  array<array-key, mixed>  $body
     * @return array<array-key, mixed>
     */
    public function spoil(array $body): array
    {
        if ($body === []) {
            return [$this->one(self::FIELDS) => $this->value()];
        }
        $key = $this->one(array_keys($body));
        $inside = $body[$key];
        if (is_array($inside) && $inside !== [] && $this->upTo(2) > 0) {
            $body[$key] = $this->spoil($inside);
        } elseif ($this->upTo(9) === 0) {
            unset($body[$key]);
        } else {
            $body[$key] = $this->value();
        }

        return $body;
    }
}
