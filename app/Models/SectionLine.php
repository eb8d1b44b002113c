<?php

declare(strict_types=1);

namespace App\Models;

use App\Assembly\ElementTable;
use App\Assembly\HoldsElement;
use Illuminate\Database\Eloquent\Model;
use Isleward\Core\Design\Kind;

/** A stored {@see \Isleward\Core\Design\SectionLine}. */
class SectionLine extends Model implements HoldsElement
{
    public $incrementing = false;

    public $timestamps = false;

    protected $keyType = 'string';

    protected $guarded = [];

    public static function elements(): ElementTable
    {
        return new ElementTable(
            Kind::Section,
            'section_lines',
            ['id' => 'id', 'name' => 'name', 'fromX' => 'from_x', 'fromY' => 'from_y', 'toX' => 'to_x', 'toY' => 'to_y'],
        );
    }
}
