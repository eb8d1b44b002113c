<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Layer\ScreenPart;
use Isleward\Core\Layer\ScreenPlaces;
use Isleward\Core\Layer\Screens;

/** Moves pieces and cut-outs of a screen along its wall by "du" and up by "dv". */
final readonly class ScreenMove implements Edit
{
    use OnScreens;

    public function apply(Design $design, Ids $ids): Change
    {
        $args = $this->args;
        $screen = Screens::screen($design, $args->string('id'));
        [$du, $dv] = [$args->has('du') ? $args->length('du') : 0.0, $args->has('dv') ? $args->length('dv') : 0.0];
        $moved = [];
        foreach (ScreenRules::chosen($screen, $args->counts('parts')) as $part) {
            ScreenRules::requireDrawn($part);
            $lies = ScreenPlaces::shape($design, $screen, $part);
            $moved[] = ScreenPlaces::put($design, $screen, $part, $lies->moved($du, $dv));
        }
        $after = ScreenRules::replaced($screen, $moved);
        $numbers = array_map(static fn (ScreenPart $p): int => $p->n, $moved);

        $summary = sprintf('Moved %s of %s', ScreenRules::words(...$moved), $after->name);

        return ScreenRules::change($design, $screen, $after, $summary, $numbers);
    }
}
