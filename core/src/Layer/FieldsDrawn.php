<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Building\Body;
use Isleward\Core\Design\Design;
use Isleward\Core\Drawing\Contributor;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\SectionCut;
use Isleward\Core\Drawing\SeenFace;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Drawing\Symbols;
use Isleward\Core\Geometry\Contour;

/** Fields of battens: as they lie on a wall, cut in plan and section where they are. */
final class FieldsDrawn implements Contributor
{
    /** A plan cuts so far over its floor, mm (common practice). */
    private const CUT = 1200.0;

    /** What is seen round an arc has points so far apart along it at the most, mm. */
    private const STEP = 100.0;

    public function elevation(Design $design, Body $body, Symbols $symbols): array
    {
        $shapes = [];
        foreach (FieldsOn::in($design)->on($body->host->id()) as $pieces) {
            if ($pieces->frame !== null) {
                $shapes[] = Shape::profile(Layer::Fin, $pieces->frame);
            }
            foreach ($pieces->pieces as $piece) {
                $shapes[] = Shape::contour(Layer::Fin, $piece);
            }
        }

        return $shapes;
    }

    public function plan(Design $design, Body $body, string $storey, float $letters): array
    {
        $level = $design->storeys->floor($storey) + self::CUT;
        $drawn = [];
        foreach (FieldsOn::in($design)->on($body->host->id()) as $pieces) {
            $field = $pieces->field;
            foreach (self::spans($pieces, false, $level) as [$from, $to, $depth, $frame]) {
                [$near, $far] = [$field->out, $field->out + $depth];
                $drawn[$field->id][] = $pieces->isBent() || ($frame && ! $body->surface->isFlat())
                    ? Shape::area(Layer::Fin, [[$from, -$near, $to, -$near, $to, -$far, $from, -$far]])->bent($body->surface)
                    : Shape::area(Layer::Fin, [FieldSolids::across($body->surface, $from, $to, $near, $far)]);
            }
        }

        return $drawn;
    }

    public function section(SectionCut $cut): array
    {
        $shapes = [];
        $surface = $cut->body->surface;
        $near = $cut->view->at(($cut->s0 + $cut->s1) / 2);
        $u = $surface->u($near);
        foreach (FieldsOn::in($cut->design)->on($cut->body->host->id()) as $pieces) {
            $field = $pieces->field;
            foreach (self::spans($pieces, true, $u) as [$low, $high, $depth]) {
                // where the line crosses the plane of their backs and of their fronts
                $s = array_map(
                    static fn (float $out): float => $cut->view->s($surface->inPlan($u, -$out)),
                    [$field->out, $field->out + $depth],
                );
                $shapes[] = Shape::area(Layer::Cut, [[$s[0], $low, $s[1], $low, $s[1], $high, $s[0], $high]]);
            }
        }

        return $shapes;
    }

    public function seen(SeenFace $face): array
    {
        if ($face->depth > 0.0) {
            return [];
        }
        $shapes = [];
        foreach (FieldsOn::in($face->design)->on($face->body->host->id()) as $pieces) {
            $outlines = $pieces->frame === null ? $pieces->pieces : [...$pieces->frame->contours(), ...$pieces->pieces];
            foreach ($outlines as $piece) {
                foreach ($face->body->surface->isFlat() ? self::whole($face, $piece) : self::part($face, $piece) as $seen) {
                    $shapes[] = Shape::area($face->afar ? Layer::Beyond : Layer::Fin, [self::on($face, $seen)]);
                }
            }
        }

        return $shapes;
    }

    /** @return list<array{float, float, float, bool}> from, to, how deep what is cut there is, and whether it is of the frame */
    private static function spans(FieldPieces $pieces, bool $upright, float $at): array
    {
        $out = [];
        foreach ($pieces->pieces as $i => $piece) {
            $depth = $pieces->field->reach($pieces->turns[$i]);
            foreach ($piece->spans($upright, $at) as [$from, $to]) {
                $out[] = [$from, $to, $depth, false];
            }
        }
        foreach ($pieces->frame === null ? [] : ScreenRegion::spans([$pieces->frame], $upright, $at) as [$from, $to]) {
            $out[] = [$from, $to, $pieces->field->frameDeep, true];
        }

        return $out;
    }

    /** @return list<Contour> a piece that is seen from end to end */
    private static function whole(SeenFace $face, Contour $piece): array
    {
        [$x0, , $x1] = $piece->bounds();

        return $x0 >= $face->from - 1 && $x1 <= $face->to + 1 ? [$piece] : [];
    }

    /** @return list<Contour> what of a piece lies where an arc is turned this way */
    private static function part(SeenFace $face, Contour $piece): array
    {
        $seen = [];
        foreach (($piece->area() < 0.0 ? $piece->reversed() : $piece)->clipped(true, $face->from, true) as $beyond) {
            array_push($seen, ...$beyond->clipped(true, $face->to, false));
        }

        return $seen;
    }

    /** @return list<float> */
    private static function on(SeenFace $face, Contour $piece): array
    {
        $ring = [];
        $corners = $piece->ring(0.5);
        for ($i = 0, $n = count($corners); $i < $n; $i += 2) {
            [$u, $v, $next, $level] = [$corners[$i], $corners[$i + 1], $corners[($i + 2) % $n], $corners[($i + 3) % $n]];
            // round an arc what is long is seen bent
            $steps = $face->body->surface->isFlat() ? 1 : max(1, (int) ceil(abs($next - $u) / self::STEP));
            for ($k = 0; $k < $steps; $k++) {
                array_push($ring, $face->s($u + ($next - $u) * $k / $steps), $v + ($level - $v) * $k / $steps);
            }
        }

        return $ring;
    }
}
