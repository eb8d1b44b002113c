<?php

declare(strict_types=1);

namespace App\Models;

use App\Assembly\ElementTable;
use App\Assembly\HoldsElement;
use Illuminate\Database\Eloquent\Model;
use Isleward\Core\Design\Kind;

/** A stored {@see \Isleward\Core\Layer\Screen}. */
class Screen extends Model implements HoldsElement
{
    public $incrementing = false;

    public $timestamps = false;

    protected $keyType = 'string';

    protected $guarded = [];

    public static function elements(): ElementTable
    {
        return new ElementTable(Kind::Screen, 'screens', [
            'id' => 'id', 'name' => 'name', 'position' => 'position', 'outline' => 'outline_id', 'walls' => 'walls',
            'storey' => 'storey_id', 'gap' => 'gap', 'thick' => 'thick', 'parts' => 'parts', 'edges' => 'edges_closed',
            'reveals' => 'reveals_closed', 'finish' => 'finish',
        ], json: ['walls', 'parts'], flags: ['edges', 'reveals']);
    }
}
