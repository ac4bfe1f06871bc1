<?php

declare(strict_types=1);

namespace App\Pages\Shared;

use App\Models\Patient;
use App\Models\Pause;
use App\Models\Practice;
use App\Models\ProgrammeItem;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use IvoryPace\Health\StopClass;
use IvoryPace\Safety\PauseRules;

/** Pauses in words: those that hold, and what was found when one was lifted. */
final class PausesOf
{
    private const MOST = 20;

    /**
     * @param  Collection<int, Pause>  $goingOn
     * @return list<array<string, mixed>>
     */
    public static function goingOn(Patient $patient, Collection $goingOn): array
    {
        return array_values($goingOn->map(fn (Pause $pause) => [
            'id' => $pause->id,
            'since' => self::time($pause->from_at, $patient),
            'text' => self::why($pause),
            // A red flag is looked at under Screening; until then nothing here lets practice go on.
            'by_flag' => $pause->rule === PauseRules::RED_FLAG && $pause->lineage === null,
            'rule' => $pause->rule,
        ])->all());
    }

    /**
     * @param  CarbonImmutable|null  $since  lifted from then on
     * @return list<array{text: string, found: string, by: string, from: string, to: string}> the latest first
     */
    public static function lifted(Patient $patient, ?CarbonImmutable $since = null): array
    {
        $lifted = $patient->pauses()->whereNotNull('looked_at')->whereNotNull('ended_by')
            ->when($since !== null, fn ($query) => $query->where('until_at', '>=', $since))
            ->with('practice', 'endedBy', 'begunBy')->orderByDesc('until_at')->orderByDesc('id')->limit(self::MOST)->get();

        return array_values($lifted->map(fn (Pause $pause) => [
            'text' => self::exercise($pause, $patient).self::why($pause), 'found' => (string) $pause->looked_at,
            'by' => $pause->endedBy->name ?? '–', 'from' => self::time($pause->from_at, $patient),
            'to' => $pause->until_at === null ? '' : self::time($pause->until_at, $patient),
        ])->all());
    }

    private static function exercise(Pause $pause, Patient $patient): string
    {
        foreach ($pause->lineage === null ? [] : $patient->activeProgramme->versions ?? [] as $version) {
            $row = $version->items->firstWhere('lineage', $pause->lineage);
            if ($row instanceof ProgrammeItem) {
                return "{$row->item()->name()}. ";
            }
        }

        return '';
    }

    private static function why(Pause $pause): string
    {
        $practice = $pause->practice;
        $symptom = $practice?->stop_symptom?->label() ?? 'a symptom';
        $paper = $practice?->source === Practice::PAPER ? ', noted on paper' : '';
        $isForHelp = $practice?->stop_symptom?->stopClass() !== StopClass::MadeMeStop;

        return match ($pause->rule) {
            PauseRules::RED_FLAG => match (true) {
                $pause->lineage !== null => "Paused: {$pause->cause}.",
                $pause->until_at !== null => "Every exercise but recovery was paused: {$pause->cause}.",
                default => "Every exercise but recovery is paused: {$pause->cause}. Record under Screening what was done, and that "
                    .'practice may go on.',
            },
            PauseRules::GET_HELP => "Every exercise but recovery is paused: $symptom$paper, "
                .($isForHelp ? 'for which help is needed at once.' : 'which had not settled at the second look.'),
            PauseRules::BY_PRACTITIONER => ($pause->lineage === null ? 'Every exercise but recovery is paused' : 'Paused')
                ." by {$pause->begunBy?->name}: {$pause->reason}",
            PauseRules::NEW_FINDING => "Paused after what is newly known. {$pause->cause}.",
            default => "Paused: stopped for a symptom in two of the last three practices, last for $symptom$paper.",
        };
    }

    private static function time(CarbonImmutable $instant, Patient $patient): string
    {
        return $instant->setTimezone($patient->time_zone)->format('D j M H:i');
    }
}
