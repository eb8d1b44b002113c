<?php

declare(strict_types=1);

namespace Isleward\Core\Roof;

use Isleward\Core\Design\Design;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Margin;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Refusal;

/**
 * Cuts a roof round outlines whose walls stand up through it or on it: out to their outer faces, or where all of them stand on it to their
 * inner faces, so that what is under it is open to what is inside them. Cut upright.
 */
final readonly class StandsThrough
{
    /** A wall that lies no farther from one under the roof is flush with it, mm: then the eaves before it end too. */
    private const FLUSH = 5.0;

    /** Chords of curved walls leave them by so much at the most, mm. */
    private const SAGITTA = 2.0;

    /** What is left of a face is something from here on, mm². */
    private const NOTHING = 100.0;

    private function __construct(private Roof $roof, private Region $taken)
    {
    }

    /**
     * @param  list<RoofSide>  $sides
     * @param  list<array{RoofLine, array{float, float, float}, array{float, float, float}}>  $lines
     * @return array{list<RoofSide>, list<array{RoofLine, array{float, float, float}, array{float, float, float}}>}
     *
     * @throws Refusal when one cannot be cut round
     */
    public static function cut(Design $design, Roof $roof, array $sides, array $lines): array
    {
        if ($roof->through === []) {
            return [$sides, $lines];
        }
        $taken = Region::empty();
        foreach ($roof->through as $outline) {
            $taken = $taken->union(Region::polygon(self::ring($design, $roof, $outline, $sides)));
        }
        $self = new self($roof, $taken);
        $out = array_map($self->left(...), $sides);
        if (array_filter($out, static fn (RoofSide $s): bool => $s->pitch !== null && ! $s->isGone()) === []) {
            throw Refusal::because('roof.through_all', sprintf('What stands through %s leaves nothing of it.', $roof->name), [$roof->id],
                ['field' => 'through']);
        }

        return [$out, [...$self->outside($lines), ...$self->along($out)]];
    }

    /**
     * @param  list<RoofSide>  $sides
     * @return list<float>
     */
    private static function ring(Design $design, Roof $roof, string $outline, array $sides): array
    {
        $walls = $design->wallsOf($outline);
        $points = $deep = [];
        foreach ($walls as $i => $wall) {
            $face = $wall->face();
            $next = $walls[($i + 1) % count($walls)]->face();
            if (hypot($face->x1 - $next->x0, $face->y1 - $next->y0) > 1.0) {
                throw Refusal::because('roof.through_open', sprintf(
                    '%s does not close: %s cannot be cut round it.', $design->outlines[$outline]->name ?? 'An outline', $roof->name,
                ), [$roof->id], ['field' => 'through']);
            }
            $chords = [$face->x0, $face->y0, ...array_slice($face->chords(self::SAGITTA), 0, -2)];
            array_push($points, ...$chords);
            array_push($deep, ...array_fill(0, intdiv(count($chords), 2), $wall->thickness));
        }
        if (Region::signedArea($points) < 0.0) {
            $points = Region::reverse($points);
            $deep = [...array_reverse(array_slice($deep, 0, -1)), $deep[count($deep) - 1]];
        }
        $onIt = array_filter($walls, static fn (Wall $w): bool => $w->foot?->roof === $roof->id);
        $ring = count($onIt) === count($walls)
            ? Margin::inside(Contour::polygon($points), $deep)->inner?->ring() ?? $points
            : self::pastEaves($points, $sides);

        return $ring;
    }

    /**
     * With the sides that are flush with a wall under the roof moved out past its eaves.
     *
     * @param  list<float>  $ring
     * @param  list<RoofSide>  $sides
     * @return list<float>
     */
    private static function pastEaves(array $ring, array $sides): array
    {
        $far = max([0.0, ...array_map(static fn (RoofSide $s): float => $s->overhang, $sides)]) + 500.0;
        $widths = [];
        for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
            [$a, $b] = [new Vec2($ring[$i], $ring[$i + 1]), new Vec2($ring[($i + 2) % $n], $ring[($i + 3) % $n])];
            $way = $b->minus($a)->unit();
            $flush = array_filter($sides, static function (RoofSide $s) use ($a, $way): bool {
                $along = $s->to->minus($s->from)->unit();

                // its eaves lie as far out as it overhangs
                return $along->dot($way) > 1.0 - 1e-6 && abs($a->minus($s->from)->cross($along) * -1.0 - $s->overhang) < self::FLUSH;
            });
            $widths[] = $flush === [] ? 0.0 : -$far;
        }

        return min([0.0, ...$widths]) === 0.0 ? $ring : self::moved($ring, $widths);
    }

    /**
     * @param  list<float>  $ring
     * @param  list<float>  $widths  of its sides, inward
     * @return list<float>
     */
    private static function moved(array $ring, array $widths): array
    {
        $out = [];
        $n = count($widths);
        for ($i = 0; $i < $n; $i++) {
            $corner = static fn (int $k): Vec2 => new Vec2($ring[2 * (($k + $n) % $n)], $ring[2 * (($k + $n) % $n) + 1]);
            $before = $corner($i)->minus($corner($i - 1))->unit();
            $after = $corner($i + 1)->minus($corner($i))->unit();
            [$p, $q] = [$widths[($i + $n - 1) % $n], $widths[$i]];
            $turn = $before->cross($after);
            // along the side before and the one after, so that it lies so far inward of both
            $at = abs($turn) < 1e-6
                ? $corner($i)->minus($after->rightHand()->times($q))
                : $corner($i)->plus($after->times($p / $turn))->minus($before->times($q / $turn));
            array_push($out, $at->x, $at->y);
        }

        return $out;
    }

    private function left(RoofSide $side): RoofSide
    {
        if ($side->pitch === null) {
            [$from, $to] = [$side->corners[0], $side->corners[1]];
            if ($this->parts($from, $to) !== [[$from, $to]]) {
                throw Refusal::because('roof.through_gable', sprintf(
                    'What stands through %s reaches into a gable of it: it can be cut round only where the roof slopes.',
                    $this->roof->name,
                ), [$this->roof->id], ['field' => 'through']);
            }

            return $side;
        }
        $whole = Region::polygon($side->contour()->ring());
        $left = $whole->difference($this->taken);
        if ($whole->area() - $left->area() < self::NOTHING) {
            return $side;
        }
        if ($this->roof->cut !== EavesCut::Upright && $this->parts($side->corners[0], $side->corners[1]) !== [
            [$side->corners[0], $side->corners[1]],
        ]) {
            throw Refusal::because('roof.through_cut', sprintf(
                'What stands through %s reaches out to its eaves: there they are cut upright.', $this->roof->name,
            ), [$this->roof->id], ['field' => 'cut']);
        }

        return $side->leaving($left->area() < self::NOTHING ? Region::empty() : $left);
    }

    /**
     * What of lines lies outside of what stands through.
     *
     * @param  list<array{RoofLine, array{float, float, float}, array{float, float, float}}>  $lines
     * @return list<array{RoofLine, array{float, float, float}, array{float, float, float}}>
     */
    private function outside(array $lines): array
    {
        $out = [];
        foreach ($lines as [$what, $from, $to]) {
            foreach ($this->parts($from, $to) as [$a, $b]) {
                $out[] = [$what, $a, $b];
            }
        }

        return $out;
    }

    /**
     * @param  array{float, float, float}  $from
     * @param  array{float, float, float}  $to
     * @return list<array{array{float, float, float}, array{float, float, float}}> of a line what is outside
     */
    private function parts(array $from, array $to): array
    {
        $out = [];
        foreach (Clip::outside($this->taken->rings, [$from[0], $from[1]], [$to[0], $to[1]]) as [$a, $b]) {
            $at = static fn (float $share): array => match ($share) {
                0.0 => $from,
                1.0 => $to,
                default => [
                    $from[0] + ($to[0] - $from[0]) * $share, $from[1] + ($to[1] - $from[1]) * $share,
                    $from[2] + ($to[2] - $from[2]) * $share,
                ],
            };
            $out[] = [$at($a), $at($b)];
        }

        return $out;
    }

    /**
     * Where faces end at what stands through them.
     *
     * @param  list<RoofSide>  $sides
     * @return list<array{RoofLine, array{float, float, float}, array{float, float, float}}>
     */
    private function along(array $sides): array
    {
        $lines = [];
        foreach ($sides as $side) {
            if (! $side->isCut()) {
                continue;
            }
            $not = Region::rectangle(-1e9, -1e9, 1e9, 1e9)->difference(Region::polygon($side->contour()->ring()))->rings;
            foreach ($this->taken->rings as $ring) {
                for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                    [$ax, $ay, $bx, $by] = [$ring[$i], $ring[$i + 1], $ring[($i + 2) % $n], $ring[($i + 3) % $n]];
                    foreach (Clip::outside($not, [$ax, $ay], [$bx, $by]) as [$from, $to]) {
                        [$p, $q] = array_map(static function (float $share) use ($ax, $ay, $bx, $by, $side): array {
                            [$x, $y] = [$ax + ($bx - $ax) * $share, $ay + ($by - $ay) * $share];

                            return [$x, $y, $side->levelAt($x, $y)];
                        }, [$from, $to]);
                        $lines[] = [RoofLine::Abutment, $p, $q];
                    }
                }
            }
        }

        return $lines;
    }
}
