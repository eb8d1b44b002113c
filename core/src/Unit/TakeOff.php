<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

/** What one unit is made of: members and infills by section and cut, glass by size, blades, hardware. */
final class TakeOff
{
    /**
     * @return list<array{what: string, part: string, face: float, depth: float, length: float, ends: list<float>, radius: float|null,
     *    count: int}> mm, longest first within each kind
     */
    public static function members(SolvedUnit $unit): array
    {
        $rows = [];
        foreach ($unit->members as $m) {
            $cut = MemberCut::of($m);
            $key = implode(
                '|',
                [
                    $m->role->value,
                    $m->part()->value,
                    round($cut->face, 1),
                    round($cut->depth, 1),
                    round($cut->length, 1),
                    implode('/', $cut->ends),
                    $cut->radius,
                ],
            );
            $rows[$key] ??= [
                'what' => $m->role->value,
                'part' => $m->part()->value,
                'face' => $cut->face,
                'depth' => $cut->depth,
                'length' => $cut->length,
                'ends' => $cut->ends,
                'radius' => $cut->radius,
                'count' => 0,
            ];
            $rows[$key]['count']++;
        }
        $order = array_flip(array_map(static fn (Role $r): string => $r->value, Role::cases()));
        usort(
            $rows,
            static fn (array $a, array $b): int => [
                $order[$a['what']],
                -$a['length'],
                -$a['face'],
            ] <=> [$order[$b['what']], -$b['length'], -$b['face']],
        );

        return $rows;
    }

    /**
     * @return list<array{glass: string, width: float, height: float, rectangular: bool, area: float, perimeter: float, weight: float,
     *    count: int}> the glass as cut: mm, mm², kg, of each
     */
    public static function panes(SolvedUnit $unit): array
    {
        $rows = [];
        foreach ($unit->panes as $pane) {
            $cut = $pane->cut();
            $row = [
                'glass' => $pane->glazing->text(),
                'width' => $cut->width(),
                'height' => $cut->height(),
                'rectangular' => $cut->isRectangle(),
                'area' => $cut->area(),
                'perimeter' => $cut->perimeter(),
                'weight' => $pane->weight(),
                'count' => 0,
            ];
            $key = $row['glass'].'|'.round($row['width'], 1).'|'.round($row['height'], 1).'|'.round($row['area']);
            $rows[$key] ??= $row;
            $rows[$key]['count']++;
        }
        usort($rows, static fn (array $a, array $b): int => $b['area'] <=> $a['area']);

        return $rows;
    }

    /**
     * @return array<string, int> what moves and shuts the leaves (common practice); a third hinge from 1 600 mm of height, a fourth from 2
     *    200
     */
    public static function hardware(SolvedUnit $unit): array
    {
        $count = [];
        foreach ($unit->lights as $light) {
            foreach ($light->leaves as $leaf) {
                foreach (self::of($light, $leaf) as $what => $n) {
                    $count[$what] = ($count[$what] ?? 0) + $n;
                }
            }
            $once = match ($light->light->operation) {
                Operation::VerticalSliding => 'sash fastener',
                Operation::Folding => 'door lock',
                default => null,
            };
            if ($once !== null) {
                $count[$once] = ($count[$once] ?? 0) + 1;
            }
        }

        return array_filter($count, static fn (int $n): bool => $n > 0);
    }

    /** @return array<string, int> */
    private static function of(SolvedLight $light, Leaf $leaf): array
    {
        $height = $leaf->contour->height();
        $hinges = 2 + ($height >= 1600 ? 1 : 0) + ($height >= 2200 ? 1 : 0);
        $active = (int) ($leaf->hinge === $light->hinge);

        return match ($light->light->operation) {
            Operation::SideHung => ['hinge' => $hinges, 'window handle' => 1],
            Operation::SideHungPair => ['hinge' => $hinges, 'window handle' => $active],
            Operation::TopHung, Operation::BottomHung => ['friction stay' => 2, 'window handle' => 1],
            Operation::TiltAndTurn => ['tilt-and-turn set' => 1, 'window handle' => 1],
            Operation::HorizontalPivot, Operation::VerticalPivot => ['pivot' => 2, 'window handle' => 1],
            Operation::HingedDoor => ['door hinge' => $hinges, 'door lock' => 1],
            Operation::DoorPair => ['door hinge' => $hinges, 'door lock' => $active, 'flush bolt' => 2 * (1 - $active)],
            Operation::Sliding, Operation::SlidingDoor => $leaf->slides === Slides::Fixed ? [] : ['roller' => 2, 'sliding lock' => 1],
            Operation::VerticalSliding => $leaf->motion->moves() ? ['sash balance' => 2] : [],
            Operation::Folding => ['folding hinge' => $hinges, 'track carrier' => 1],
            default => [],
        };
    }
}
