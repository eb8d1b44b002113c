<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Layer\ScreenPart;
use Isleward\Core\Layer\ScreenPlaces;
use Isleward\Core\Layer\Screens;
use Isleward\Core\Measure\Refusal;

/**
 * Copies pieces and cut-outs of a screen: "times" on, each "du" further and "dv" higher; onto "storeys", as high over each floor; or "to"
 * another wall it stands before, as far from its left end.
 */
final readonly class ScreenCopy implements Edit
{
    use OnScreens;

    private const MOST = 500;

    public function apply(Design $design, Ids $ids): Change
    {
        $args = $this->args;
        $screen = Screens::screen($design, $args->string('id'));
        $chosen = ScreenRules::chosen($screen, $args->counts('parts'));
        array_walk($chosen, static fn (ScreenPart $p) => ScreenRules::requireDrawn($p));
        $times = $args->has('times') ? $args->count('times', 'How often it is copied', 1, self::MOST) : 1;
        [$du, $dv] = [$args->has('du') ? $args->length('du') : 0.0, $args->has('dv') ? $args->length('dv') : 0.0];
        $steps = [];
        if ($args->has('storeys')) {
            $floor = $design->storeys->floor($screen->storey);
            foreach ($args->strings('storeys') as $storey) {
                $steps[] = [0.0, $design->storeys->floor($storey) - $floor];
            }
        } else {
            for ($k = 1; $k <= $times; $k++) {
                $steps[] = [$k * $du, $k * $dv];
            }
        }
        $to = $args->stringOrNull('to');
        if ($to === null && ($steps === [] || array_filter($steps, static fn (array $s): bool => hypot(...$s) > 0.1) !== $steps)) {
            throw Refusal::because('screen.copy_on_itself', 'A copy would lie on what it is a copy of: say how far on it lies.',
                details: ['field' => 'du']);
        }
        $more = [];
        foreach ($to === null ? $steps : [[$du, $dv]] as [$u, $v]) {
            foreach ($chosen as $part) {
                $lies = ScreenPlaces::shape($design, $screen, $part)->moved($u, $v);
                // before another wall it cannot be measured from what it was
                $level = $part->sill?->ref === null ? $part->sill : null;
                $free = $to === null || $to === $part->wall ? $part : $part->placed($lies, null, $level);
                $more[] = ScreenPlaces::put($design, $screen, $free->copied(0, $to ?? $part->wall), $lies);
            }
        }
        [$after, $numbers] = ScreenRules::extended($screen, $more);

        $summary = sprintf('Copied %s of %s', ScreenRules::words(...$chosen), $after->name);

        return ScreenRules::change($design, $screen, $after, $summary, $numbers);
    }
}
