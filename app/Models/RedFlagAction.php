<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property string $action
 * @property string $outcome waiting, or may-go-on
 * @property CarbonImmutable $recorded_at
 * @property Practitioner $practitioner
 * @property RaisedRedFlag $raised
 */
final class RedFlagAction extends Row
{
    /** Something was done, and nothing is practised until more is known. */
    public const WAITING = 'waiting';

    /** It may go on: for every exercise, or for named ones. */
    public const MAY_GO_ON = 'may-go-on';

    public $timestamps = false;

    protected $table = 'red_flag_actions';

    /** @return BelongsTo<Practitioner, $this> */
    public function practitioner(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class);
    }

    /** @return BelongsTo<RaisedRedFlag, $this> */
    public function raised(): BelongsTo
    {
        return $this->belongsTo(RaisedRedFlag::class, 'raised_red_flag_id');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['recorded_at' => 'immutable_datetime', 'action' => Sealed::class];
    }
}
