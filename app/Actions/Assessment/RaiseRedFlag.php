<?php

declare(strict_types=1);

namespace App\Actions\Assessment;

use App\Models\Patient;
use App\Models\RaisedRedFlag;
use Carbon\CarbonImmutable;
use IvoryPace\Health\RedFlag;
use IvoryPace\Safety\PauseRules;

/**
 * Opens a red flag, unless the same one is open already. From the moment it was answered or measured, every exercise but
 * recovery is paused until a practitioner says that it may go on; advice pauses nothing.
 */
final class RaiseRedFlag
{
    /**
     * @param  string  $source  screening, measured or home
     * @param  string|null  $detail  the measured value
     * @param  CarbonImmutable|null  $at  when it was answered or measured; now unless said
     */
    public function __invoke(
        Patient $patient,
        RedFlag $flag,
        string $source,
        ?string $detail = null,
        ?CarbonImmutable $at = null,
    ): RaisedRedFlag {
        $open = $patient->openRedFlags()->where('flag', $flag)->first();
        if ($open !== null) {
            return $open;
        }
        $at ??= CarbonImmutable::now();
        $raised = $patient->redFlags()->create(['flag' => $flag, 'source' => $source, 'detail' => $detail, 'raised_at' => $at]);
        if ($flag->pauses()) {
            $patient->pauses()->create(
                [
                    'lineage' => null, 'rule' => PauseRules::RED_FLAG, 'raised_red_flag_id' => $raised->id, 'cause' => $flag->label(),
                    'from_at' => $at,
                ],
            );
        }

        return $raised;
    }
}
