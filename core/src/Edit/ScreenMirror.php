<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Layer\ScreenPart;
use Isleward\Core\Layer\ScreenPlaces;
use Isleward\Core\Layer\Screens;

/** Mirrors pieces and cut-outs of a screen "about" a place along their wall; with "keep" they stay, and their mirror images are more. */
final readonly class ScreenMirror implements Edit
{
    use OnScreens;

    public function apply(Design $design, Ids $ids): Change
    {
        $args = $this->args;
        $screen = Screens::screen($design, $args->string('id'));
        $about = $args->length('about');
        $mirrored = [];
        foreach ($chosen = ScreenRules::chosen($screen, $args->counts('parts')) as $part) {
            ScreenRules::requireDrawn($part);
            $lies = ScreenPlaces::shape($design, $screen, $part);
            $mirrored[] = ScreenPlaces::put($design, $screen, $part->handed(), $lies->mirrored($about));
        }
        $numbers = array_map(static fn (ScreenPart $p): int => $p->n, $mirrored);
        [$after, $numbers] = $args->bool('keep')
            ? ScreenRules::extended($screen, $mirrored)
            : [ScreenRules::replaced($screen, $mirrored), $numbers];

        $summary = sprintf('Mirrored %s of %s', ScreenRules::words(...$chosen), $after->name);

        return ScreenRules::change($design, $screen, $after, $summary, $numbers);
    }
}
