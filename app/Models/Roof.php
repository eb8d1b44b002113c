<?php

declare(strict_types=1);

namespace App\Models;

use App\Assembly\ElementTable;
use App\Assembly\HoldsElement;
use Illuminate\Database\Eloquent\Model;
use Isleward\Core\Design\Kind;

/** A stored {@see \Isleward\Core\Roof\Roof}. */
class Roof extends Model implements HoldsElement
{
    public $incrementing = false;

    public $timestamps = false;

    protected $keyType = 'string';

    protected $guarded = [];

    public static function elements(): ElementTable
    {
        return new ElementTable(Kind::Roof, 'roofs', [
            'id' => 'id', 'name' => 'name', 'position' => 'position', 'outline' => 'outline_id', 'also' => 'also', 'through' => 'through',
            'storey' => 'storey_id',
            'level' => 'level', 'pitch' => 'pitch', 'overhang' => 'overhang',
            'along' => 'along_slope', 'within' => 'within', 'thick' => 'thick', 'cut' => 'eaves_cut',
            'edges' => 'edges', 'finish' => 'finish', 'lights' => 'lights',
        ], json: ['also', 'through', 'edges', 'lights'], flags: ['along', 'within']);
    }
}
