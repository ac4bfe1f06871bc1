<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\Patient;
use App\Models\RaisedRedFlag;
use App\Models\Screening as ScreeningRow;
use App\Models\ScreeningAnswer;
use IvoryPace\Assessment\ScreeningQuestions;
use IvoryPace\Health\RedFlag;

/** What must be settled before a programme can be issued. */
final class Safeguards
{
    /** Why nothing can be issued yet; null when nothing is in the way. */
    public static function obstacle(Patient $patient): ?string
    {
        $open = self::openRedFlags($patient);

        return match (true) {
            $open !== [] => (
                array_filter($open, fn (RedFlag $flag) => $flag->pauses()) === [] ? 'Advice is open: ' : 'A red flag is open: '
            )
                .implode(', ', array_map(fn (RedFlag $flag) => $flag->label(), $open)).'. Record what was done about it first.',
            $patient->latestScreening === null => 'The screening is not complete. No programme can be issued before it.',
            default => ScreeningQuestions::obstacle(self::answers($patient->latestScreening)),
        };
    }

    /**
     * Every answer, also the noes, which a page may not have loaded.
     *
     * @return array<string, bool> by key
     */
    private static function answers(ScreeningRow $screening): array
    {
        $rows = $screening->relationLoaded('answers') && $screening->answers->contains(fn (ScreeningAnswer $answer) => ! $answer->answer)
            ? $screening->answers->toBase()
            : $screening->answers()->toBase()->get(['question', 'answer']);

        return $rows->mapWithKeys(fn (object $row) => [(string) $row->question => (bool) $row->answer])->all();
    }

    /** @return list<RedFlag> of which nobody has said that it may go on */
    public static function openRedFlags(Patient $patient): array
    {
        return array_values($patient->openRedFlags->map(fn (RaisedRedFlag $raised) => $raised->flag)->all());
    }
}
