<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Design\Design;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Drawing\UnitPlan;
use Isleward\Core\Geometry\Axes;
use Isleward\Core\Geometry\CutPrism;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Upright;

/** Curtain wall cut level: the sections of what stands upright, and what fills the cells between. */
final readonly class LevelCut
{
    /** Curves of sections are chords that leave them by so much at the most, mm. */
    private const SAGITTA = 0.2;

    /** @param  float  $level  mm over what levels of the run are counted from */
    public function __construct(private Design $design, private float $level)
    {
    }

    /** @return list<Shape> in plan: of one stretch of a run, with what stands at its corner to the next; x east, y north */
    public function of(StandingRun $standing, int $index): array
    {
        return $this->along($standing->path, $standing->run, $standing->foot, $index);
    }

    /**
     * @param  float  $foot  level of the run's foot
     * @return list<Shape> the same of a run that stands nowhere yet
     */
    public function along(RunPath $path, Run $run, float $foot, int $index): array
    {
        $shapes = [];
        foreach ($run->parts as $part) {
            if ($part->path === $index) {
                array_push($shapes, ...$this->stretch($path->stretches[$index], $foot, $part));
            }
        }
        foreach ($run->corners as $i => $member) {
            if ($run->cornerOf[$i] === $index) {
                array_push($shapes, ...$this->member($member, $run->cornerName[$i]));
            }
        }

        return $shapes;
    }

    /** @return list<Shape> of a run of one flat, upright stretch that begins at 0, 0 and runs along x */
    public function ofRun(Run $run, float $foot): array
    {
        $shapes = [];
        foreach ($run->stretches as $stretch) {
            foreach ($this->infills($stretch->drawn(), $this->level - $foot, null, null) as $shape) {
                $shapes[] = $shape->mapped(static fn (float $x, float $d): array => [$x, $d]);
            }
            foreach ($stretch->members() as $member) {
                array_push($shapes, ...$this->member($member, PartName::member($member)));
            }
        }

        return $shapes;
    }

    /** @return list<Shape> */
    private function stretch(PathStretch $path, float $foot, RunPart $part): array
    {
        $drawn = $part->stretch->drawn();
        $length = $path->curve->length();
        $bent = $part->stretch instanceof BentStretch;
        $surface = Upright::over($path->curve);
        $back = ($this->level - $foot) * tan($path->lean);
        $from = $surface->inPlan($part->u);
        $to = $surface->inPlan(min($length, $part->u + $drawn->face->width()));
        $chord = $from->distanceTo($to) > 0.1 ? $to->minus($from)->unit() : $surface->tangent($part->u);
        $shapes = [];
        foreach ($this->infills($drawn, ($this->level - $foot) / cos($path->lean), $path->lean, $part->line) as $shape) {
            $shapes[] = $bent ? $shape->bent($surface) : $shape->mapped(
                static function (float $x, float $d) use ($from, $chord, $back): array {
                    $at = $from->plus($chord->times($x))->minus($chord->rightHand()->times($d + $back));

                    return [$at->x, $at->y];
                },
            );
        }
        foreach ($part->stretch->members() as $member) {
            array_push($shapes, ...$this->member($member, PartName::member($member, $part->line)));
        }

        return $shapes;
    }

    /**
     * @param  string|null  $facet  {@see PartName::cell}
     * @return list<Shape> x along, y the depth behind the glass line
     */
    private function infills(Drawn $drawn, float $v, ?float $lean, ?string $facet): array
    {
        $shapes = [];
        foreach ($drawn->cells as [$cell, $seen]) {
            [$x0, $y0, , $y1] = $seen->bounds();
            if ($v <= $y0 || $v >= $y1) {
                continue;
            }
            $type = $this->design->types[$cell->infill->type ?? ''] ?? null;
            if ($type !== null && $seen === $cell->contour() && ($lean ?? 0.0) === 0.0) {
                foreach (UnitPlan::shapes(CellUnit::in($cell, $type->tree())->unit, 0.0, true) as $shape) {
                    $shapes[] = $shape->straight(self::SAGITTA)->placed($x0, 0.0, 0.0)->partOf(PartName::cell($cell, $facet));
                }
            }
            $thick = $cell->infill->thickness();
            foreach ($thick > 0.0 ? $seen->spans(false, $v) : [] as [$from, $to]) {
                $shapes[] = Shape::area(
                    $cell->infill->kind->isGlass() ? Layer::Glass : Layer::Infill,
                    [[$from, 0.0, $to, 0.0, $to, $thick, $from, $thick]],
                )->partOf(PartName::cell($cell, $facet));
            }
        }

        return $shapes;
    }

    /** @return list<Shape> */
    private function member(RunMember $member, ?string $part): array
    {
        $axes = $member->axes;
        if ($axes === null || abs($axes->z->z) < 0.3) {
            return []; // it runs level: over or under the cut, or along it
        }
        $rings = [];
        foreach ($member->pieces as $piece) {
            $ring = $piece instanceof CutPrism ? $this->ring($piece, $axes) : [];
            if ($ring !== []) {
                $rings[] = $ring;
            }
        }
        if ($member->what === 'corner post' && count($rings) > 1) {
            // one section, though it was worked out in two halves
            $whole = Region::empty();
            foreach ($rings as $ring) {
                $whole = $whole->union(Region::polygon(Region::signedArea($ring) < 0 ? Region::reverse($ring) : $ring));
            }

            return [Shape::area(Layer::Cut, $whole->rings)->partOf($part)];
        }

        return array_map(static fn (array $ring): Shape => Shape::area(Layer::Cut, [$ring])->partOf($part), $rings);
    }

    /** @return list<float> where the level cuts it; none where it does not */
    private function ring(CutPrism $piece, Axes $axes): array
    {
        $ring = [];
        $section = $piece->profile->ring(self::SAGITTA);
        $at = $axes->origin->z;
        $inside = false;
        for ($i = 0, $n = count($section); $i < $n; $i += 2) {
            [$x, $y] = [$section[$i], $section[$i + 1]];
            $z = ($this->level - $at - $x * $axes->x->z - $y * $axes->y->z) / $axes->z->z;
            $low = $piece->lower[0] + $piece->lower[1] * $x + $piece->lower[2] * $y;
            $high = $piece->upper[0] + $piece->upper[1] * $x + $piece->upper[2] * $y;
            $inside = $inside || ($z > $low && $z < $high);
            $point = $axes->point($x, $y, min(max($z, $low), $high));
            array_push($ring, $point->x, $point->y);
        }

        return $inside ? $ring : [];
    }
}
