<?php

declare(strict_types=1);

namespace App\Models;

use App\Assembly\ElementTable;
use App\Assembly\HoldsElement;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Settings;
use Isleward\Core\Measure\Fields;

/**
 * A project: its settings, and the number of its latest change.
 *
 * @property string $id
 * @property string $name
 * @property int $change_number
 * @property string $structure_version another for every state of storeys, outlines, walls, types and lines
 * @property int $standing how many of its changes stand
 * @property bool $demo whether it is the one that comes with a fresh installation
 * @property \Illuminate\Support\Carbon|null $archived_at put aside by an owner
 * @property \Illuminate\Support\Carbon|null $binned_at from then on only its owners know of it
 * @property \Illuminate\Support\Carbon $updated_at
 */
class Project extends Model implements HoldsElement
{
    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    public static function elements(): ElementTable
    {
        return new ElementTable(Kind::Settings, 'projects', [
            'id' => 'id', 'name' => 'name', 'units' => 'units', 'cornerMargin' => 'corner_margin', 'baseLevel' => 'base_level',
            'north' => 'north', 'nib' => 'nib', 'module' => 'module',
            'finishes' => 'finishes', 'unitRules' => 'unit_rules', 'slab' => 'slab', 'setting' => 'setting',
            'jambs' => 'jambs', 'curtainRules' => 'curtain_rules', 'layerRules' => 'layer_rules',
        ], json: ['module', 'finishes', 'unitRules', 'curtainRules', 'layerRules']);
    }

    /** @var array{array<string, mixed>, Settings}|null the row that the settings were last read from, and they */
    private ?array $read = null;

    public function settings(): Settings
    {
        $row = $this->getAttributes();
        if ($this->read === null || $this->read[0] !== $row) {
            $this->read = [$row, Settings::from(new Fields(self::elements()->values($row)))];
        }

        return $this->read[1];
    }

    /** @return BelongsToMany<User, $this> */
    public function members(): BelongsToMany
    {
        return $this->belongsToMany(User::class, 'memberships')->withPivot('role');
    }

    /** @return HasMany<Change, $this> */
    public function changes(): HasMany
    {
        return $this->hasMany(Change::class);
    }

    public function roleOf(User $user): ?Role
    {
        $role = $this->getConnection()->table('memberships')->where('project_id', $this->id)->where('user_id', $user->id)->value('role');

        return is_string($role) ? Role::tryFrom($role) : null;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'corner_margin' => 'float',
            'base_level' => 'float',
            'north' => 'float',
            'nib' => 'float',
            'slab' => 'float',
            'setting' => 'float',
            'change_number' => 'integer',
            'standing' => 'integer',
            'demo' => 'boolean', 'archived_at' => 'datetime', 'binned_at' => 'datetime',
        ];
    }
}
