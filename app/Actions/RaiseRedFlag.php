<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Patient;
use App\Models\RaisedRedFlag;
use IvoryPace\Safety\RedFlag;

/** Opens a red flag, unless the same one is open already. */
final class RaiseRedFlag
{
    /**
     * @param  string  $source  screening, measured or home
     * @param  string|null  $detail  the measured value
     */
    public function __invoke(Patient $patient, RedFlag $flag, string $source, ?string $detail = null): RaisedRedFlag
    {
        return $patient->openRedFlags()->where('flag', $flag)->first()
            ?? $patient->redFlags()->create(['flag' => $flag, 'source' => $source, 'detail' => $detail, 'raised_at' => now()]);
    }
}
