<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A lettered state of a project, kept for good: what it was after a change of its log.
 *
 * @property string $project_id
 * @property string $letter A to Z, then AA
 * @property int $number of the latest change it holds
 * @property string $note
 * @property int $user_id
 */
class Revision extends Model
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
        return ['number' => 'integer', 'user_id' => 'integer'];
    }
}
