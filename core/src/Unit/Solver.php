<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Margin;
use Isleward\Core\Geometry\Side;
use Isleward\Core\Measure\Refusal;

/**
 * Works a unit out for a size: outline → frame → divisions → lights → members and panes.
 *
 * Regions are contours, cut by upright and level lines, so that whatever is under a slope or an arch follows it. Jambs and
 * stiles run through, heads, sills and rails stop between them, unless the frame is mitred or a corner is not one of a jamb;
 * dividers stop at the frame or divider that bounds their region. x to the right seen from outside, y up, both from the lower
 * left corner of the outline's box, mm.
 */
final class Solver
{
    /** @var list<Member> */
    private array $members = [];

    /** @var list<Pane> */
    private array $panes = [];

    /** @var list<SolvedLight> */
    private array $lights = [];

    /** @var list<SolvedDivision> */
    private array $divisions = [];

    private int $leaves = 0;

    private function __construct(public readonly UnitTree $tree)
    {
    }

    /**
     * @param  bool  $mirrored  handed the other way than drawn
     * @param  list<float>|null  $shape  corners of the opening as shares of its size; a unit without an outline of its own takes it
     *
     * @throws Refusal when the size leaves no room for what is in it
     */
    public static function solve(UnitTree $tree, float $width, float $height, bool $mirrored = false, ?array $shape = null): SolvedUnit
    {
        $solver = new self($tree);
        $outline = $tree->outline->contour($width, $height);
        if ($shape !== null && $tree->outline->kind === OutlineKind::Rectangle) {
            $ring = [];
            for ($i = 0, $n = count($shape); $i < $n; $i += 2) {
                array_push($ring, $shape[$i] * $width, $shape[$i + 1] * $height);
            }
            $outline = Contour::polygon($ring);
            $outline = $mirrored ? $outline->mirrored($width) : $outline;
        }
        $frame = $tree->frame;
        foreach ([
            ['jambs', $frame->left + $frame->right, $width],
            ['head and sill', $frame->head + $frame->sill, $height],
        ] as [$what, $takes, $there]) {
            if ($takes >= $there) {
                throw Refusal::because(
                    'unit.frame_no_room',
                    sprintf(
                        'Frame %s of %s together leave no room in a unit %s %s.',
                        $what,
                        UnitTree::mm($takes),
                        UnitTree::mm($there),
                        $what === 'jambs' ? 'wide' : 'high',
                    ),
                    details: ['field' => $what === 'jambs' ? 'frame.jamb' : 'frame.head', 'takes' => $takes, 'there' => $there]);
            }
        }
        $inner = $solver->border($outline, [$frame->sill, $frame->right, $frame->head, $frame->left], [
            'roles' => [Role::Jamb, Role::Head, Role::Sill], 'back' => 0.0, 'depth' => $frame->depth, 'mitred' => $frame->mitred,
            'leaf' => null, 'path' => '', 'door' => false,
        ]);
        if ($inner === null) {
            throw Refusal::because(
                'unit.no_room',
                sprintf(
                    'A unit %s wide and %s high leaves no room for glass inside its frame.',
                    UnitTree::mm($width),
                    UnitTree::mm($height),
                ),
                details: ['field' => 'frame.jamb', 'width' => $width, 'height' => $height]);
        }
        $solver->node($tree->root, $inner, [0.0, 0.0, $width, $height], '');
        foreach (Surrounds::members($tree->frame, $outline, $width) as $member) {
            $solver->members[] = $member;
        }
        $unit = new SolvedUnit($width, $height, $tree, $outline, $solver->members, $solver->panes, $solver->lights, $solver->divisions);

        return $mirrored ? $unit->mirrored() : $unit;
    }

    /**
     * @param  array{float, float, float, float}  $grid  x0, y0, x1, y1: sides of the unit or middles of the dividers that bound the region
     */
    private function node(Node $node, Contour $region, array $grid, string $path): void
    {
        match (true) {
            $node instanceof Division => $this->division($node, $region, $grid, $path),
            $node instanceof Light => LightSolver::solve($this, $node, $region, $path),
            default => throw new \LogicException('A unit holds no '.$node::class.'.'),
        };
    }

