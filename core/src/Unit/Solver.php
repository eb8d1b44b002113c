<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Units;
use Isleward\Core\Refusal;

/**
 * Works a unit out for a size: outline → frame → divisions → lights → members and panes.
 *
 * Jambs and stiles run through, heads, sills and rails stop between them; dividers stop at the frame or divider that
 * bounds their region. x to the right seen from outside, y up, both from the lower left corner, mm.
 */
final class Solver
{
    /** @var list<Member> */
    private array $members = [];

    /** @var list<Pane> */
    private array $panes = [];

    /** @var list<SolvedLight> */
    private array $lights = [];

    private function __construct(private readonly UnitTree $tree, private readonly float $width, private readonly bool $mirrored)
    {
    }

    /**
     * @param  bool  $mirrored  handed the other way than drawn
     *
     * @throws Refusal when the size leaves no room for what is in it
     */
    public static function solve(UnitTree $tree, float $width, float $height, bool $mirrored = false): SolvedUnit
    {
        $solver = new self($tree, $width, $mirrored);
        $inner = new Box($tree->jamb, $tree->sill, $width - $tree->jamb, $height - $tree->head);
        $solver->requireRoom($inner, sprintf('A unit %s wide and %s high', self::mm($width), self::mm($height)));
        if ($tree->jamb > 0) {
            $solver->member(Role::Jamb, new Box(0, 0, $inner->x0, $height));
            $solver->member(Role::Jamb, new Box($inner->x1, 0, $width, $height));
        }
        if ($tree->sill > 0) {
            $solver->member(Role::Sill, new Box($inner->x0, 0, $inner->x1, $inner->y0));
        }
        if ($tree->head > 0) {
            $solver->member(Role::Head, new Box($inner->x0, $inner->y1, $inner->x1, $height));
        }
        $solver->node($tree->root, $inner);

        return new SolvedUnit($width, $height, $tree->depth, $solver->members, $solver->panes, $solver->lights);
    }

    private function node(Node $node, Box $box): void
    {
        match (true) {
            $node instanceof Division => $this->division($node, $box),
            $node instanceof Light => $this->light($node, $box),
            default => throw new \LogicException('A unit holds no '.$node::class.'.'),
        };
    }

    private function division(Division $division, Box $box): void
    {
        $columns = $division->axis === Axis::Columns;
        $at = $columns ? $box->x0 : $box->y0;
        $last = count($division->parts) - 1;
        foreach ($division->sizes($columns ? $box->width() : $box->height()) as $i => $size) {
            $end = $i === $last ? ($columns ? $box->x1 : $box->y1) : $at + $size;
            $this->node($division->parts[$i]->node, $columns ? new Box($at, $box->y0, $end, $box->y1) : new Box($box->x0, $at, $box->x1, $end));
            if ($i < $last) {
                $next = $end + $division->face;
                $this->member(
                    $columns ? Role::Mullion : Role::Transom,
                    $columns ? new Box($end, $box->y0, $next, $box->y1) : new Box($box->x0, $end, $box->x1, $next),
                );
                $at = $next;
            }
        }
    }

    private function light(Light $light, Box $box): void
    {
        $this->requireRoom($box, 'A light');
        $hinge = $this->mirrored ? ($light->hinge === HingeSide::Left ? HingeSide::Right : HingeSide::Left) : $light->hinge;
        $this->lights[] = new SolvedLight($light, $this->placed($box), $hinge);
        if ($light->operation === Operation::Fixed) {
            $this->pane($light, $box, $this->tree->depth);

            return;
        }
        $inner = $box->inset($light->sashFace, $light->bottomRail, $light->sashFace, $light->sashFace);
        $this->requireRoom($inner, sprintf('A sash %s wide and %s high', self::mm($box->width()), self::mm($box->height())));
        $this->member(Role::Stile, new Box($box->x0, $box->y0, $inner->x0, $box->y1), $light->sashDepth);
        $this->member(Role::Stile, new Box($inner->x1, $box->y0, $box->x1, $box->y1), $light->sashDepth);
        $this->member(Role::Rail, new Box($inner->x0, $box->y0, $inner->x1, $inner->y0), $light->sashDepth);
        $this->member(Role::Rail, new Box($inner->x0, $inner->y1, $inner->x1, $box->y1), $light->sashDepth);
        $this->pane($light, $inner, $light->sashDepth);
    }

    private function member(Role $role, Box $box, ?float $depth = null): void
    {
        $depth ??= $this->tree->depth;
        $this->members[] = new Member($role, $this->placed($box), ($this->tree->depth - $depth) / 2, $depth);
    }

    private function pane(Light $light, Box $box, float $depth): void
    {
        if ($light->solid) {
            $this->members[] = new Member(Role::Infill, $this->placed($box), ($this->tree->depth - min($light->glass, $depth)) / 2, min($light->glass, $depth));

            return;
        }
        $this->panes[] = new Pane($this->placed($box), ($this->tree->depth - min($light->glass, $depth)) / 2, $light->glass);
    }

    private function placed(Box $box): Box
    {
        return $this->mirrored ? $box->mirrored($this->width) : $box;
    }

    private function requireRoom(Box $box, string $what): void
    {
        if ($box->width() < 1 || $box->height() < 1) {
            throw Refusal::because('unit.no_room', sprintf(
                '%s leaves no room for glass: %s by %s would remain.', $what, self::mm($box->width()), self::mm($box->height())),
                details: ['width' => $box->width(), 'height' => $box->height()]);
        }
    }

    private static function mm(float $length): string
    {
        return Length::format($length, Units::Millimetre);
    }
}
