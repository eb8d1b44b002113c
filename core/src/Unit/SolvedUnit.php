<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Geometry\Contour;

/** A unit of a given size, worked out; as it is drawn, from its lower left corner seen from outside. */
final readonly class SolvedUnit
{
    /**
     * @param  list<Member>  $members  the cill and the trim, which lie outside the outline, among them
     * @param  list<Pane>  $panes
     * @param  list<SolvedLight>  $lights
     * @param  list<SolvedDivision>  $divisions
     */
    public function __construct(
        public float $width,
        public float $height,
        public UnitTree $tree,
        public Contour $outline,
        public array $members,
        public array $panes,
        public array $lights,
        public array $divisions,
    ) {
    }

    public function depth(): float
    {
        return $this->tree->frame->depth;
    }

    /** Clear glass, mm²; where leaves stand behind each other, of both. */
    public function glassArea(): float
    {
        return array_sum(array_map(static fn (Pane $p): float => $p->contour->area(), $this->panes));
    }

    /** Share of the unit's face that is not glass, 0 to 1. */
    public function frameShare(): float
    {
        return 1 - $this->glassArea() / $this->outline->area();
    }

    public function hasDoor(): bool
    {
        foreach ($this->lights as $light) {
            if ($light->light->operation->isDoor()) {
                return true;
            }
        }

        return false;
    }

    /** @return array<int, Leaf> by number */
    public function leaves(): array
    {
        $leaves = [];
        foreach ($this->lights as $light) {
            foreach ($light->leaves as $leaf) {
                $leaves[$leaf->index] = $leaf;
            }
        }

        return $leaves;
    }

    /** Handed the other way. */
    public function mirrored(): self
    {
        $w = $this->width;
        $divisions = array_map(static function (SolvedDivision $d) use ($w): SolvedDivision {
            [$x0, $y0, $x1, $y1] = $d->box;
            [$gx0, $gy0, $gx1, $gy1] = $d->grid;
            $flip = static fn (float $x): float => $w - $x;
            $parts = $d->axis === Axis::Rows ? $d->parts : array_map(
                static fn (array $p): array => [
                    'from' => $flip($p['to']),
                    'to' => $flip($p['from']),
                    'start' => $flip($p['end']),
                    'end' => $flip($p['start']),
                ] + $p,
                $d->parts,
            );

            return new SolvedDivision(
                $d->path,
                $d->axis,
                $d->face,
                [$flip($x1), $y0, $flip($x0), $y1],
                [$flip($gx1), $gy0, $flip($gx0), $gy1],
                $parts,
            );
        }, $this->divisions);

        return new self(
            $w, $this->height, $this->tree, $this->outline->mirrored($w),
            array_map(static fn (Member $m): Member => $m->mirrored($w), $this->members),
            array_map(static fn (Pane $p): Pane => $p->mirrored($w), $this->panes),
            array_map(static fn (SolvedLight $l): SolvedLight => $l->mirrored($w), $this->lights),
            $divisions,
        );
    }
}
