<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\PractitionerFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * @property int $id
 * @property int $clinic_id
 * @property string $name
 * @property string $profession
 * @property Role $role
 * @property string $email
 * @property Clinic $clinic
 */
final class Practitioner extends Authenticatable
{
    /** @use HasFactory<PractitionerFactory> */
    use HasFactory;

    protected $table = 'practitioners';

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    /** @return BelongsTo<Clinic, $this> */
    public function clinic(): BelongsTo
    {
        return $this->belongsTo(Clinic::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed', 'role' => Role::class];
    }
}