    /** @param  array{float, float, float, float}  $grid */
    private function division(Division $division, Contour $region, array $grid, string $path): void
    {
        $columns = $division->axis === Axis::Columns;
        $box = $region->bounds();
        [$low, $high] = $columns ? [0, 2] : [1, 3];
        $places = $division->places(
            $box[$low],
            $box[$high],
            $box[$low] - $grid[$low],
            $grid[$high] - $box[$high],
            $this->tree->toCentres,
            $path,
        );
        $last = count($places) - 1;
        $parts = [];
        foreach ($places as $i => [$from, $to, $size]) {
            $child = $path.($path === '' ? '' : '.').$i;
            $inside = $grid;
            $inside[$low] = $i === 0 ? $grid[$low] : $from - $division->face / 2;
            $inside[$high] = $i === $last ? $grid[$high] : $to + $division->face / 2;
            $parts[] = ['from' => $from, 'to' => $to, 'size' => $size, 'fixed' => $division->parts[$i]->fixed !== null,
                'start' => $this->tree->toCentres ? $inside[$low] : $from, 'end' => $this->tree->toCentres ? $inside[$high] : $to];
            foreach (self::strip($region, $columns, $from, $to) as $piece) {
                $bounds = $piece->bounds();
                // where the region's box shrinks under a slope, what bounds it moves along
                [$a, $b] = $columns ? [1, 3] : [0, 2];
                $grid2 = $inside;
                $grid2[$a] += $bounds[$a] - $box[$a];
                $grid2[$b] += $bounds[$b] - $box[$b];
                $this->node($division->parts[$i]->node, $piece, $grid2, $child);
            }
            if ($i < $last) {
                foreach (self::strip($region, $columns, $to, $places[$i + 1][0]) as $piece) {
                    $depth = $division->depth ?? $this->tree->frame->depth;
                    $this->member(new Member(
                        $columns ? Role::Mullion : Role::Transom,
                        $piece,
                        ($this->tree->frame->depth - $depth) / 2,
                        $depth,
                        $path,
                    ));
                }
            }
        }
        $this->divisions[] = new SolvedDivision($path, $division->axis, $division->face, $box, $grid, $parts);
    }

    /** @return list<Contour> */
    public static function strip(Contour $region, bool $columns, float $from, float $to): array
    {
        if ($region->isRectangle()) {
            [$x0, $y0, $x1, $y1] = $region->bounds();
            [$low, $high] = $columns ? [max($x0, $from), min($x1, $to)] : [max($y0, $from), min($y1, $to)];

            return $high - $low <= 1e-7
                            ? []
                            : [$columns ? Contour::rectangle($low, $y0, $high, $y1) : Contour::rectangle($x0, $low, $x1, $high)];
        }
        $out = [];
        foreach ($region->clipped($columns, $from, true) as $piece) {
            array_push($out, ...$piece->clipped($columns, $to, false));
        }

        return $out;
    }

    /**
     * Members along every side of a contour, and what is left inside them; null when nothing is.
     *
     * @param  array{float, float, float, float}  $of  width at the sill, the right, the head, the left
     * @param  array{roles: array{Role, Role, Role}, back: float, depth: float, mitred: bool, leaf: int|null, path: string,
     *    door: bool}  $as  roles of jambs, heads and sills
     */
    public function border(Contour $contour, array $of, array $as): ?Contour
    {
        if ($contour->isRectangle()) {
            return $this->rectangularBorder($contour, $of, $as);
        }
        $sides = $widths = [];
        foreach ($contour->edges() as $edge) {
            $sides[] = $side = $edge->side();
            $widths[] = $of[match ($side) {
                Side::Sill => 0,
                Side::Right => 1,
                Side::Head => 2,
                Side::Left => 3,
            }];
        }
        $margin = Margin::inside($contour, $widths);
        if ($margin->inner === null) {
            return null;
        }
        $pieces = Corners::pieces($margin, $sides, $widths, $as['mitred']);
        self::requireWhole($contour, $margin->inner, array_column($pieces, 1), max($widths), $as['path']);
        foreach ($pieces as [$i, $piece]) {
            $this->side($as, $sides[$i]->isJamb() ? 0 : ($sides[$i] === Side::Head ? 1 : 2), $piece);
        }

        return $margin->inner;
    }

