<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;

/**
 * A letter in the simulated outbox: it goes nowhere, and only whoever had it sent can read it there.
 *
 * @property string $id
 * @property int $user_id
 * @property string $recipient
 * @property string $subject
 * @property string $body
 * @property \Illuminate\Support\Carbon $created_at
 */
class Letter extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['created_at' => 'datetime', 'user_id' => 'integer'];
    }
}
