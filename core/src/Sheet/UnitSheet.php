<?php

declare(strict_types=1);

namespace Isleward\Core\Sheet;

use Isleward\Core\Bench\View;
use Isleward\Core\Building\Solved;
use Isleward\Core\Design\Settings;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Drawing\Bounds;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Drawing\UnitElevation;
use Isleward\Core\Drawing\UnitPlan;
use Isleward\Core\Drawing\UnitSection;
use Isleward\Core\Unit\Opens;
use Isleward\Core\Unit\SolvedUnit;

/**
 * The sheet of a unit type: elevation from outside with its dimensions, section to its right at the same heights, plan under it
 * at the same widths, all at the largest usual scale that fits, and its tables down the right. Tables that do not fit go on
 * to further sheets.
 */
final class UnitSheet
{
    private function __construct(private readonly SolvedUnit $unit, private readonly Settings $settings)
    {
    }

    /**
     * @param  array<string, int>  $counts  openings of the type, by storey's name
     * @param  string  $date  as it is to be written
     * @return list<string> SVG, the first with the drawings
     */
    public static function pages(UnitType $type, Settings $settings, array $counts, Paper $paper, string $date): array
    {
        $unit = Solved::of($type, $type->width, $type->height);
        $sheet = new self($unit, $settings);

        return TypeSheet::pages(
            $type->mark,
            $type->name,
            $settings,
            $paper,
            $date,
            $sheet->drawings(...),
            UnitTables::of($type, $unit, $settings, $counts),
        );
    }

    /** Places the drawings in a rectangle of the page and gives their scale. */
    private function drawings(Page $page, float $x0, float $y0, float $x1, float $y1): string
    {
        $unit = $this->unit;
        [$cutX, $cutY] = View::cuts($unit, null);
        $plan = UnitPlan::shapes($unit, 0.0, true, null, $cutY);
        $section = UnitSection::shapes($unit, $cutX, 0.0, null);
        $planBox = self::bounds($plan, [0.0, 0.0, $unit->width, $unit->depth()]);
        $sectionBox = self::bounds($section, [0.0, 0.0, $unit->depth(), $unit->height]);
        $chains = Chains::of($unit, $this->settings->units);
        $caption = 7.0;
        $across = max($unit->width, $planBox[2]) - min(0.0, $planBox[0]) + $sectionBox[2] - $sectionBox[0];
        $up = $unit->height + $planBox[3] - $planBox[1];
        $roomX = $x1 - $x0 - $chains->room('left') - $chains->room('right') - 2 * TypeSheet::GAP;
        $roomY = $y1 - $y0 - $chains->room('above') - $chains->room('below') - 2 * $caption - TypeSheet::GAP;
        $scale = TypeSheet::largest(static fn (float $s): bool => $across / $s <= $roomX && $up / $s <= $roomY);
        $x = $x0 + $chains->room('left') - min(0.0, $planBox[0]) / $scale + max(0.0, ($roomX - $across / $scale) / 3);
        $y = $y0 + $chains->room('above') + $unit->height / $scale + max(0.0, ($roomY - $up / $scale) / 3);
        $page->drawing([Shape::contour(Layer::Void, $unit->outline), ...UnitElevation::shapes($unit)], $x, $y, $scale);
        foreach ($unit->lights as $i => $light) {
            [, $ly, $lx] = $light->contour->bounds();
            [, $lx] = $light->contour->spans(false, $ly + 4.0 * $scale)[0] ?? [0.0, $lx];
            $page->text($x + $lx / $scale - 1.2, $y - $ly / $scale - 1.4, 2.2, (string) ($i + 1), 'end', strong: true, halo: true);
        }
        $chains->draw($page, $x, $y, $scale);
        $sectionX = $x + $unit->width / $scale + $chains->room('right') + TypeSheet::GAP - $sectionBox[0] / $scale;
        $page->drawing($section, $sectionX, $y, $scale);
        $planY = $y + $chains->room('below') + $caption + $planBox[3] / $scale;
        $page->drawing($plan, $x, $planY, $scale);
        // where plan and section are cut
        [$atX, $atY] = [$x + $cutX / $scale, $y - $cutY / $scale];
        foreach ([[$atX, $y + $chains->room('below'), 0.0, 3.0], [$atX, $y - $unit->height / $scale - $chains->room('above') - 2, 0.0, 3.0],
            [$x - $chains->room('left') - 2, $atY, 3.0, 0.0],
            [$x + $unit->width / $scale + $chains->room('right'), $atY, 3.0, 0.0]] as [$cx, $cy, $dx, $dy]) {
            $page->line($cx, $cy, $cx + $dx, $cy + $dy, 0.5);
        }
        $foot = $y1 - 1.0;
        $page->text(
            $x0,
            $foot - 4.2,
            2.6,
            'Elevation from outside; section to its right, outside on its left; plan under it, outside at its foot.',
            strong: false,
        );
        $page->text($x0, $foot, 2.6, self::legend($unit), faint: true);

        return TypeSheet::scale($scale);
    }

    private static function legend(SolvedUnit $unit): string
    {
        $inward = $outward = false;
        foreach ($unit->lights as $light) {
            if ($light->leaves !== [] && $light->light->operation->isOneWay()) {
                $inward = $inward || $light->light->opens === Opens::Inward;
                $outward = $outward || $light->light->opens === Opens::Outward;
            }
        }

        return match (true) {
            $inward && $outward => 'Lines meet at the hinge side: dashed where a light opens inward, full where outward.',
            $inward => 'Dashed lines meet at the hinge side; the light opens inward.',
            $outward => 'Full lines meet at the hinge side; the light opens outward.',
            default => '',
        };
    }

    /**
     * @param  list<Shape>  $shapes
     * @param  array{float, float, float, float}  $least
     * @return array{float, float, float, float}
     */
    private static function bounds(array $shapes, array $least): array
    {
        [$x0, $y0, $x1, $y1] = $shapes === [] ? $least : Bounds::of($shapes);

        return [min($least[0], $x0), min($least[1], $y0), max($least[2], $x1), max($least[3], $y1)];
    }
}