    /**
     * The same of a rectangle, which most frames and nearly all sashes are.
     *
     * @param  array{float, float, float, float}  $of
     * @param  array{roles: array{Role, Role, Role}, back: float, depth: float, mitred: bool, leaf: int|null, path: string, door: bool}  $as
     */
    private function rectangularBorder(Contour $contour, array $of, array $as): ?Contour
    {
        [$x0, $y0, $x1, $y1] = $contour->bounds();
        [$sill, $right, $head, $left] = $of;
        $ix0 = $x0 + $left;
        $iy0 = $y0 + $sill;
        $ix1 = $x1 - $right;
        $iy1 = $y1 - $head;
        if ($ix1 - $ix0 < 1e-6 || $iy1 - $iy0 < 1e-6 || ($ix1 - $ix0) * ($iy1 - $iy0) <= 1.0) {
            return null;
        }
        $pieces = $as['mitred'] ? [
            [$sill, 2, Contour::polygon([$x0, $y0, $x1, $y0, $ix1, $iy0, $ix0, $iy0])],
            [$right, 0, Contour::polygon([$x1, $y0, $x1, $y1, $ix1, $iy1, $ix1, $iy0])],
            [$head, 1, Contour::polygon([$x1, $y1, $x0, $y1, $ix0, $iy1, $ix1, $iy1])],
            [$left, 0, Contour::polygon([$x0, $y1, $x0, $y0, $ix0, $iy0, $ix0, $iy1])],
        ] : [
            [$sill, 2, Contour::rectangle($ix0, $y0, $ix1, $iy0)], [$right, 0, Contour::rectangle($ix1, $y0, $x1, $y1)],
            [$head, 1, Contour::rectangle($ix0, $iy1, $ix1, $y1)], [$left, 0, Contour::rectangle($x0, $y0, $ix0, $y1)],
        ];
        foreach ($pieces as [$wide, $role, $piece]) {
            if ($wide > 0.0) {
                $this->side($as, $role, $piece);
            }
        }

        return Contour::rectangle($ix0, $iy0, $ix1, $iy1);
    }

    /**
     * @param  array{roles: array{Role, Role, Role}, back: float, depth: float, mitred: bool, leaf: int|null, path: string, door: bool}  $as
     * @param  int<0, 2>  $role
     */
    private function side(array $as, int $role, Contour $piece): void
    {
        $this->members[] = new Member($as['roles'][$role], $piece, $as['back'], $as['depth'], $as['path'], $as['leaf'], null, $as['door']);
    }

    /**
     * @param  list<Contour>  $pieces
     *
     * @throws Refusal when the pieces of a frame or sash do not fill its place, each in one piece
     */
    private static function requireWhole(Contour $contour, Contour $inner, array $pieces, float $widest, string $path): void
    {
        $short = $contour->area() - $inner->area() - array_sum(array_map(static fn (Contour $p): float => $p->area(), $pieces));
        $crossed = array_filter($pieces, static fn (Contour $p): bool => $p->crossesItself());
        if (abs($short) > 0.01 || $crossed !== []) {
            throw Refusal::because(
                'unit.frame_crosses',
                sprintf(
                    'Some sides of this %s are so much shorter than the %s of its frame or sash that its pieces would run across each other.',
                    $path === '' ? 'unit' : 'light',
                    UnitTree::mm($widest),
                ),
                details: ['path' => $path, 'field' => 'outline']);
        }
    }

    public function member(Member $member): void
    {
        $this->members[] = $member;
    }

    public function pane(Pane $pane): void
    {
        $this->panes[] = $pane;
    }

    public function light(SolvedLight $light): void
    {
        $this->lights[] = $light;
    }

    public function nextLeaf(): int
    {
        return $this->leaves++;
    }
}
