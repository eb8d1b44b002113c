<?php

declare(strict_types=1);

namespace Isleward\Core\Bench;

use Isleward\Core\CurtainWall\FaceShapes;
use Isleward\Core\CurtainWall\GridDetails;
use Isleward\Core\CurtainWall\HandWords;
use Isleward\Core\CurtainWall\InfillRow;
use Isleward\Core\CurtainWall\Lost;
use Isleward\Core\CurtainWall\MemberRow;
use Isleward\Core\CurtainWall\Run;
use Isleward\Core\CurtainWall\RunDoubt;
use Isleward\Core\CurtainWall\RunDoubts;
use Isleward\Core\CurtainWall\RunLimits;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\CurtainWall\RunTakeOff;
use Isleward\Core\CurtainWall\Shares;
use Isleward\Core\CurtainWall\Typical;
use Isleward\Core\Design\Design;
use Isleward\Core\Drawing\Drawing;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** What the grid bench shows of a draft: a typical stretch with its chains of dimensions, details, take-off and doubts. */
final class GridView
{
    /**
     * @param  float  $width  of the typical stretch, mm
     * @param  int  $storeys  how many it runs through
     * @param  float  $storey  how high each is, mm
     * @return array<string, mixed>
     *
     * @throws Refusal when the rules do not fit it, with figures
     */
    public static function of(GridDraft $draft, Design $design, float $width, int $storeys, float $storey): array
    {
        $height = $storeys * $storey;
        $floors = array_map(static fn (int $i): float => $i * $storey, range(0, $storeys));
        $typical = Typical::of($draft->rules, $width, $height, $floors);
        Runs::requireUnits($design, $typical->stretch);
        $drawn = $typical->stretch->drawn();
        $grid = $typical->stretch->grid();
        $cells = [];
        foreach ($drawn->cells as [$cell, $seen]) {
            [$x0, $y0, $x1, $y1] = $seen->bounds();
            $cells[] = [
                'name' => $cell->name(), 'bay' => $cell->bay, 'row' => $cell->row, 'left' => $cell->left, 'foot' => $cell->foot,
                'storeyRow' => self::ofStorey($grid->rows->at, $cell->row, $floors),
                'box' => $seen->bounds(), 'clear' => [$x1 - $x0, $y1 - $y0, $seen->area()],
                'ring' => $seen->ring(), 'says' => self::say($design, HandWords::infill($design, $cell->infill)),
                'infill' => $cell->infill->toArray(),
            ];
        }

        return [
            'width' => $width, 'height' => $height, 'floors' => $floors,
            'shapes' => Drawing::plain(FaceShapes::of($design, $drawn)),
            'bays' => $grid->bays->at, 'rows' => $grid->rows->at,
            'cells' => $cells,
            'chains' => GridChains::of($draft->rules, $grid->bays->at, $grid->rows->at, $floors),
            'details' => array_map(static fn (array $d): array => [
                'name' => $d['name'], 'bounds' => $d['bounds'], 'shapes' => Drawing::plain($d['shapes']),
            ], GridDetails::of($design, $draft->rules, $draft->corner)),
            'takeOff' => self::takeOff($draft, $design, $typical->run),
            'doubts' => array_map(static fn (RunDoubt $d): string => self::say($design, $d->says), RunDoubts::of(
                $typical->run,
                $draft->rules,
                RunLimits::from($design->settings->curtainRules),
            )),
            'notes' => array_map(static fn (string $s): string => self::say($design, $s), [...$grid->notes, ...Lost::says($grid->lost)]),
        ];
    }

    /** @return array<string, mixed> */
    private static function takeOff(GridDraft $draft, Design $design, Run $run): array
    {
        $members = RunTakeOff::members([$run]);
        $infills = RunTakeOff::infills([$run], $draft->rules->cover);
        $shares = Shares::of($run);

        return [
            'members' => array_map(static fn (MemberRow $m): array => [
                'mark' => $m->mark, 'what' => $m->what, 'profile' => self::say($design, $m->profile->name()), 'length' => $m->length,
                'count' => $m->count,
            ], $members),
            'infills' => array_map(static fn (InfillRow $i): array => [
                'mark' => $i->mark, 'what' => self::say($design, HandWords::infill($design, $i->infill)), 'shape' => $i->shape,
                'width' => $i->width, 'height' => $i->height, 'weight' => $i->weight, 'count' => $i->count,
            ], $infills),
            'glass' => $shares->glass, 'frameShare' => $shares->face() > 0.0 ? $shares->frame / $shares->face() : 0.0,
            'weight' => array_sum(array_map(static fn (InfillRow $i): float => $i->weight * $i->count, $infills)),
            'count' => array_sum(array_map(static fn (MemberRow $m): int => $m->count, $members)),
            'length' => array_sum(array_map(static fn (MemberRow $m): float => $m->length * $m->count, $members)),
            'longest' => max([0.0, ...array_map(static fn (MemberRow $m): float => $m->length, $members)]),
        ];
    }

    /**
     * @param  list<float>  $rows
     * @param  list<float>  $floors
     */
    private static function ofStorey(array $rows, int $row, array $floors): int
    {
        for ($j = $row; $j > 0; $j--) {
            foreach ($floors as $floor) {
                if (abs($floor - $rows[$j]) < 0.01) {
                    return $row - $j;
                }
            }
        }

        return $row;
    }

    private static function say(Design $design, string $sentence): string
    {
        return Length::said($sentence, $design->settings->units);
    }
}
