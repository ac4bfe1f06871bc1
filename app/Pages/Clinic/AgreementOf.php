<?php

declare(strict_types=1);

namespace App\Pages\Clinic;

use App\Models\Clinic;
use App\Models\MadeDecision;
use Carbon\CarbonImmutable;

/** How often a clinic's decisions follow what was proposed. Small numbers say nothing and are not shown. */
final class AgreementOf
{
    private const LEAST = 10;

    private const DAYS = 365;

    /** @return array{decisions: int, share: float|null} over a year */
    public static function clinic(Clinic $clinic, CarbonImmutable $now): array
    {
        $decided = MadeDecision::standing()->where('clinic_id', $clinic->id)->where('decided_at', '>=', $now->subDays(self::DAYS))
            ->whereNotNull('agrees');
        $decisions = $decided->count();

        return [
            'decisions' => $decisions, 'share' => $decisions < self::LEAST ? null : $decided->where('agrees', true)->count() / $decisions,
        ];
    }
}
