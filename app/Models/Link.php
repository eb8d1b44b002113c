<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A read-only link into a project, with the guest it signs in. When it is ended the guest is in the project no more.
 *
 * @property string $id
 * @property string $project_id
 * @property string $name what it was made for
 * @property int $guest_id
 * @property int $user_id who made it
 * @property \Illuminate\Support\Carbon $created_at
 * @property \Illuminate\Support\Carbon|null $used_at
 * @property \Illuminate\Support\Carbon|null $ended_at
 * @property-read Project $project
 * @property-read User $guest
 */
class Link extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    public static function ofToken(string $token): ?self
    {
        return self::query()->where('token_hash', hash('sha256', $token))->first();
    }

    /** @return BelongsTo<Project, $this> */
    public function project(): BelongsTo
    {
        return $this->belongsTo(Project::class);
    }

    /** @return BelongsTo<User, $this> */
    public function guest(): BelongsTo
    {
        return $this->belongsTo(User::class, 'guest_id');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'created_at' => 'datetime',
            'used_at' => 'datetime',
            'ended_at' => 'datetime',
            'guest_id' => 'integer',
            'user_id' => 'integer',
        ];
    }
}
