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
use Isleward\Core\Measure\Units;
use Isleward\Core\Unit\Opens;
use Isleward\Core\Unit\SolvedUnit;

/**
 * The sheet of a unit type: elevation from outside with its dimensions, section to its right at the same heights, plan under it
 * at the same widths, all at the largest usual scale that fits, and its tables down the right. Tables that do not fit go on
 * to further sheets.
 */
final class UnitSheet
{
    private const SCALES = [1.0, 2.0, 5.0, 10.0, 20.0, 25.0, 50.0, 100.0, 200.0, 500.0];

    private const GAP = 8.0;

    private const ROW = 4.4;

    private function __construct(
        private readonly UnitType $type,
        private readonly SolvedUnit $unit,
        private readonly Settings $settings,
        private readonly Paper $paper,
    ) {
    }

    /**
     * @param  array<string, int>  $counts  openings of the type, by storey's name
     * @param  string  $date  as it is to be written
     * @return list<string> SVG, the first with the drawings
     */
    public static function pages(UnitType $type, Settings $settings, array $counts, Paper $paper, string $date): array
    {
        $unit = Solved::of($type, $type->width, $type->height);

        return (new self($type, $unit, $settings, $paper))->all($counts, $date);
    }

    /**
     * @param  array<string, int>  $counts
     * @return list<string>
     */
    private function all(array $counts, string $date): array
    {
        [$width, $height] = $this->paper->size();
        $column = max(92.0, min(130.0, $width * 0.29));
        $left = TitleBlock::LEFT + 4;
        $right = $width - TitleBlock::EDGE - $column - 4;
        $title = trim($this->type->mark.' '.$this->type->name);
        $first = new Page($width, $height, $title.' · '.$this->settings->name);
        $scale = $this->drawings($first, $left, TitleBlock::EDGE + 6, $right - self::GAP, $height - TitleBlock::EDGE - 6);
        $first->line($right, TitleBlock::EDGE, $right, $height - TitleBlock::EDGE, 0.25);

        $pages = [$first];
        $tables = UnitTables::of($this->type, $this->unit, $this->settings, $counts);
        $bottom = $height - TitleBlock::EDGE - TitleBlock::HEIGHT - 3;
        $tables = self::flow($tables, $first, [$right + 4], $column - 4, TitleBlock::EDGE + 2, $bottom);
        while ($tables !== []) {
            $pages[] = $page = new Page($width, $height, $title.', continued · '.$this->settings->name);
            $columns = max(1, (int) floor(($width - $left - TitleBlock::EDGE - 4) / ($column + 4)));
            $tables = self::flow(
                $tables,
                $page,
                array_map(static fn (int $i): float => $left + $i * ($column + 4), range(0, $columns - 1)),
                $column - 4,
                TitleBlock::EDGE + 2,
                $bottom,
            );
        }
        foreach ($pages as $i => $page) {
            (new TitleBlock($this->settings->name, $title, $i === 0 ? '1:'.rtrim(
                rtrim(number_format($scale, 1, '.', ''), '0'),
                '.',
            ) : 'none',
                match ($this->settings->units) {
                    Units::Millimetre => 'mm', Units::Metre => 'm', Units::FeetInches => 'feet and inches'
                }, $date, sprintf('%s %d of %d', $this->type->mark, $i + 1, count($pages))))->draw($page, $column + 4);
        }

        return array_map(static fn (Page $p): string => $p->svg(), $pages);
    }

    /** Places the drawings in a rectangle of the page and gives their scale. */
    private function drawings(Page $page, float $x0, float $y0, float $x1, float $y1): float
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
        $roomX = $x1 - $x0 - $chains->room('left') - $chains->room('right') - 2 * self::GAP;
        $roomY = $y1 - $y0 - $chains->room('above') - $chains->room('below') - 2 * $caption - self::GAP;
        $fitting = array_values(array_filter(self::SCALES, static fn (float $s): bool => $across / $s <= $roomX && $up / $s <= $roomY));
        $scale = $fitting[0] ?? self::SCALES[count(self::SCALES) - 1];
        $x = $x0 + $chains->room('left') - min(0.0, $planBox[0]) / $scale + max(0.0, ($roomX - $across / $scale) / 3);
        $y = $y0 + $chains->room('above') + $unit->height / $scale + max(0.0, ($roomY - $up / $scale) / 3);
        $page->drawing([Shape::contour(Layer::Void, $unit->outline), ...UnitElevation::shapes($unit)], $x, $y, $scale);
        foreach ($unit->lights as $i => $light) {
            [, $ly, $lx] = $light->contour->bounds();
            [, $lx] = $light->contour->spans(false, $ly + 4.0 * $scale)[0] ?? [0.0, $lx];
            $page->text($x + $lx / $scale - 1.2, $y - $ly / $scale - 1.4, 2.2, (string) ($i + 1), 'end', strong: true, halo: true);
        }
        $chains->draw($page, $x, $y, $scale);
        $sectionX = $x + $unit->width / $scale + $chains->room('right') + self::GAP - $sectionBox[0] / $scale;
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

        return $scale;
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
     * Fills columns with tables and gives what is left.
     *
     * @param  list<Block>  $tables
     * @param  list<float>  $columns  where they begin
     * @return list<Block>
     */
    private static function flow(array $tables, Page $page, array $columns, float $width, float $top, float $bottom): array
    {
        foreach ($columns as $x) {
            $y = $top;
            while ($tables !== []) {
                $table = array_shift($tables);
                $rows = (int) floor(($bottom - $y) / self::ROW) - $table->head();
                // a table begins with three rows at least, or with all it has
                [$now, $rest] = $rows < min(3, count($table->rows)) ? [null, $table] : $table->split($rows);
                $y = $now?->draw($page, $x, $y, $width, self::ROW) ?? $y;
                if ($rest !== null) {
                    array_unshift($tables, $rest);
                    break;
                }
            }
        }

        return $tables;
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
