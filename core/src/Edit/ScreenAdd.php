<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Layer\Screen;
use Isleward\Core\Layer\Screens;
use Isleward\Core\Layer\ScreenShape;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Stands a screen before "walls" of one outline, or all of an "outline", over their whole width from "foot" over the floor of a "storey"
 * up, so "height"; or with "id" changes what is given of one.
 */
final readonly class ScreenAdd implements Edit
{
    use OnScreens;

    public function apply(Design $design, Ids $ids): Change
    {
        $args = $this->args;
        $before = $args->has('id') ? Screens::screen($design, $args->string('id')) : null;
        $given = array_diff_key($args->all(), ['foot' => 1, 'height' => 1]);
        if ($before !== null) {
            $after = Screen::from(new Fields([...$before->toArray(), ...$given], $args->units()));

            return ScreenRules::change($design, $before, $after, "Changed $after->name");
        }
        $walls = $args->has('walls') ? array_values(array_unique($args->strings('walls'))) : [];
        $outline = $walls === [] ? $args->stringOrNull('outline') : $design->wall($walls[0])->outline;
        if ($outline === null) {
            throw Refusal::because('screen.where', 'A screen stands before walls: choose some, or an outline.');
        }
        $storey = $design->storeys->get($args->string('storey'));
        $foot = $args->has('foot') ? $args->length('foot') : 0.0;
        $height = $args->has('height') ? $args->size('height', 'The height of a screen') : $storey->height - $foot;
        $whole = ScreenShape::from(new Fields(['form' => 'whole', 'v' => $foot, 'height' => $height], $args->units()));
        $after = Screen::from(new Fields([
            'name' => BandRules::freeName($design, 'Screen'), 'walls' => [], 'gap' => 150.0, 'thick' => 20.0, ...$given,
            'id' => $ids->next(Kind::Screen), 'position' => BandRules::lastPosition($design) + 1, 'outline' => $outline,
            'parts' => [['n' => 1, 'cut' => false, 'wall' => null, 'shape' => $whole->toArray()]],
            'edges' => $given['edges'] ?? false, 'reveals' => $given['reveals'] ?? false, 'finish' => $given['finish'] ?? null,
        ], $args->units()));

        return ScreenRules::change($design, null, $after, "Stood $after->name", [1]);
    }
}
