<?php

declare(strict_types=1);

namespace App\Facts\Caseload;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Str;
use IvoryPace\Health\Flag;
use IvoryPace\Progress\CaseloadReason;

/** Which patients of a caseload are looked for. */
final readonly class CaseloadFilter
{
    private const LONGEST = 100;

    /**
     * @param  string  $search  every word of it begins a word of the name or is a part of the date of birth, stands in what is prescribed,
     *     or is a word of a signed note; who is archived is found too
     * @param  int|null  $responsible  practitioner; null for everyone's
     * @param  string  $reason  empty for any
     * @param  string  $flag  label; empty for any or none
     * @param  int  $clinic  whose notes are looked through
     */
    public function __construct(
        public string $search = '',
        public ?int $responsible = null,
        public string $reason = '',
        public string $flag = '',
        public int $clinic = 0,
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
            $lines->where(function (Builder $either) use ($like, $word) {
                $either->where('names', 'like', "% $like%")->orWhere('prescribed', 'like', "%$like%");
                if (NoteWords::isLookedFor($word)) {
                    $either->orWhereIn('patient_id', fn (Builder $notes) => NoteWords::patients($notes, $word, $this->clinic));
                }
            });
        }
        if ($this->responsible !== null) {
            $lines->where('responsible', $this->responsible);
        }
        if ($this->reason !== '') {
            $lines->where('reason', $this->reason);
        } elseif ($this->words() === []) {
            $lines->where('reason', '!=', CaseloadReason::Archived->value);
        }
        if ($this->flag !== '') {
            $lines->whereRaw(
                'flags & ? <> 0', [self::bits(array_filter(Flag::cases(), fn (Flag $flag) => $flag->label() === $this->flag))],
            );
        }
    }

    /** Only by name and date of birth. */
    public static function named(Builder $lines, string $typed): void
    {
        foreach (self::split(mb_substr($typed, 0, self::LONGEST)) as $word) {
            $lines->where('names', 'like', '% '.addcslashes($word, '%_\\').'%');
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

    /**
     * One bit for each flag, in the order of the flags. When that changes, every line has to be made anew.
     *
     * @param  array<Flag>  $flags
     */
    public static function bits(array $flags): int
    {
        $bits = 0;
        foreach (Flag::cases() as $place => $flag) {
            $bits |= in_array($flag, $flags, true) ? 1 << $place : 0;
        }

        return $bits;
    }

    /** @return list<string> labels */
    public static function labels(int $bits): array
    {
        $flags = array_filter(Flag::cases(), fn (Flag $flag, int $place) => ($bits & 1 << $place) !== 0, ARRAY_FILTER_USE_BOTH);

        return array_values(array_map(fn (Flag $flag) => $flag->label(), $flags));
    }

    /** @return list<string> */
    private function words(): array
    {
        return self::split(mb_substr($this->search, 0, self::LONGEST));
    }

    /** @return list<string> */
    private static function split(string $text): array
    {
        $words = fn (string $of): array => preg_split('/[\s.\/-]+/u', $of, -1, PREG_SPLIT_NO_EMPTY) ?: [];

        // Word by word: one that has no Latin letters stays as it is beside one that has.
        return array_merge([], ...array_map(fn (string $word) => $words(self::plain($word)), $words($text)));
    }
}
