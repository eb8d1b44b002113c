<?php

declare(strict_types=1);

namespace App\Models;

use App\Assembly\ElementTable;
use App\Assembly\HoldsElement;
use Illuminate\Database\Eloquent\Model;
use Isleward\Core\Design\Kind;

/** A stored {@see \Isleward\Core\Sheet\SheetPlan}. */
class SheetPlan extends Model implements HoldsElement
{
    public $incrementing = false;

    public $timestamps = false;

    protected $keyType = 'string';

    protected $guarded = [];

    public static function elements(): ElementTable
    {
        return new ElementTable(
            Kind::Sheet,
            'sheet_plans',
            ['id' => 'id', 'name' => 'name', 'number' => 'number', 'paper' => 'paper', 'items' => 'items'],
            json: ['items'],
        );
    }
}
