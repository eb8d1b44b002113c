<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Places;
use Isleward\Core\Design\Along;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Sets a stretch of a wall back by "depth" (negative: brings it forward), "from" one place along the wall "to" another
 * (mm from its left end). A stretch that reaches a corner recesses the corner: the wall beyond it shrinks. Openings stay
 * where they are along the wall, each measured the way it was; one that lies across a break is named and nothing is done.
 */
final readonly class OutlineRecess implements Edit
{
    private function __construct(private string $wall, private float $from, private float $to, private float $depth)
    {
    }

    public static function from(Fields $args): self
    {
        $depth = $args->length('depth');
        if (abs($depth) < 1) {
            throw Refusal::because('recess.depth', 'Give how deep it is set back, or with a minus how far it comes forward.');
        }

        return new self($args->string('wall'), $args->length('from'), $args->length('to'), $depth);
    }

    public function scope(): Scope
    {
        return Scope::everything();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $wall = $design->wall($this->wall);
        $length = $wall->face()->length();
        if ($this->from < -Tolerance::LENGTH || $this->to > $length + Tolerance::LENGTH || $this->to - $this->from < 1) {
            throw Refusal::because(
                'recess.stretch',
                sprintf('The stretch runs from 0 to %s along the wall, its end right of its start.', Words::length($design, $length)),
                [$wall->id],
            );
        }
        $left = $this->from > Tolerance::LENGTH;
        $right = $this->to < $length - Tolerance::LENGTH;
        if (! $left && ! $right) {
            throw Refusal::because('recess.whole', 'That is the whole wall: move it instead.', [$wall->id]);
        }
        $this->requireNoneAcross($design, $wall);
        $shape = Reshape::of($design, $design->outline($wall->outline));
        $at = $shape->indexOf($wall->id);
        [$sides, $back] = $this->sides($design, $wall, $shape, $at, $left, $right);
        array_splice($shape->sides, $at, 1, $sides);
        [$change, $order] = $shape->change($ids);
        $parts = array_slice($order, $at, count($sides));
        $then = $design->after($change);
        $operations = [
            ...$change->operations,
            ...$this->rehosted($design, $then, $wall, $parts[$back], $right ? $parts[count($parts) - 1] : null),
        ];

        return Reshape::settled(
            $design,
            sprintf('Set a wall back %s', Words::length($design, $this->depth)),
            $operations,
            $parts[$back],
            $order,
        );
    }

    /** Its head and foot counted from where a part of it begins. */
    private static function beginning(Wall $wall, float $along): Wall
    {
        return $wall->withHead($wall->head?->shifted($along))->withFoot($wall->foot?->shifted($along));
    }

    /** @return array{non-empty-list<Side>, int} the sides in place of the wall, and which is set back */
    private function sides(Design $design, Wall $wall, Reshape $shape, int $at, bool $left, bool $right): array
    {
        $surface = Places::in($design)->surface($wall);
        $length = $surface->length;
        [$a, $b] = [$surface->inPlan($this->from), $surface->inPlan($this->to)];
        $recessed = $surface->behind($this->depth)->part($this->from / $length, $this->to / $length);
        [$aBack, $bBack] = [$recessed->start(), $recessed->end()];
        $sides = [];
        if ($left) {
            $sides[] = Side::along($wall, $wall->face()->part(0.0, $this->from / $length), false);
            $sides[] = Side::straight($wall, $a, $aBack);
        } else {
            $before = $shape->beside($at, -1);
            $met = $before === null ? null : $shape->meet($before, $recessed, $aBack);
            if ($before !== null && $met !== null) {
                $shape->setTo($before, $aBack = $met);
            } elseif ($before !== null) {
                $sides[] = Side::straight($wall, $a, $aBack);
            }
        }
        $back = count($sides);
        $after = $right ? null : $shape->beside($at, 1);
        $met = $after === null ? null : $shape->meet($after, $recessed, $bBack);
        if ($after !== null && $met !== null) {
            $shape->setFrom($after, $met);
        }
        $end = $met ?? $bBack;
        $sides[] = Side::along(self::beginning($wall, $this->from), $recessed->between($aBack->x, $aBack->y, $end->x, $end->y), true);
        if ($right) {
            $sides[] = Side::straight($wall, $bBack, $b);
            $sides[] = Side::along(self::beginning($wall, $this->to), $wall->face()->part($this->to / $length, 1.0), $left);
        } elseif ($after !== null && $met === null) {
            $sides[] = Side::straight($wall, $bBack, $b);
        }

        return [$sides, $back];
    }

    private function requireNoneAcross(Design $design, Wall $wall): void
    {
        $across = [];
        foreach ($design->openingsOf($wall->id) as $opening) {
            $p = Places::in($design)->of($opening);
            foreach ([$this->from, $this->to] as $break) {
                if ($p->left < $break - Tolerance::LENGTH && $p->right > $break + Tolerance::LENGTH) {
                    $across[$opening->id] = sprintf(
                        '%s on %s lies across the break at %s',
                        ucfirst($design->label($opening)),
                        $design->storeys->get($opening->storey)->name,
                        Words::length($design, $break),
                    );
                }
            }
        }
        if ($across !== []) {
            throw Refusal::because(
                'recess.across',
                sprintf(
                    '%s%s: move or remove it first.',
                    reset($across),
                    count($across) > 1 ? sprintf(', and %d more', count($across) - 1) : '',
                ),
                array_keys($across),
            );
        }
    }

    /**
     * Openings and upright lines of the wall on the part they lie on now, in the same place along it. What is measured from
     * something that lies in the same plane still goes on being measured from it.
     *
     * @return list<Operation>
     */
    private function rehosted(Design $design, Design $then, Wall $wall, string $back, ?string $rightPart): array
    {
        $slack = Tolerance::LENGTH;
        $host = fn (float $u): string => $u >= $this->to - $slack
                    && $rightPart !== null ? $rightPart : ($u >= $this->from - $slack ? $back : $wall->id);
        $places = $hosts = [];
        foreach ([...$design->openingsOf($wall->id), ...array_values($design->lines)] as $element) {
            if ($element instanceof Opening || ($element->host === $wall->id && $element->rule instanceof Along)) {
                $places[$element->id] = $element instanceof Opening
                                    ? Places::in($design)->of($element)->left
                                    : Places::in($design)->line($element);
                $hosts[$element->id] = $host($places[$element->id]);
            }
        }
        $surface = Places::in($design)->surface($wall);
        $operations = [];
        foreach ($hosts as $id => $hostId) {
            $element = $design->openings[$id] ?? $design->line($id);
            $ref = $element instanceof Opening ? $element->position->along->ref : $element->ref();
            $lost = $ref !== null && (($hosts[$ref] ?? '') === $back) !== ($hostId === $back);
            $now = $then->wall($hostId);
            $u = Places::in($then)->surface($now)->u($surface->inPlan($places[$id]));
            if ($element instanceof Opening) {
                $own = $lost ? References::onItsOwn($design, $element, [$ref => true]) : $element;
                $rule = $own->position->along->ref === null
                                    ? Places::in($then)->positionAt($own->position, $now, $own, $u)
                                    : $own->position;
                $operations[] = Operation::alter($element, $own->withHost($hostId)->withPosition($rule));
            } else {
                $own = $lost ? References::lineOnItsOwn($design, $element) : $element;
                $rule = $own->rule instanceof Along
                                    && $own->rule->ref === null ? Places::in($then)->alongAt($own->rule, $now, $u) : $own->rule;
                $operations[] = Operation::alter($element, $own->withHost($hostId)->withRule($rule));
            }
        }

        return $operations;
    }
}
