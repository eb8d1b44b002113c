<?php

declare(strict_types=1);

namespace App\Models;

use App\Assembly\ElementTable;
use App\Assembly\HoldsElement;
use Illuminate\Database\Eloquent\Model;
use Isleward\Core\Design\Kind;

/** A stored {@see \Isleward\Core\Design\Outline}. */
class Outline extends Model implements HoldsElement
{
    public $incrementing = false;

    public $timestamps = false;

    protected $keyType = 'string';

    protected $guarded = [];

    public static function elements(): ElementTable
    {
        return new ElementTable(Kind::Outline, 'outlines', [
            'id' => 'id', 'name' => 'name', 'position' => 'position', 'closed' => 'closed', 'inner' => 'inner', 'slab' => 'slab',
        ], flags: ['closed', 'inner']);
    }
}
