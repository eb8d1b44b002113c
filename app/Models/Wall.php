<?php

declare(strict_types=1);

namespace App\Models;

use App\Assembly\ElementTable;
use App\Assembly\HoldsElement;
use Illuminate\Database\Eloquent\Model;
use Isleward\Core\Design\Kind;

/** A stored {@see \Isleward\Core\Design\Wall}. */
class Wall extends Model implements HoldsElement
{
    public $incrementing = false;

    public $timestamps = false;

    protected $keyType = 'string';

    protected $guarded = [];

    public static function elements(): ElementTable
    {
        return new ElementTable(Kind::Wall, 'walls', [
            'id' => 'id', 'outline' => 'outline_id', 'position' => 'position',
            'fromX' => 'from_x', 'fromY' => 'from_y', 'toX' => 'to_x', 'toY' => 'to_y', 'rise' => 'rise',
            'keeps' => 'keeps',
            'thickness' => 'thickness', 'base' => 'base_storey_id', 'top' => 'top_storey_id',
            'curtain' => 'curtain', 'head' => 'head', 'foot' => 'foot',
        ], json: ['curtain', 'head', 'foot']);
    }
}
