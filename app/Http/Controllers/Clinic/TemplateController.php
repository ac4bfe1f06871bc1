<?php

declare(strict_types=1);

namespace App\Http\Controllers\Clinic;

use App\Actions\Clinic\KeepOwnWork;
use App\Catalogue\TemplateList;
use App\Models\OwnTemplate;
use App\Models\Practitioner;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use IvoryPace\Programme\ItemFields;
use IvoryPace\Programme\ProgrammeDraft;
use IvoryPace\Programme\Template;

/** Programmes that a clinic starts from. */
final class TemplateController
{
    public function store(Request $request, #[CurrentUser] Practitioner $practitioner, KeepOwnWork $keep): JsonResponse
    {
        $name = $request->string('name')->trim()->value();
        if ($name === '' || mb_strlen($name) > Template::MAX_NAME) {
            throw ValidationException::withMessages(['name' => 'A template has a name of at most '.Template::MAX_NAME.' letters.']);
        }
        $draft = ProgrammeDraft::read($request->array('items'), $request->string('school')->value() ?: null);
        if (! $draft->isComplete()) {
            throw ValidationException::withMessages(
                ['name' => $draft->error ?? 'Something on the Bench cannot be read yet. Mend it first.'],
            );
        }
        $keep(new OwnTemplate, $practitioner, $name, [
            'school' => $draft->school->value, 'items' => array_map(ItemFields::write(...), $draft->items()),
        ], 'name');

        return response()->json(['templates' => TemplateList::of($practitioner->clinic)], 201);
    }

    public function destroy(#[CurrentUser] Practitioner $practitioner, OwnTemplate $ownTemplate): JsonResponse
    {
        $ownTemplate->delete();

        return response()->json(['templates' => TemplateList::of($practitioner->clinic)]);
    }
}
