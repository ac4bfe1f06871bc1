<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Facts\Caseload\CaseloadFilter;
use App\Models\Practitioner;
use Illuminate\Http\Request;

/** What is looked for in the Caseload, from the address. Whatever cannot be read there looks for everyone. */
final readonly class CaseloadRequest
{
    private const MINE = 'mine';

    private const MOST_PAGES = 1000;

    /** @var array{search: string, whose: string, reason: string, flag: string} */
    public array $typed;

    public int $page;

    public function __construct(Request $request, private Practitioner $practitioner)
    {
        $text = fn (string $name) => FromAddress::text($request, $name);
        $this->typed = [
            'search' => $text('search'), 'whose' => $text('whose') === self::MINE ? self::MINE : 'clinic', 'reason' => $text('reason'),
            'flag' => $text('flag'),
        ];
        $page = $text('page');
        $this->page = preg_match('/^\d{1,4}$/D', $page) === 1 ? max(1, min(self::MOST_PAGES, (int) $page)) : 1;
    }

    public function filter(): CaseloadFilter
    {
        $mine = $this->typed['whose'] === self::MINE ? $this->practitioner->id : null;

        return new CaseloadFilter(
            $this->typed['search'], $mine, $this->typed['reason'], $this->typed['flag'], $this->practitioner->clinic_id,
        );
    }
}
