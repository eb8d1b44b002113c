<?php

declare(strict_types=1);

namespace App\Models;

use App\Assembly\ElementTable;
use App\Assembly\HoldsElement;
use Illuminate\Database\Eloquent\Model;
use Isleward\Core\Design\Kind;

/** A stored {@see \Isleward\Core\Layer\FloorBand}. */
class FloorBand extends Model implements HoldsElement
{
    public $incrementing = false;

    public $timestamps = false;

    protected $keyType = 'string';

    protected $guarded = [];

    public static function elements(): ElementTable
    {
        return new ElementTable(Kind::FloorBand, 'floor_bands', [
            'id' => 'id', 'name' => 'name', 'position' => 'position', 'outline' => 'outline_id', 'line' => 'line', 'storey' => 'storey_id',
            'top' => 'top_storey_id', 'level' => 'level', 'height' => 'height', 'depth' => 'depth', 'out' => 'outset', 'edge' => 'edge',
            'edgeSize' => 'edge_size', 'profile' => 'profile', 'finish' => 'finish', 'inner' => 'inner_faces', 'holes' => 'holes',
        ], json: ['line', 'out', 'profile', 'holes'], flags: ['inner']);
    }
}
