<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;

/**
 * An edit that runs on its own, with how far it is. Kept beside the edit's transaction, so that both can be seen and
 * stopped while it goes on.
 *
 * @property string $id
 * @property string $project_id
 * @property int $user_id
 * @property string $edit
 * @property array<array-key, mixed> $args
 * @property int $base
 * @property string $state waiting, running, stopping, done, refused or cancelled
 * @property int $done elements written
 * @property int $total
 * @property \Illuminate\Support\Carbon|null $updated_at
 * @property array<string, mixed>|null $outcome what the edit came to, or the problem
 */
class Task extends Model
{
    use HasUlids;

    protected $connection = 'beside';

    protected $guarded = [];

    /** Whether it has said nothing for so long that whatever ran it must be gone; its transaction is gone with it. */
    public function isLost(): bool
    {
        return in_array($this->state, ['running', 'stopping'], true) && $this->updated_at?->lt(now()->subMinutes(5)) === true;
    }

    /** @return array<string, mixed> */
    public function toView(): array
    {
        return ['id' => $this->id, 'state' => $this->state, 'done' => $this->done, 'total' => $this->total,
            'outcome' => $this->state === 'done' ? $this->outcome : null, 'problem' => $this->state === 'refused' ? $this->outcome : null];
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['args' => 'array', 'outcome' => 'array', 'base' => 'integer', 'done' => 'integer', 'total' => 'integer', 'user_id' => 'integer'];
    }
}
