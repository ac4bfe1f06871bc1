<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Actions\Letters\SignLetter;
use App\Actions\Letters\WriteLetter;
use App\Models\Patient;
use App\Models\Practitioner;
use IvoryPace\Letter\LetterKind;

/** What the clinic's letters look like, one that was sent and one that is being written. */
final class LettersOfTheQuay
{
    public static function seed(Practitioner $nora): void
    {
        $nora->clinic->update([
            'letter_head' => "Harrow Quay Breathing Clinic\nOver the chandler’s shop, 4 Harrow Quay",
            'letter_foot' => 'In the house Monday to Friday. This letter is meant for whoever it is addressed to, and nobody else.',
            'letter_blocks' => [
                ['name' => 'Thanks', 'text' => 'Thank you for sending us this patient.'],
                ['name' => 'Medicines', 'text' => 'We have changed nothing about medicines; that stays with you.'],
                ['name' => 'Call us', 'text' => 'If anything in this is unclear, please call us; we are glad to talk it over.'],
            ],
        ]);
        $write = app(WriteLetter::class);
        $sign = app(SignLetter::class);
        $patient = Patient::query()->where('clinic_id', $nora->clinic_id)
            ->where('name', Promises::patient('step-up-with-recovery'))->sole();
        $draft = $write->begin($patient, LetterKind::Progress, $nora, null);
        $content = [
            'addressee' => "Dr Hesper Lowe\nThe Tidewater Practice\n11 Lock Street", 'with_course' => true,
            'parts' => [...WriteLetter::filled($patient, LetterKind::Progress), 'closing' => 'Thank you for sending us this patient.'],
        ];
        $write->keep($patient, LetterKind::Progress, $nora, $content, $draft->revision);
        $sign->sent($sign($patient, LetterKind::Progress, $nora, $draft->revision + 1), $nora, 'by post');
        $write->begin($patient, LetterKind::Summary, $nora, null);
    }
}
