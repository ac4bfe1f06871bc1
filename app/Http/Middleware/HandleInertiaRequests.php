<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Practitioner;
use App\Models\Role;
use Illuminate\Http\Request;
use Inertia\Middleware;

final class HandleInertiaRequests extends Middleware
{
    protected $rootView = 'practitioner';

    /** @return array<string, mixed> */
    public function share(Request $request): array
    {
        $who = $request->user('practitioner');

        return [
            ...parent::share($request),
            'who' => $who instanceof Practitioner
                ? [
                    'name' => $who->name, 'clinic' => $who->clinic->name, 'is_lead' => $who->role === Role::Lead,
                    'email' => $who->email, 'key' => $who->keyOfDrafts(), 'idle_minutes' => config()->integer('session.lifetime'),
                ]
                : null,
            'today' => $who instanceof Practitioner ? now($who->clinic->time_zone)->format('D j M') : null,
            'flash' => fn () => $request->session()->get('flash'),
        ];
    }
}
