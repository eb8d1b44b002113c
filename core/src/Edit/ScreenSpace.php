<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Arrange\Spacing;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Layer\ScreenPart;
use Isleward\Core\Layer\ScreenPlaces;
use Isleward\Core\Layer\Screens;
use Isleward\Core\Measure\Refusal;

/**
 * Spaces pieces and cut-outs of a screen along their wall or "up" it, by equal "gaps" or "centres": between the outer two, or with "ends"
 * between the ends of the screen before their wall.
 */
final readonly class ScreenSpace implements Edit
{
    use OnScreens;

    public function apply(Design $design, Ids $ids): Change
    {
        $args = $this->args;
        $screen = Screens::screen($design, $args->string('id'));
        $chosen = ScreenRules::chosen($screen, $args->counts('parts'));
        [$up, $ends] = [$args->bool('up'), $args->bool('ends')];
        $boxes = [];
        foreach ($chosen as $part) {
            ScreenRules::requireDrawn($part);
            if ($part->wall !== $chosen[0]->wall) {
                throw Refusal::because('screen.space_walls', 'Only what lies before one wall is spaced: these lie before several.');
            }
            $lies = ScreenPlaces::shape($design, $screen, $part);
            $box = $lies->contour()->bounds();
            $boxes[] = [$part, $box[$up ? 1 : 0], $box[$up ? 3 : 2], $lies];
        }
        if (count($chosen) < ($ends ? 1 : 3)) {
            throw Refusal::because(
                'screen.space_few',
                'Between the outer two at least one more is spaced: choose three or more, or space them between the ends.',
            );
        }
        usort($boxes, static fn (array $a, array $b): int => $a[1] + $a[2] <=> $b[1] + $b[2]);
        [$from, $to] = [$boxes[0][1], $boxes[count($boxes) - 1][2]];
        if ($ends) {
            $face = Screens::in($design)->of($screen)->faces[$chosen[0]->wall ?? ''] ?? null;
            $bounds = $face?->bounds() ?? throw Refusal::because('screen.none', 'Nothing of the screen is there.');
            $floor = $design->storeys->floor($screen->storey);
            [$from, $to] = $up ? [$bounds[1] - $floor, $bounds[3] - $floor] : [$bounds[0], $bounds[2]];
        }
        $widths = array_map(static fn (array $b): float => $b[2] - $b[1], $boxes);
        $gaps = $args->string('by') === 'gaps';
        $spacing = $gaps
            ? Spacing::equalGaps($widths, $from, $to, $ends)
            : Spacing::equalCentres($widths, $from, $to, $ends);
        if ($gaps && $spacing->gap < 0.0) {
            throw Refusal::because('screen.space_room', sprintf(
                'They are %s together; there are %s between the ends.', ScreenRules::mm(array_sum($widths)), ScreenRules::mm($to - $from),
            ));
        }
        $moved = [];
        foreach ($boxes as $i => [$part, $start, , $lies]) {
            $by = $spacing->starts[$i] - $start;
            $moved[] = ScreenPlaces::put($design, $screen, $part, $lies->moved($up ? 0.0 : $by, $up ? $by : 0.0));
        }
        $after = ScreenRules::replaced($screen, $moved);

        return ScreenRules::change(
            $design, $screen, $after, sprintf('Spaced %s of %s', ScreenRules::words(...$chosen), $after->name),
            array_map(static fn (ScreenPart $p): int => $p->n, $moved),
        );
    }
}
