<?php

declare(strict_types=1);

namespace App\Models;

use IvoryPace\Assessment\Form;

/** A questionnaire that a clinic brought along; its fields are its questions. */
final class OwnQuestionnaire extends OwnWork
{
    protected $table = 'own_questionnaires';

    public function form(): Form
    {
        return Form::read($this->fields);
    }
}
