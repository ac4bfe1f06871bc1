<?php

declare(strict_types=1);

namespace App\Facts\Caseload;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Str;

/** Which patients of a caseload are looked for. */
final readonly class CaseloadFilter
{
    private const LONGEST = 100;

    /** Between the flags of a line, and around them. */
    private const BETWEEN = '|';

    /**
     * @param  string  $search  every word of it begins a word of the name or stands in what is prescribed
     * @param  int|null  $responsible  practitioner; null for everyone's
     * @param  string  $reason  empty for any
     * @param  string  $flag  label; empty for any or none
     */
    public function __construct(
        public string $search = '',
        public ?int $responsible = null,
        public string $reason = '',
        public string $flag = '',
    ) {
    }

    public function isForAll(): bool
    {
        return $this->words() === [] && $this->responsible === null && $this->reason === '' && $this->flag === '';
    }

    public function narrow(Builder $lines): void
    {
        foreach ($this->words() as $word) {
            $like = addcslashes($word, '%_\\');
            $lines->where(fn (Builder $either) => $either->where('names', 'like', "% $like%")->orWhere('prescribed', 'like', "%$like%"));
        }
        if ($this->responsible !== null) {
            $lines->where('patients.practitioner_id', $this->responsible);
        }
        if ($this->reason !== '') {
            $lines->where('caseload_lines.reason', $this->reason);
        }
        if ($this->flag !== '') {
            $lines->where('flags', 'like', '%'.self::BETWEEN.addcslashes($this->flag, '%_\\').self::BETWEEN.'%');
        }
    }

    /** As a name is stored to be found: each word after a space, without marks and case, in Latin letters where it can be. */
    public static function names(string $name): string
    {
        return ' '.implode(' ', self::split($name));
    }

    /** Without marks and case, in Latin letters where it can be. */
    public static function plain(string $text): string
    {
        $latin = Str::ascii($text);

        return mb_strtolower(trim($latin) === '' ? $text : $latin);
    }

    /** @param  list<string>  $flags  labels */
    public static function joined(array $flags): string
    {
        return $flags === [] ? '' : self::BETWEEN.implode(self::BETWEEN, $flags).self::BETWEEN;
    }

    /** @return list<string> labels */
    public static function flags(string $joined): array
    {
        return array_values(array_filter(explode(self::BETWEEN, $joined), fn (string $flag) => $flag !== ''));
    }

    /** @return list<string> */
    private function words(): array
    {
        return self::split(mb_substr($this->search, 0, self::LONGEST));
    }

    /** @return list<string> */
    private static function split(string $text): array
    {
        return preg_split('/[\s-]+/u', self::plain($text), -1, PREG_SPLIT_NO_EMPTY) ?: [];
    }
}
