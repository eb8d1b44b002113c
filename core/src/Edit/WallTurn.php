<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Turns a wall with its openings by "degrees", counter-clockwise in plan, about its "left" or "right" end or its "middle". The walls it
 * meets follow its ends.
 */
final readonly class WallTurn implements Edit
{
    private function __construct(private string $wall, private float $degrees, private string $about)
    {
    }

    public static function from(Fields $args): self
    {
        $degrees = $args->number('degrees');
        $about = $args->string('about', 'middle');
        if (! in_array($about, ['left', 'right', 'middle'], true)) {
            throw Refusal::because('field.invalid', '“about” must be one of left, right, middle.', details: ['field' => 'about']);
        }
        if (abs($degrees) > 360 || abs($degrees) < 1e-6) {
            throw Refusal::because(
                'wall.not_turned',
                sprintf('A turn runs up to 360° either way and is not nothing; %s° was given.', $degrees),
            );
        }

        return new self($args->string('wall'), $degrees, $about);
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
        $pivot = match ($this->about) {
            'left' => $wall->from,
            'right' => $wall->to,
            default => $wall->from->plus($wall->to)->times(0.5),
        };
        $cos = cos(deg2rad($this->degrees));
        $sin = sin(deg2rad($this->degrees));
        $turned = static function (Vec2 $p) use ($pivot, $cos, $sin): Vec2 {
            $d = $p->minus($pivot);

            return $pivot->plus(new Vec2($d->x * $cos - $d->y * $sin, $d->x * $sin + $d->y * $cos));
        };
        [$from, $to] = [$turned($wall->from), $turned($wall->to)];
        $before = $shape->beside($at, -1);
        $after = $shape->beside($at, 1);
        if ($before !== null) {
            $shape->setTo($before, $from);
        }
        if ($after !== null) {
            $shape->setFrom($after, $to);
        }
        $shape->sides[$at] = Side::along($wall, $wall->face()->turned(deg2rad($this->degrees), $pivot), false);
        [$change, $order] = $shape->change($ids);

        return Reshape::settled($design, sprintf('Turned a wall by %s°', round($this->degrees, 3)), $change->operations, $wall->id, $order);
    }
}
