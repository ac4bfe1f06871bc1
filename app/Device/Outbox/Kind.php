<?php

declare(strict_types=1);

namespace App\Device\Outbox;

use App\Models\Device;
use Illuminate\Validation\ValidationException;
use Illuminate\Validation\Validator;

/** One kind of thing that a patient's device sends, perhaps days after it happened. */
interface Kind
{
    /** @return array<string, mixed> */
    public function rules(): array;

    /** @return array<string, string> */
    public function messages(): array;

    /** What the single fields do not say. */
    public function checkTogether(Validator $validator): void;

    /**
     * Stores it once: the same one sent again changes nothing.
     *
     * @param  array<string, mixed>  $body  as validated
     * @return bool whether it was new
     *
     * @throws ValidationException
     */
    public function store(Device $device, array $body, Sent $sent): bool;
}
