<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;
use IvoryPace\Health\RedFlag;

/**
 * Something to refer first. It stays open until an action is recorded, whatever a later screening says.
 *
 * @property int $id
 * @property string $patient_id
 * @property RedFlag $flag
 * @property string $source screening, measured or home
 * @property string|null $detail the measured value
 * @property CarbonImmutable $raised_at
 * @property Collection<int, RedFlagAction> $actions
 */
final class RaisedRedFlag extends Row
{
    public $timestamps = false;

    protected $table = 'raised_red_flags';

    /** What was measured, where that is what raised it. */
    public function label(): string
    {
        return ucfirst($this->detail ?? $this->flag->label());
    }

    /** Nobody has said that practice may go on. */
    public function isOpen(): bool
    {
        return $this->actions->every(fn (RedFlagAction $action) => $action->outcome === RedFlagAction::WAITING);
    }

    /** @return HasMany<RedFlagAction, $this> */
    public function actions(): HasMany
    {
        return $this->hasMany(RedFlagAction::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['flag' => RedFlag::class, 'raised_at' => 'immutable_datetime'];
    }
}
