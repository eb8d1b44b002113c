<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Moves a wall square to itself, an arc about its own centre ("by", mm, outward; negative inward). The walls it meets grow or shrink with it; one that
 * runs on in its line is joined by a short return. Openings keep their rules.
 */
final readonly class WallMove implements Edit
{
    private function __construct(private string $wall, private float $by)
    {
    }

    public static function from(Fields $args): self
    {
        $by = $args->length('by');
        if (abs($by) < 1) {
            throw Refusal::because('wall.not_moved', 'Give how far it moves: outward, or with a minus inward.');
        }

        return new self($args->string('wall'), $by);
    }

    public function scope(): Scope
    {
        return Scope::everything();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $wall = $design->wall($this->wall);
        $shape = Reshape::of($design, $design->outline($wall->outline));
        $at = $shape->indexOf($wall->id);
        $moved = $wall->face()->offset(-$this->by);
        [$from, $to] = [$moved->start(), $moved->end()];
        $before = $shape->beside($at, -1);
        $after = $shape->beside($at, 1);
        $returns = [];
        if ($before !== null) {
            $met = $shape->meet($before, $moved, $from);
            if ($met === null) {
                $returns[] = [$at, Side::straight($wall, $wall->from, $from)];
            } else {
                $shape->setTo($before, $from = $met);
            }
        }
        if ($after !== null) {
            $met = $shape->meet($after, $moved, $to);
            if ($met === null) {
                $returns[] = [$at + 1, Side::straight($wall, $to, $wall->to)];
            } else {
                $shape->setFrom($after, $to = $met);
            }
        }
        $shape->sides[$at] = Side::along($wall, $moved->between($from->x, $from->y, $to->x, $to->y), false);
        foreach (array_reverse($returns) as [$place, $side]) {
            array_splice($shape->sides, $place, 0, [$side]);
        }
        [$change, $order] = $shape->change($ids);

        return Reshape::settled(
            $design,
            sprintf('Moved a wall %s %s', Words::length($design, abs($this->by)), $this->by > 0 ? 'outward' : 'inward'),
            $change->operations,
            $wall->id,
            $order,
        );
    }
}
