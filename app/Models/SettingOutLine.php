<?php

declare(strict_types=1);

namespace App\Models;

use App\Assembly\ElementTable;
use App\Assembly\HoldsElement;
use Illuminate\Database\Eloquent\Model;
use Isleward\Core\Design\Kind;

/** A stored {@see \Isleward\Core\Design\SettingOutLine}. */
class SettingOutLine extends Model implements HoldsElement
{
    public $incrementing = false;

    public $timestamps = false;

    protected $keyType = 'string';

    protected $guarded = [];

    public static function elements(): ElementTable
    {
        return new ElementTable(
            Kind::Line,
            'setting_out_lines',
            ['id' => 'id', 'name' => 'name', 'host' => 'host_id', 'storey' => 'storey_id', 'axis' => 'axis', 'rule' => 'rule'],
            json: ['rule'],
        );
    }
}
