<?php

declare(strict_types=1);

namespace App\Models;

use App\Assembly\ElementTable;
use App\Assembly\HoldsElement;
use Illuminate\Database\Eloquent\Model;
use Isleward\Core\Design\Kind;

/** A stored {@see \Isleward\Core\Schedule\Layout}. */
class Layout extends Model implements HoldsElement
{
    public $incrementing = false;

    public $timestamps = false;

    protected $keyType = 'string';

    protected $guarded = [];

    public static function elements(): ElementTable
    {
        return new ElementTable(
            Kind::Layout, 'layouts',
            [
                'id' => 'id',
                'name' => 'name',
                'source' => 'source',
                'columns' => 'columns',
                'merge' => 'merge',
                'groups' => 'groups',
                'sort' => 'sort',
                'filters' => 'filters',
                'totals' => 'totals',
            ],
            json: ['columns', 'groups', 'sort', 'filters'], flags: ['merge', 'totals']);
    }
}
