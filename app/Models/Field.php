<?php

declare(strict_types=1);

namespace App\Models;

use App\Assembly\ElementTable;
use App\Assembly\HoldsElement;
use Illuminate\Database\Eloquent\Model;
use Isleward\Core\Design\Kind;

/** A stored {@see \Isleward\Core\Layer\Field}. */
class Field extends Model implements HoldsElement
{
    public $incrementing = false;

    public $timestamps = false;

    protected $keyType = 'string';

    protected $guarded = [];

    public static function elements(): ElementTable
    {
        return new ElementTable(Kind::Field, 'fields', [
            'id' => 'id', 'name' => 'name', 'position' => 'position', 'outline' => 'outline_id', 'wall' => 'wall_id',
            'storey' => 'storey_id', 'opening' => 'opening_id', 'region' => 'region', 'angle' => 'angle', 'shape' => 'shape',
            'screen' => 'screen_id', 'cut' => 'cut', 'cell' => 'cell',
            'web' => 'web', 'profile' => 'profile',
            'frameWide' => 'frame_wide', 'frameDeep' => 'frame_deep',
            'wide' => 'wide', 'deep' => 'deep', 'turn' => 'turn', 'turnLaw' => 'turn_law',
            'out' => 'outset', 'battens' => 'battens', 'finish' => 'finish',
        ], json: ['region', 'battens', 'profile', 'turnLaw']);
    }
}
