<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Zero;

/**
 * A plan drawing of others, laid under storeys. A point of it, in its own units from its lower left corner and y up, lies in plan at
 * (x, y) + scale · (the point turned by the angle).
 */
final readonly class Tracing implements Kept
{
    use Withers;

    /**
     * @param  list<string>  $storeys  that it lies under
     * @param  float  $width  in its own units
     * @param  float  $scale  mm in one of its units
     * @param  float  $angle  degrees, counter-clockwise
     * @param  float  $opacity  0 to 1
     * @param  bool  $locked  it is not moved, turned or scaled
     */
    private function __construct(
        public string $id,
        public string $name,
        public array $storeys,
        public string $file,
        public float $width,
        public float $height,
        public float $x,
        public float $y,
        public float $scale,
        public float $angle,
        public float $opacity,
        public bool $locked,
    ) {
    }

    public static function from(Fields $f): self
    {
        $storeys = array_values(array_unique($f->strings('storeys')));
        if ($storeys === []) {
            throw Refusal::because('tracing.no_storey', 'A tracing lies under one storey at the least.', details: ['field' => 'storeys']);
        }
        $opacity = $f->has('opacity') ? $f->number('opacity') : 0.6;
        if ($opacity < 0.05 || $opacity > 1) {
            throw Refusal::because('tracing.opacity', 'A tracing is seen from 5 % to 100 %.');
        }

        return new self(
            $f->string('id'),
            $f->name('name'),
            $storeys,
            StoredFile::named($f),
            $f->number('width'),
            $f->number('height'),
            $f->number('x'),
            $f->number('y'),
            self::scale($f->number('scale')),
            self::turn($f->has('angle') ? $f->number('angle') : 0.0),
            $opacity,
            $f->bool('locked'),
        );
    }

    public function isVector(): bool
    {
        return str_ends_with($this->file, '.json');
    }

    /** Where a point of it lies in plan. */
    public function inPlan(float $x, float $y): Vec2
    {
        [$c, $s] = [cos(deg2rad($this->angle)), sin(deg2rad($this->angle))];

        return new Vec2($this->x + $this->scale * ($x * $c - $y * $s), $this->y + $this->scale * ($x * $s + $y * $c));
    }

    /**
     * Lines of it as they lie in plan.
     *
     * @param  list<float>  $lines  x0, y0, x1, y1 …
     * @return list<float>
     */
    public function linesInPlan(array $lines): array
    {
        [$c, $s] = [cos(deg2rad($this->angle)) * $this->scale, sin(deg2rad($this->angle)) * $this->scale];
        $out = [];
        for ($i = 0, $n = count($lines); $i < $n; $i += 2) {
            [$x, $y] = [$lines[$i], $lines[$i + 1]];
            $out[] = $this->x + $x * $c - $y * $s;
            $out[] = $this->y + $x * $s + $y * $c;
        }

        return $out;
    }

    /**
     * Elsewhere in plan.
     *
     * @throws Refusal when it cannot be so small or so large
     */
    public function withPlace(float $x, float $y, float $angle, float $scale): self
    {
        return $this->but(x: $x, y: $y, angle: self::turn($angle), scale: self::scale($scale));
    }

    /** From 0 to under 360 degrees; what is so already stays as it is. */
    private static function turn(float $angle): float
    {
        $turn = fmod($angle, 360);

        return $turn < 0 ? fmod($turn + 360, 360) : $turn;
    }

    private static function scale(float $scale): float
    {
        if ($scale < 1e-6 || $scale > 1e6) {
            throw Refusal::because('tracing.scale', 'At that scale the drawing would be a point or larger than any site.');
        }

        return $scale;
    }

    public function called(): string
    {
        return $this->name;
    }

    public function id(): string
    {
        return $this->id;
    }

    public function kind(): Kind
    {
        return Kind::Tracing;
    }

    public function names(): array
    {
        return Naming::of(Tie::Lists, ...$this->storeys);
    }

    public function toArray(): array
    {
        return [
            'id' => $this->id, 'name' => $this->name, 'storeys' => $this->storeys, 'file' => $this->file, 'width' => $this->width,
            'height' => $this->height, 'x' => Zero::plain($this->x), 'y' => Zero::plain($this->y),
            'scale' => $this->scale, 'angle' => Zero::plain($this->angle), 'opacity' => $this->opacity, 'locked' => $this->locked];
    }
}
