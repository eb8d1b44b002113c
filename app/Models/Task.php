<?php

declare(strict_types=1);

namespace App\Models;

use App\Exports\MakeSheets;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;

/**
 * An edit, or a file in the making, that runs on its own, with how far it is. Kept beside the edit's transaction, so that both can be seen and
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
 * @property array<string, mixed>|null $outcome what it came to, or the problem
 */
class Task extends Model
{
    use HasUlids;

    protected $connection = 'beside';

    protected $guarded = [];

    /**
     * A new one, waiting. Those of past days go, and their files with them.
     *
     * @param  array<array-key, mixed>  $args
     */
    public static function begin(Project $project, User $user, string $edit, array $args, int $base = 0): self
    {
        foreach (self::query()->where('created_at', '<', now()->subDay())->get() as $old) {
            if (is_file($old->file())) {
                unlink($old->file());
            }
            $old->delete();
        }

        return self::query()->create(['project_id' => $project->id, 'user_id' => $user->id, 'edit' => $edit, 'args' => $args, 'base' => $base, 'state' => 'waiting', 'done' => 0, 'total' => 0]);
    }

    /** Whether it comes to a file, instead of a change of the project. */
    public function makesFile(): bool
    {
        return $this->edit === MakeSheets::EDIT;
    }

    /** Where its file is kept for a day. */
    public function file(): string
    {
        return storage_path('app/tasks/'.$this->id);
    }

    /** Whether it has said nothing for so long that whatever ran it must be gone; its transaction is gone with it. */
    public function isLost(): bool
    {
        return in_array($this->state, ['running', 'stopping'], true) && $this->updated_at?->lt(now()->subMinutes(5)) === true;
    }

    /** @return array<string, mixed> */
    public function toView(): array
    {
        $done = $this->state === 'done';

        return ['id' => $this->id, 'state' => $this->state, 'done' => $this->done, 'total' => $this->total,
            'outcome' => $done && ! $this->makesFile() ? $this->outcome : null, 'file' => $done && $this->makesFile() ? $this->outcome : null,
            'problem' => $this->state === 'refused' ? $this->outcome : null];
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['args' => 'array', 'outcome' => 'array', 'base' => 'integer', 'done' => 'integer', 'total' => 'integer', 'user_id' => 'integer'];
    }
}
