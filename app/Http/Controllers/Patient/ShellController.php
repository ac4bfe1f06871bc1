<?php

declare(strict_types=1);

namespace App\Http\Controllers\Patient;

use App\Support\Words;
use Illuminate\Contracts\View\View;

/** The one page of the patient's side. */
final class ShellController
{
    public function __invoke(): View
    {
        return view('patient', ['words' => Words::forPatients()]);
    }
}
