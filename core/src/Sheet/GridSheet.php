<?php

declare(strict_types=1);

namespace Isleward\Core\Sheet;

use Isleward\Core\CurtainWall\FaceShapes;
use Isleward\Core\CurtainWall\GridDetails;
use Isleward\Core\CurtainWall\GridType;
use Isleward\Core\CurtainWall\InfillRule;
use Isleward\Core\CurtainWall\Typical;
use Isleward\Core\CurtainWall\Where;
use Isleward\Core\Design\Design;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * The sheet of a grid type: a typical stretch from outside with its chains of bays and rows, under it its corner, a mullion and a
 * transom cut at 1:5 (or the largest scale that has room), its tables down the right.
 */
final class GridSheet
{
    /** Details are drawn at the first of these that has room. */
    private const DETAILS = [5.0, 10.0, 20.0];

    /** Room of a caption, mm of paper. */
    private const CAPTION = 7.0;

    private function __construct(
        private readonly GridType $type,
        private readonly Design $design,
        private readonly ?Typical $typical,
    ) {
    }

    /**
     * @param  list<array{string, string}>  $places  where it stands, and how often
     * @param  string  $date  as it is to be written
     * @return list<string> SVG, the first with the drawings
     */
    public static function pages(GridType $type, Design $design, array $places, Paper $paper, string $date): array
    {
        $typical = self::typical($type);
        $sheet = new self($type, $design, $typical);

        return TypeSheet::pages(
            $type->mark(),
            $type->name(),
            $design->settings,
            $paper,
            $date,
            $sheet->drawings(...),
            GridTables::of($type, $design, $typical, $places),
        );
    }

    /** A storey of some bays (two where floors matter to its rows or infills), or a size that its rules fit; null where none is known. */
    private static function typical(GridType $type): ?Typical
    {
        $rules = $type->rules();
        $height = Typical::usualHeight($rules);
        $floors = array_filter($rules->infills, static fn (InfillRule $i): bool => $i->where === Where::Band) !== [];
        $storeys = $rules->rows->perStorey || $floors ? 2 : 1;
        try {
            return Typical::of(
                $rules,
                Typical::usualWidth($rules),
                $height * $storeys,
                array_map(static fn (int $i): float => $i * $height, range(0, $storeys)),
            );
        } catch (Refusal) {
            return Typical::small($rules);
        }
    }

    /** Places the drawings in a rectangle of the page and gives their scales. */
    private function drawings(Page $page, float $x0, float $y0, float $x1, float $y1): string
    {
        $details = GridDetails::of($this->design, $this->type->rules(), $this->type->corner());
        [$detailScale, $detailHeight] = self::fitting($details, $x1 - $x0, ($y1 - $y0) * 0.4);
        $foot = $y1 - 6.0;
        $x = $x0;
        foreach ($details as $detail) {
            [$left, $low, $right, $high] = $detail['bounds'];
            $page->drawing($detail['shapes'], $x - $left / $detailScale, $foot - self::CAPTION + $low / $detailScale, $detailScale);
            $page->text($x, $foot - 1.0, 2.6, $detail['name'].', '.TypeSheet::scale($detailScale), strong: true);
            $x += max(($right - $left) / $detailScale, 34.0) + TypeSheet::GAP;
        }
        $says = 'Corner and mullion cut level, outside below; transom cut upright, outside at the left.';
        $page->text($x0, $y1 - 0.6, 2.4, $says, faint: true);
        $bottom = $foot - self::CAPTION - $detailHeight - TypeSheet::GAP;
        if ($this->typical === null) {
            $page->text($x0, $y0 + 4.0, 2.6, 'No size is known that its rules fit, so no stretch of it is drawn.');

            return TypeSheet::scale($detailScale);
        }
        $scale = $this->elevation($page, $this->typical, [$x0, $y0, $x1, $bottom]);

        return sprintf('%s, %s', TypeSheet::scale($scale), TypeSheet::scale($detailScale));
    }

    /** @param  array{float, float, float, float}  $room  mm of the page */
    private function elevation(Page $page, Typical $typical, array $room): float
    {
        [$x0, $y0, $x1, $y1] = $room;
        $chains = DimensionLines::FIRST + DimensionLines::ROW * 2;
        $scale = TypeSheet::largest(
            static fn (float $s): bool => $typical->width / $s <= $x1 - $x0 - $chains
                && $typical->height / $s <= $y1 - $y0 - $chains - self::CAPTION,
        );
        $x = $x0 + $chains + max(0.0, ($x1 - $x0 - $chains - $typical->width / $scale) / 3);
        $y = $y1 - self::CAPTION - $chains;
        $page->drawing(FaceShapes::of($this->design, $typical->stretch->drawn()), $x, $y, $scale);
        $grid = $typical->stretch->grid();
        $lines = new DimensionLines($this->design->settings->units);
        foreach ([$grid->bays->at, [0.0, $typical->width]] as $row => $at) {
            foreach (self::pairs($at) as [$from, $to]) {
                $lines->across(
                    $page,
                    $x + $from / $scale,
                    $x + $to / $scale,
                    $y + DimensionLines::FIRST + $row * DimensionLines::ROW,
                    $to - $from,
                );
            }
        }
        foreach ([$grid->rows->at, [0.0, $typical->height]] as $row => $at) {
            foreach (self::pairs($at) as [$from, $to]) {
                $lines->upright(
                    $page,
                    $y - $from / $scale,
                    $y - $to / $scale,
                    $x - DimensionLines::FIRST - $row * DimensionLines::ROW,
                    $to - $from,
                );
            }
        }
        $page->text($x, $y1 - 1.0, 2.6, sprintf(
            'A typical stretch from outside, %s × %s; its lines are dimensioned.',
            Length::format($typical->width, $this->design->settings->units),
            Length::format($typical->height, $this->design->settings->units),
        ), strong: true);

        return $scale;
    }

    /**
     * @param  list<array{name: string, shapes: list<Shape>, bounds: array{float, float, float, float}}>  $details
     * @return array{float, float} their scale, and how high the highest is on paper
     */
    private static function fitting(array $details, float $width, float $height): array
    {
        [$scale, $high] = [1.0, 0.0];
        foreach (self::DETAILS as $usual) {
            $scale = $usual;
            $across = $high = 0.0;
            foreach ($details as ['bounds' => $b]) {
                $across += max(($b[2] - $b[0]) / $scale, 34.0) + TypeSheet::GAP;
                $high = max($high, ($b[3] - $b[1]) / $scale);
            }
            if ($across - TypeSheet::GAP <= $width && $high <= $height) {
                break;
            }
        }

        return [$scale, $high];
    }

    /**
     * @param  list<float>  $at
     * @return list<array{float, float}>
     */
    private static function pairs(array $at): array
    {
        $out = [];
        for ($i = 0; $i + 1 < count($at); $i++) {
            $out[] = [$at[$i], $at[$i + 1]];
        }

        return $out;
    }
}
