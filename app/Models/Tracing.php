<?php

declare(strict_types=1);

namespace App\Models;

use App\Assembly\ElementTable;
use App\Assembly\HoldsElement;
use Illuminate\Database\Eloquent\Model;
use Isleward\Core\Design\Kind;

/** A stored {@see \Isleward\Core\Design\Tracing}. */
class Tracing extends Model implements HoldsElement
{
    public $incrementing = false;

    public $timestamps = false;

    protected $keyType = 'string';

    protected $guarded = [];

    public static function elements(): ElementTable
    {
        return new ElementTable(
            Kind::Tracing,
            'tracings',
            [
                'id' => 'id',
                'name' => 'name',
                'storeys' => 'storeys',
                'file' => 'file',
                'width' => 'width',
                'height' => 'height',
                'x' => 'x',
                'y' => 'y',
                'scale' => 'scale',
                'angle' => 'angle',
                'opacity' => 'opacity',
                'locked' => 'locked',
            ],
            json: ['storeys'],
            flags: ['locked'],
        );
    }
}
