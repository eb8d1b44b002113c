<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * An invitation of an address into a project. Its token is known only to whoever got the letter.
 *
 * @property string $id
 * @property string $project_id
 * @property string $email
 * @property string $role
 * @property int $user_id who invited
 * @property \Illuminate\Support\Carbon $created_at
 * @property \Illuminate\Support\Carbon $expires_at
 * @property \Illuminate\Support\Carbon|null $accepted_at
 * @property \Illuminate\Support\Carbon|null $withdrawn_at
 * @property-read Project $project
 * @property-read User $user
 */
class Invitation extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    public static function ofToken(string $token): ?self
    {
        return self::query()->where('token_hash', hash('sha256', $token))->first();
    }

    /** Why it cannot be taken up, or null. */
    public function whyNot(): ?string
    {
        return match (true) {
            $this->accepted_at !== null => sprintf(
                'This invitation was accepted on %s. Sign in as %s.',
                $this->accepted_at->format('j F Y'),
                $this->email,
            ),
            $this->withdrawn_at !== null => 'This invitation was withdrawn. Ask whoever sent it for another.',
            $this->expires_at->isPast() => sprintf(
                'This invitation ran out on %s. Ask whoever sent it for another.',
                $this->expires_at->format('j F Y'),
            ),
            default => null,
        };
    }

    /** @return BelongsTo<Project, $this> */
    public function project(): BelongsTo
    {
        return $this->belongsTo(Project::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'created_at' => 'datetime',
            'expires_at' => 'datetime',
            'accepted_at' => 'datetime',
            'withdrawn_at' => 'datetime',
            'user_id' => 'integer',
        ];
    }
}
