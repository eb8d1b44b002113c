<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Tracing;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Lays a tracing ("id") where it belongs. With "a", "b" (points in plan, as it lies now) and "distance" it is scaled so that the two are
 * that far apart, "a" staying. With "a" and "to" it is moved so that "a" comes to "to"; with "b" and "towards" besides it is turned about
 * there so that "b" lies in the direction of "towards".
 */
final readonly class TracingPlace implements Edit
{
    private function __construct(private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args);
    }

    public function scope(): Scope
    {
        return Scope::kept();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $tracing = $design->kept(Kind::Tracing, $this->args->string('id'));
        if (! $tracing instanceof Tracing) {
            throw new \LogicException('Of this kind there are only tracings.');
        }
        if ($tracing->locked) {
            throw Refusal::because(
                'tracing.locked',
                sprintf('%s is locked: unlock it to move, turn or scale it.', $tracing->name),
                [$tracing->id],
            );
        }
        $a = self::point($this->args, 'a');
        $after = $this->args->has('distance') ? $this->scaled($tracing, $a, $design) : $this->moved($tracing, $a);

        return new Change(
            sprintf('%s tracing %s', $this->args->has('distance') ? 'Scaled' : 'Placed', $tracing->name),
            [Operation::alter($tracing, $after)],
            [$tracing->id],
        );
    }

    private function scaled(Tracing $tracing, Vec2 $a, Design $design): Tracing
    {
        $b = self::point($this->args, 'b');
        $apart = $a->distanceTo($b);
        $distance = $this->args->size('distance', 'The known distance', 1.0);
        if ($apart < 1e-6 * $tracing->scale || $apart < 1e-9) {
            throw Refusal::because('tracing.same_point', 'Both points are at the same place: no distance can be known between them.');
        }
        $factor = $distance / $apart;

        return $tracing->withPlace(
            $a->x + ($tracing->x - $a->x) * $factor,
            $a->y + ($tracing->y - $a->y) * $factor,
            $tracing->angle,
            $tracing->scale * $factor,
        );
    }

    private function moved(Tracing $tracing, Vec2 $a): Tracing
    {
        $to = self::point($this->args, 'to');
        $turn = 0.0;
        if ($this->args->has('b')) {
            $b = self::point($this->args, 'b');
            $towards = self::point($this->args, 'towards');
            if ($a->distanceTo($b) < 1e-6 || $to->distanceTo($towards) < 1e-6) {
                throw Refusal::because('tracing.same_point', 'Two of the points are at the same place: they give no direction.');
            }
            $turn = $towards->minus($to)->angle() - $b->minus($a)->angle();
        }
        [$c, $s] = [cos($turn), sin($turn)];
        $origin = (new Vec2($tracing->x, $tracing->y))->minus($a);

        return $tracing->withPlace(
            $to->x + $origin->x * $c - $origin->y * $s,
            $to->y + $origin->x * $s + $origin->y * $c,
            $tracing->angle + rad2deg($turn),
            $tracing->scale,
        );
    }

    private static function point(Fields $args, string $name): Vec2
    {
        $values = $args->array($name);
        [$x, $y] = [$values[0] ?? null, $values[1] ?? null];
        if ((! is_int($x) && ! is_float($x)) || (! is_int($y) && ! is_float($y))) {
            throw Refusal::because('field.invalid', sprintf('“%s” must be a point, [x, y].', $name), details: ['field' => $name]);
        }

        return new Vec2((float) $x, (float) $y);
    }
}
