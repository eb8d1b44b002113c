<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\CutPrism;
use Isleward\Core\Geometry\InvalidPath;
use Isleward\Core\Geometry\Skeleton;
use Isleward\Core\Geometry\Solid;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** A roof as it stands: its faces, and the lines between them. Levels in mm, plan x east, y north. */
final readonly class RoofShape
{
    /** Chords of curved walls leave them by so much at the most, mm. */
    public const SAGITTA = 20.0;

    /**
     * @param  list<RoofSide>  $sides
     * @param  list<array{RoofLine, array{float, float, float}, array{float, float, float}}>  $lines  of the underside
     */
    private function __construct(public Roof $roof, public array $sides, public array $lines)
    {
    }

    /** @throws Refusal when it cannot stand */
    public static function of(Design $design, Roof $roof): self
    {
        $sides = RoofWalls::of($design, $roof);
        $ring = self::eaves($roof, $sides);
        $springs = $design->storeys->ceiling($roof->storey) + $roof->level;
        $drop = INF;
        foreach ($sides as [, , , $pitch, $overhang]) {
            $drop = $pitch === null ? $drop : min($drop, max(0.0, $overhang) * tan($pitch));
        }
        if ($drop === INF) {
            throw Refusal::because('roof.gables_only', sprintf('%s has gables on all sides: one at least must slope.', $roof->name),
                [$roof->id], ['field' => 'gable']);
        }
        try {
            $found = Skeleton::of([$ring], array_map(
                static fn (array $s): float => $s[3] === null ? 0.0 : 1 / tan($s[3]), $sides,
            ));
        } catch (InvalidPath) {
            throw Refusal::because('roof.never_meets', sprintf(
                'The slopes of %s never meet: with these gables nothing closes it.', $roof->name,
            ), [$roof->id], ['field' => 'gable']);
        }
        $level = $springs - $drop;
        $nodes = array_map(static fn (array $n): array => [$n[0], $n[1], $level + $n[2]], $found->nodes);
        $made = [];
        foreach ($sides as $i => [$wall, , , $pitch, $overhang]) {
            [$from, $to] = [new Vec2(...$ring[$i]), new Vec2(...$ring[($i + 1) % count($ring)])];
            $way = $to->minus($from)->times(1 / $from->distanceTo($to));
            $rise = tan($pitch ?? 0.0);
            $plane = [$level + $rise * ($way->y * $from->x - $way->x * $from->y), -$rise * $way->y, $rise * $way->x];
            $corners = array_map(static fn (int $n): array => $nodes[$n], $found->faces[$i]);
            $made[] = new RoofSide($wall, $pitch, $overhang, $from, $to, $corners, $plane);
        }

        [$made, $lines] = HalfHips::cut($roof, $made, self::lines($made, $nodes, $found), $level);

        return new self($roof, ...StandsThrough::cut($design, $roof, EavesCut::at($roof, $made), $lines));
    }

    /** @return list<Solid> its solid, one piece a face, that touch and do not overlap: z is the level */
    public function solids(): array
    {
        if ($this->roof->cut !== EavesCut::Upright || $this->roof->through !== []) {
            return array_map($this->face(...), $this->slopes());
        }
        $up = $this->roof->upright();

        return array_map(
            static fn (RoofSide $s): CutPrism => CutPrism::slanted(
                $s->contour(), $s->plane, [$s->plane[0] + $up, $s->plane[1], $s->plane[2]],
            ),
            $this->slopes(),
        );
    }

    /** A sloped side as what stands in it sees it: of several over one wall in one plane along all of them together. */
    public function face(RoofSide $side): RoofFace
    {
        $eaves = null;
        foreach ($this->over($side->wall) as $other) {
            if ($other !== $side && $other->pitch !== null && abs($other->levelAt($side->from->x, $side->from->y) - $side->levelAt(
                $side->from->x,
                $side->from->y,
            )) < 0.01 && abs($other->plane[1] * $side->plane[2] - $other->plane[2] * $side->plane[1]) < 1e-9) {
                $way = $side->to->minus($side->from);
                [$from, $to] = $eaves ?? [$side->from, $side->to];
                $eaves = [
                    $other->from->minus($from)->dot($way) < 0.0 ? $other->from : $from,
                    $other->to->minus($to)->dot($way) > 0.0 ? $other->to : $to,
                ];
            }
        }

        return new RoofFace($side, $this->roof->upright(), [], $eaves);
    }

    /** @return list<RoofSide> */
    public function slopes(): array
    {
        return array_values(array_filter($this->sides, static fn (RoofSide $s): bool => $s->pitch !== null && ! $s->isGone()));
    }

    /** @return list<RoofSide> over one wall */
    public function over(string $wall): array
    {
        return array_values(array_filter($this->sides, static fn (RoofSide $s): bool => $s->wall === $wall));
    }

    /** Level of its highest line, on its upper side. */
    public function top(): float
    {
        $levels = array_map(static fn (RoofSide $s): float => max([-INF, ...array_column($s->corners, 2)]), $this->sides);

        return max([-INF, ...$levels]) + $this->roof->upright();
    }

    /** Level of its eaves' underside. */
    public function foot(): float
    {
        return $this->sides[0]->corners[0][2];
    }

    /**
     * The corners of its eaves and verges.
     *
     * @param  list<array{string, Vec2, Vec2, float|null, float, float}>  $sides
     * @return list<array{float, float}>
     */
    private static function eaves(Roof $roof, array $sides): array
    {
        $ring = [];
        $n = count($sides);
        foreach ($sides as $i => [, $from, $to, $pitch, , $out]) {
            [, $a, $b, $pitchBefore, , $outBefore] = $sides[($i + $n - 1) % $n];
            $after = $to->minus($from)->times(1 / $from->distanceTo($to));
            $before = $b->minus($a)->times(1 / $a->distanceTo($b));
            $turn = $before->cross($after);
            if (abs($turn) < 1e-6) {
                if (abs($out - $outBefore) > 0.01 || abs(($pitch ?? -1.0) - ($pitchBefore ?? -1.0)) > 1e-9) {
                    throw Refusal::because('roof.in_line', sprintf(
                        'Two walls under %s lie in one line: its pitch and its overhang are the same over both.', $roof->name,
                    ), [$roof->id]);
                }
                $ring[] = [$from->x + $after->y * $out, $from->y - $after->x * $out];

                continue;
            }
            // where both lines, moved outward, meet
            [$p, $q] = [$from->cross($after) * -1 + -$out, $from->cross($before) * -1 + -$outBefore];
            $ring[] = [($q * $after->x - $p * $before->x) / $turn, ($q * $after->y - $p * $before->y) / $turn];
        }
        foreach ($sides as $i => [, $from, $to]) {
            [[$ax, $ay], [$bx, $by]] = [$ring[$i], $ring[($i + 1) % $n]];
            if (($bx - $ax) * ($to->x - $from->x) + ($by - $ay) * ($to->y - $from->y) <= 0.0) {
                throw self::overhangsCross($roof);
            }
        }

        return Contour::polygon(array_merge(...$ring))->crossesItself() ? throw self::overhangsCross($roof) : $ring;
    }

    private static function overhangsCross(Roof $roof): Refusal
    {
        return $roof->within ? Refusal::because('roof.no_room', sprintf(
            'Between its walls there is no room for %s.', $roof->name,
        ), [$roof->id], ['field' => 'within']) : Refusal::because('roof.overhangs_cross', sprintf(
            'With an overhang of %s the eaves of %s would cross each other.', Length::mark($roof->overhang), $roof->name,
        ), [$roof->id], ['field' => 'overhang']);
    }

    /**
     * @param  list<RoofSide>  $sides
     * @param  list<array{float, float, float}>  $nodes
     * @return list<array{RoofLine, array{float, float, float}, array{float, float, float}}>
     */
    private static function lines(array $sides, array $nodes, Skeleton $found): array
    {
        $lines = [];
        foreach ($sides as $side) {
            if ($side->pitch !== null) {
                $lines[] = [RoofLine::Eaves, $side->corners[0], $side->corners[1]];
            }
        }
        foreach ($found->arcs as [$p, $q, $before, $after]) {
            $what = self::what($sides[$before], $sides[$after], $nodes[$p], $nodes[$q]);
            if ($what !== null) {
                $lines[] = [$what, $nodes[$p], $nodes[$q]];
            }
        }

        return $lines;
    }

    /**
     * @param  array{float, float, float}  $p
     * @param  array{float, float, float}  $q
     */
    private static function what(RoofSide $a, RoofSide $b, array $p, array $q): ?RoofLine
    {
        if ($a->pitch === null || $b->pitch === null) {
            return $a->pitch === $b->pitch ? null : RoofLine::Verge;
        }
        [$dx, $dy] = [$a->plane[1] - $b->plane[1], $a->plane[2] - $b->plane[2]];
        if (hypot($dx, $dy) < 1e-9) {
            return null; // one plane
        }
        // the one after lies on the right of the way from one to the other; where the other's plane is higher there, the roof bulges
        $length = max(hypot($q[0] - $p[0], $q[1] - $p[1]), 1e-9);
        [$mx, $my] = [
            ($p[0] + $q[0]) / 2 + ($q[1] - $p[1]) / $length * 10.0, ($p[1] + $q[1]) / 2 - ($q[0] - $p[0]) / $length * 10.0,
        ];
        $level = abs($p[2] - $q[2]) < 0.01;
        $bulges = $a->levelAt($mx, $my) > $b->levelAt($mx, $my);
        $same = $a->plane[1] * $b->plane[1] + $a->plane[2] * $b->plane[2] > 0.0
            && abs($a->plane[1] * $b->plane[2] - $a->plane[2] * $b->plane[1]) < 1e-9;

        return match (true) {
            $same => RoofLine::Break,
            ! $bulges => RoofLine::Valley,
            $level => RoofLine::Ridge,
            default => RoofLine::Hip,
        };
    }
}
