<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Geometry\Vec3;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Roof\PlacedRooflight;
use Isleward\Core\Roof\Roof;
use Isleward\Core\Roof\RoofFace;
use Isleward\Core\Roof\Rooflight;
use Isleward\Core\Roof\Rooflights;
use Isleward\Core\Roof\Roofs;
use Isleward\Core\Roof\RoofShape;

/**
 * Places a unit in a face of a roof, or a row of them, or changes what stands there: "at" a point in plan, which its middle then lies over,
 * or by figures. "copy" places one that is there once more, beside itself.
 */
final readonly class RooflightPlace implements Edit
{
    /** A point in plan is taken to figures of so much, mm. */
    private const STEP = 10.0;

    private function __construct(private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args);
    }

    public function scope(): Scope
    {
        return Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $roof = Roofs::roof($design, $this->args->string('id'));
        $shape = Roofs::in($design)->of($roof);
        $before = $this->args->has('n') ? self::light($roof, $this->args->int('n')) : null;
        $light = $this->asSaid($design, $shape, $before);
        $type = $design->type($light->type);
        $row = Rooflights::row($design, $shape, $light);
        $why = Rooflights::against($row[0]->unit, $type->mark);
        if ($why !== null) {
            throw Refusal::because('rooflight.unit', $why, [$roof->id, $type->id], ['field' => 'type']);
        }
        $this->requireRoom($design, $roof, $row);
        $after = $roof->withLights([...array_filter($roof->lights, static fn (Rooflight $l): bool => $l->n !== $light->n), $light]);
        $what = $light->count === 1 ? Rooflights::called($light) : sprintf('a row of %d rooflights', $light->count);

        return new Change(
            $before === null ? sprintf('Placed %s in %s', $what, $roof->name) : sprintf('Changed %s of %s', $what, $roof->name),
            [Operation::alter($roof, $after)], [$roof->id], wanted: $light->count,
        );
    }

    public static function light(Roof $roof, int $n): Rooflight
    {
        return $roof->light($n) ?? throw Refusal::because(
            'rooflight.unknown', sprintf('Rooflight %d is not in %s any more.', $n, $roof->name), [$roof->id], ['field' => 'n'],
        );
    }

    private function asSaid(Design $design, RoofShape $shape, ?Rooflight $before): Rooflight
    {
        $roof = $shape->roof;
        $next = max([0, ...array_map(static fn (Rooflight $l): int => $l->n, $roof->lights)]) + 1;
        if ($this->args->has('copy')) {
            return self::light($roof, $this->args->int('copy'))->beside($next);
        }
        $given = array_diff_key($this->args->all(), ['id' => 1, 'at' => 1, 'copy' => 1]);
        $values = $before?->toArray() ?? ['n' => $next];
        if ($before === null) {
            $type = $design->type($this->args->string('type'));
            $values += ['width' => $type->width, 'height' => $type->height];
        }
        if (! $this->args->has('at')) {
            return Rooflight::from(new Fields([...$values, ...$given], $this->args->units()));
        }
        $face = $this->faceAt($design, $shape);
        $at = $this->args->fields('at');
        [$x, $y] = [$at->number('x'), $at->number('y')];
        $light = Rooflight::from(new Fields([...$values, ...$given, 'wall' => $face->side->wall], $this->args->units()));
        $middle = $face->axes->place(new Vec3($x, $y, $face->side->levelAt($x, $y) + $roof->upright()));
        $round = static fn (float $mm): float => round($mm / self::STEP) * self::STEP;

        return $light->movedTo($face, $round($middle->x - $light->across() / 2), $round($middle->y - $light->height / 2));
    }

    private function faceAt(Design $design, RoofShape $shape): RoofFace
    {
        $at = $this->args->fields('at');
        foreach ($shape->slopes() as $side) {
            [$x, $y] = [$at->number('x'), $at->number('y')];
            if (Rooflights::isWithin($side->contour()->ring(), $x, $y) && $side->isThere($x, $y)) {
                return $shape->face($side);
            }
        }

        throw Refusal::because('rooflight.beside', sprintf('%s does not lie over that place.', $shape->roof->name), [$shape->roof->id]);
    }

    /**
     * @param  list<PlacedRooflight>  $row
     *
     * @throws Refusal when some of it lies past an edge of its face, or over another
     */
    private function requireRoom(Design $design, Roof $roof, array $row): void
    {
        $off = max([0.0, ...array_map(static fn (PlacedRooflight $p): float => $p->off, $row)]);
        $called = Rooflights::called($row[0]->light);
        if ($off > 0.0) {
            throw Refusal::because('rooflight.past_edge', Length::said(sprintf(
                '%s would lie %s past the edge of its face, of which it has to keep within the upper side and the underside.',
                $called, Length::mark($off),
            ), $this->args->units()), [$roof->id], ['field' => 'along', 'past' => $off]);
        }
        foreach (Rooflights::of($design, Roofs::in($design)->of($roof)) as $other) {
            foreach ($row as $one) {
                if ($other->light->n !== $one->light->n && $other->light->wall === $one->light->wall && $other->overlaps($one)) {
                    throw Refusal::because('rooflight.overlap', sprintf(
                        '%s would lie over %s.', $called, Rooflights::called($other->light),
                    ), [$roof->id], ['field' => 'along']);
                }
            }
        }
    }
}
