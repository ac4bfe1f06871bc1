<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Requests\Account\ConfirmsItIsYou;
use Illuminate\Foundation\Http\FormRequest;

/** A whole record leaves the clinic only by the hand of whoever is signed in. */
final class RecordFileRequest extends FormRequest
{
    use ConfirmsItIsYou;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return $this->yourPassword();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return $this->askForYourPassword();
    }
}
