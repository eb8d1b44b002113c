<?php

declare(strict_types=1);

namespace App\Models;

use App\Assembly\ElementTable;
use App\Assembly\HoldsElement;
use Illuminate\Database\Eloquent\Model;
use Isleward\Core\Design\Kind;

/** A stored {@see \Isleward\Core\CurtainWall\GridType}. */
class GridType extends Model implements HoldsElement
{
    public $incrementing = false;

    public $timestamps = false;

    protected $keyType = 'string';

    protected $guarded = [];

    public static function elements(): ElementTable
    {
        return new ElementTable(Kind::Grid, 'grid_types', [
            'id' => 'id', 'mark' => 'mark', 'name' => 'name', 'position' => 'position', 'corner' => 'corner', 'rules' => 'rules',
        ], json: ['corner', 'rules']);
    }
}
