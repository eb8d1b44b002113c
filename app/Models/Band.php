<?php

declare(strict_types=1);

namespace App\Models;

use App\Assembly\ElementTable;
use App\Assembly\HoldsElement;
use Illuminate\Database\Eloquent\Model;
use Isleward\Core\Design\Kind;

/** A stored {@see \Isleward\Core\Layer\Band}. */
class Band extends Model implements HoldsElement
{
    public $incrementing = false;

    public $timestamps = false;

    protected $keyType = 'string';

    protected $guarded = [];

    public static function elements(): ElementTable
    {
        return new ElementTable(Kind::Band, 'bands', [
            'id' => 'id', 'name' => 'name', 'position' => 'position', 'outline' => 'outline_id', 'walls' => 'walls', 'line' => 'line',
            'gap' => 'gap', 'storey' => 'storey_id', 'foot' => 'foot', 'stand' => 'stand', 'shape' => 'shape', 'profile' => 'profile',
            'spaced' => 'spaced', 'laws' => 'laws', 'finish' => 'finish', 'pinned' => 'pinned',
        ], json: ['walls', 'line', 'profile', 'spaced', 'laws', 'pinned']);
    }
}
