<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\OwnQuestionnaire;
use IvoryPace\Assessment\Form;

/** Questionnaires that a clinic brought along and asks. */
final class OwnForms
{
    /** @return array<string, Form> by key, in order of their names */
    public static function of(int $clinic): array
    {
        $forms = [];
        $all = OwnQuestionnaire::query()->where('clinic_id', $clinic)->orderBy('name')->limit(OwnQuestionnaire::MOST)->get();
        foreach ($all as $own) {
            $form = $own->form();
            $forms[$form->key()] = $form;
        }

        return $forms;
    }
}
