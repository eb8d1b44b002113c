<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One line of a project's log: what was done, with every element before and after.
 *
 * @property string $project_id
 * @property int $number
 * @property int $user_id
 * @property string $edit
 * @property string $kind do, undo or redo
 * @property string $summary
 * @property int|null $reverses number of the change an undo or redo takes back
 * @property int|null $reversed_by number of the change that took this one back
 * @property list<array<string, mixed>> $operations
 * @property list<string> $touched
 * @property string|null $key under which it was asked for
 * @property array<string, mixed>|null $told
 */
class Change extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = null;

    protected $guarded = [];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'operations' => 'array', 'touched' => 'array', 'told' => 'array', 'number' => 'integer',
            'user_id' => 'integer', 'reverses' => 'integer', 'reversed_by' => 'integer',
        ];
    }
}
