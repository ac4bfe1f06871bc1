<?php

declare(strict_types=1);

namespace App\Pages\Caseload;

use App\Facts\Caseload\CaseloadFilter;
use App\Facts\Caseload\CaseloadLines;
use App\Models\Casts\Sealed;
use App\Models\Clinic;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use IvoryPace\Progress\CaseloadReason;
use stdClass;

/** The Caseload a page at a time: lines, and how many there are for each reason. The number of queries does not grow. */
final class CaseloadPage
{
    public const LINES = 60;

    private function __construct(private readonly Clinic $clinic, private readonly CaseloadFilter $filter)
    {
    }

    public static function of(Clinic $clinic, CaseloadFilter $filter, CarbonImmutable $now): self
    {
        CaseloadLines::refreshFor($clinic, $now);

        return new self($clinic, $filter);
    }

    /**
     * @param  int  $page  from 1 on
     * @return list<object> most urgent first. As objects: Inertia searches arrays through and through for closures.
     */
    public function lines(int $page): array
    {
        $sealed = $this->page($page);
        // A line is made of what is on file: one that cannot be read is made anew.
        $unreadable = array_keys(array_filter($sealed, fn (?string $line) => Sealed::open($line) === null));
        if ($unreadable !== []) {
            CaseloadLines::anew($unreadable, now()->toImmutable());
            $sealed = $this->page($page);
        }

        return array_values(array_map(fn (?string $line) => (object) json_decode(Sealed::open($line) ?? ''), $sealed));
    }

    /** @return array<string, string|null> lines as they are kept, by patient */
    private function page(int $page): array
    {
        return $this->narrowed()->orderBy('urgency')->orderByDesc('since')->orderBy('names')->orderBy('patient_id')
            ->offset(($page - 1) * self::LINES)->limit(self::LINES)->pluck('line', 'patient_id')->all();
    }

    /** @return list<string> names that more than one patient has: they are told apart by their date of birth */
    public function namesThatMeet(): array
    {
        return array_values(DB::table('patients')->where('clinic_id', $this->clinic->id)->whereNull('joined_into')
            ->groupBy('name')->havingRaw('count(*) > 1')
            ->orderBy('name')->limit(self::LINES)->pluck('name')->map(fn (mixed $name) => is_string($name) ? $name : '')->all());
    }

    /**
     * @return array{
     *     total: int, fitting: int, by_reason: object,
     *     reasons: list<array{value: string, label: string}>, flags: list<string>
     * } of all patients and of those that fit
     */
    public function counts(): array
    {
        $all = $this->all()->groupBy('reason')->selectRaw('reason, count(*) as lines_there, bit_or(flags) as flags')->get();
        $fitting = $this->filter->isForAll()
            ? $all->where('reason', '!=', CaseloadReason::Archived->value)
            : $this->narrowed()->groupBy('reason')->selectRaw('reason, count(*) as lines_there')->get();
        $flags = CaseloadFilter::labels($all->reduce(fn (int $bits, stdClass $row) => $bits | (int) $row->flags, 0));
        sort($flags, SORT_NATURAL | SORT_FLAG_CASE);
        $there = self::byReason($all);

        return [
            'total' => array_sum($there) - ($there[CaseloadReason::Archived->value] ?? 0),
            'fitting' => array_sum(self::byReason($fitting)),
            'by_reason' => (object) self::byReason($fitting),
            'reasons' => self::reasons(array_keys($there)),
            'flags' => $flags,
        ];
    }

    /**
     * @param  list<string>  $there
     * @return list<array{value: string, label: string}> most urgent first
     */
    private static function reasons(array $there): array
    {
        $reasons = array_filter(CaseloadReason::cases(), fn (CaseloadReason $reason) => in_array($reason->value, $there, true));
        usort($reasons, fn (CaseloadReason $a, CaseloadReason $b) => $a->order() <=> $b->order());

        return array_map(fn (CaseloadReason $reason) => ['value' => $reason->value, 'label' => $reason->heading()], $reasons);
    }

    /**
     * @param  Collection<int, stdClass>  $rows
     * @return array<string, int>
     */
    private static function byReason(Collection $rows): array
    {
        $counts = [];
        foreach ($rows as $row) {
            $counts[(string) $row->reason] = ($counts[(string) $row->reason] ?? 0) + (int) $row->lines_there;
        }

        return $counts;
    }

    private function all(): Builder
    {
        return DB::table('caseload_lines')->where('clinic_id', $this->clinic->id)->whereNotNull('reason');
    }

    private function narrowed(): Builder
    {
        $lines = $this->all();
        $this->filter->narrow($lines);

        return $lines;
    }
}
