<?php

declare(strict_types=1);

namespace App\Models;

use App\Tasks\Lane;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;

/**
 * An edit, or a file in the making, that runs on its own, with how far it is. Kept beside the edit's transaction, so that both can be seen
 * and
 * stopped while it goes on.
 *
 * @property string $id
 * @property string $project_id
 * @property int $user_id
 * @property string $edit
 * @property array<array-key, mixed> $args
 * @property int $base
 * @property string $key under which its change is in the log
 * @property string $lane
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

    /** Whether it comes to a file, instead of a change of the project. */
    public function makesFile(): bool
    {
        return $this->lane() === Lane::Files;
    }

    /** Where its file is kept for a day. */
    public function file(): string
    {
        return storage_path('app/tasks/'.$this->id);
    }

    public function lane(): Lane
    {
        return Lane::from($this->lane);
    }

    /** @return array<string, mixed> */
    public function toView(): array
    {
        $done = $this->state === 'done';

        return ['id' => $this->id, 'state' => $this->state, 'done' => $this->done, 'total' => $this->total,
            'outcome' => $done && ! $this->makesFile() ? $this->outcome : null,
            'file' => $done && $this->makesFile() ? $this->outcome : null,
            'problem' => $this->state === 'refused' && $this->outcome !== null ? self::problem($this->outcome) : null];
    }

    /**
     * An empty object comes out of the database as an empty list.
     *
     * @param  array<string, mixed>  $problem
     * @return array<string, mixed>
     */
    private static function problem(array $problem): array
    {
        $details = $problem['details'] ?? null;

        return is_array($details) ? ['details' => (object) $details] + $problem : $problem;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'args' => 'array', 'outcome' => 'array', 'base' => 'integer', 'done' => 'integer', 'total' => 'integer',
            'user_id' => 'integer', 'started' => 'integer',
        ];
    }
}
