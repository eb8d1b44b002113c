<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Jambs;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Settings;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Changes any of the project's settings: name, units, corner margin, base level, north, nib, masonry module, finishes, limits of units,
 * thickness of floors, tolerance of marks.
 */
final readonly class SettingsChange implements Edit
{
    private function __construct(private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args);
    }

    public function scope(): Scope
    {
        return $this->args->has('jambs') ? Scope::everything() : Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $given = array_intersect_key(
            $this->args->all(),
            array_flip([
                'name',
                'units',
                'cornerMargin',
                'baseLevel',
                'north',
                'nib',
                'module',
                'finishes',
                'unitRules',
                'slab',
                'setting',
                'jambs',
                'curtainRules',
                'layerRules',
            ]),
        );
        $after = Settings::from(new Fields([...$design->settings->toArray(), ...$given], $this->args->units()));
        if ($after->jambs === Jambs::Bent) {
            throw Refusal::because(
                'settings.jambs',
                'Units are bent to curved walls one by one; for all others jambs are parallel or radial.',
                details: ['field' => 'jambs'],
            );
        }
        $change = new Change('Changed the project’s settings', [Operation::alter($design->settings, $after)]);
        if ($after->jambs !== $design->settings->jambs) {
            Standing::require($design->after($change), $design);
        }

        return $change;
    }
}
