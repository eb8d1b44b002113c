<?php

declare(strict_types=1);

namespace App\Models;

use App\Assembly\ElementTable;
use App\Assembly\HoldsElement;
use Illuminate\Database\Eloquent\Model;
use Isleward\Core\Design\Kind;

/** A stored {@see \Isleward\Core\Design\NamedSet}. */
class NamedSet extends Model implements HoldsElement
{
    public $incrementing = false;

    public $timestamps = false;

    protected $keyType = 'string';

    protected $guarded = [];

    public static function elements(): ElementTable
    {
        $columns = ['id' => 'id', 'name' => 'name', 'members' => 'members', 'parts' => 'parts'];

        return new ElementTable(Kind::Set, 'named_sets', $columns, json: ['members', 'parts']);
    }
}
