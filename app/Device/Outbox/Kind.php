<?php

declare(strict_types=1);

namespace App\Device\Outbox;

use App\Facts\Sent;
use App\Models\Device;
use Illuminate\Validation\ValidationException;
use Illuminate\Validation\Validator;

/** One kind of thing that a patient's device sends, perhaps days after it happened. */
interface Kind
{
    /** As devices name it. */
    public static function name(): string;

    /** Whether a later word takes the place of an earlier one; what was done stays as it was. */
    public function isRewritten(): bool;

    /** Whether somebody has to look at it at once, read from what has not been checked. */
    public function isUrgent(Unchecked $body): bool;

    /** In words, for the practitioner who decides about what a signed-out device sent. */
    public function describe(Unchecked $body): string;

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
