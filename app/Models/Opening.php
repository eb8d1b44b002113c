<?php

declare(strict_types=1);

namespace App\Models;

use App\Assembly\ElementTable;
use App\Assembly\HoldsElement;
use Illuminate\Database\Eloquent\Model;
use Isleward\Core\Design\Kind;

/** A stored {@see \Isleward\Core\Design\Opening}. */
class Opening extends Model implements HoldsElement
{
    public $incrementing = false;

    public $timestamps = false;

    protected $keyType = 'string';

    protected $guarded = [];

    public static function elements(): ElementTable
    {
        return new ElementTable(Kind::Opening, 'openings', [
            'id' => 'id', 'host' => 'host_id', 'storey' => 'storey_id', 'type' => 'unit_type_id',
            'width' => 'width', 'height' => 'height', 'shape' => 'shape', 'position' => 'position', 'sill' => 'sill',
            'facesOut' => 'faces_out', 'mirrored' => 'mirrored', 'setback' => 'setback', 'ajar' => 'ajar', 'mark' => 'mark',
            'jambs' => 'jambs', 'curtain' => 'curtain',
        ], json: ['shape', 'position', 'sill', 'curtain'], flags: ['facesOut', 'mirrored']);
    }
}
