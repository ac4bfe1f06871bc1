<?php

declare(strict_types=1);

namespace App\Http\Controllers\Patient;

use App\Actions\AnswerForm;
use App\Models\AskedForm;
use App\Models\Device;
use App\Support\AskedForms;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A form that waits on the patient's own device. */
final class AskedFormController
{
    public function show(AskedForm $form, #[CurrentUser('device')] Device $device): JsonResponse
    {
        $this->refuseOthers($form, $device);

        return response()->json(AskedForms::view($form));
    }

    public function update(Request $request, AskedForm $form, #[CurrentUser('device')] Device $device, AnswerForm $answer): JsonResponse
    {
        $this->refuseOthers($form, $device);
        $isUrgent = $answer($form, $request->array('answers'), $request->boolean('done'), $request->boolean('with_gaps'));

        return response()->json(['emergency' => $isUrgent ? $device->patient->clinic->emergency_wording : null]);
    }

    private function refuseOthers(AskedForm $form, Device $device): void
    {
        abort_unless($form->patient_id === $device->patient_id && $form->answered_on === 'device', 404);
    }
}
