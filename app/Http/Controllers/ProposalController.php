<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Programme\AnswerProposal;
use App\Models\Patient;
use App\Models\Practitioner;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use IvoryPace\Progress\Proposal\ProposalKind;

/** A proposal is accepted as it is, or declined with a reason. */
final class ProposalController
{
    public function __invoke(
        Request $request,
        Patient $patient,
        #[CurrentUser] Practitioner $practitioner,
        AnswerProposal $answer,
    ): RedirectResponse {
        $request->validate([
            'lineage' => ['required', 'ulid'], 'kind' => ['required', Rule::enum(ProposalKind::class)],
            'based_on' => ['required', 'integer', 'min:1'],
            'answer' => ['required', 'in:accept,decline'],
            'reason' => ['required_if:answer,decline', 'nullable', 'string', 'min:5', 'max:2000'],
        ], ['reason.required_if' => 'Say in a few words why not.', 'reason.min' => 'Say in a few words why not.',
            'reason.max' => 'At most 2000 characters.']);
        $lineage = $request->string('lineage')->value();
        $kind = ProposalKind::from($request->string('kind')->value());
        if ($request->string('answer')->value() === 'decline') {
            $answer->decline(
                $patient, $practitioner, $lineage, $kind, $request->integer('based_on'), $request->string('reason')->trim()->value(),
            );

            return back(fallback: "/patients/{$patient->id}")->with(
                'flash', 'Declined. The same proposal comes back in two weeks at the earliest.',
            );
        }
        $version = $answer->accept($patient, $practitioner, $lineage, $kind, $request->integer('based_on'));

        return back(fallback: "/patients/{$patient->id}")->with(
            'flash', "Version {$version->number} issued; in force from {$version->in_force_from->format('j M')}.",
        );
    }
}
