<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Profile;
use Isleward\Core\Geometry\Upright;

/**
 * A mark on a drawing, in mm, y up. Points are flat lists [x, y, …]; an arc is [centre x, centre y, radius, start, sweep]
 * with angles in radians counter-clockwise; a text is placed by its middle. Sides of an area may be curves: each is given as
 * [number of the point it begins at, centre x, centre y, half axis x, half axis y, start, sweep].
 */
final class Shape
{
    /** @phpstan-readonly-allow-private-mutation */
    public bool $dashed = false;

    /** @phpstan-readonly-allow-private-mutation */
    public string $text = '';

    /**
     * @var list<list<list<float>>> by ring
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public array $curves = [];

    /** @phpstan-readonly-allow-private-mutation */
    public bool $before = false;

    /**
     * @var string|null what it is of its element, where that is only a part of it
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public ?string $part = null;

    /**
     * Most are plain areas: what only others have is not among what has to be set, which takes a third less time.
     *
     * @param  list<list<float>>  $rings
     */
    private function __construct(public readonly Layer $layer, public readonly string $kind, public readonly array $rings)
    {
    }

    /**
     * @param  list<list<float>>  $rings
     * @param  list<list<list<float>>>  $curves
     */
    private static function of(
        Layer $layer,
        string $kind,
        array $rings,
        bool $dashed = false,
        string $text = '',
        array $curves = [],
        bool $before = false,
        ?string $part = null,
    ): self {
        $shape = new self($layer, $kind, $rings);
        $shape->dashed = $dashed;
        $shape->text = $text;
        $shape->curves = $curves;
        $shape->before = $before;
        $shape->part = $part;

        return $shape;
    }

    /** @param  list<list<float>>  $rings filled by the even-odd rule */
    public static function area(Layer $layer, array $rings): self
    {
        return new self($layer, 'area', $rings);
    }

    /** The area inside a contour, its curves as curves. */
    public static function contour(Layer $layer, Contour $contour): self
    {
        $square = $contour->corners();
        if ($square !== null) {
            return new self($layer, 'area', [$square]);
        }
        $ring = $curves = [];
        foreach ($contour->edges() as $i => $e) {
            $ring[] = $e->x0;
            $ring[] = $e->y0;
            if ($e->rx > 0.0) {
                $curves[] = [(float) $i, $e->cx, $e->cy, $e->rx, $e->ry, $e->start, $e->sweep, ...($e->tilt === 0.0 ? [] : [$e->tilt])];
            }
        }

        return $curves === [] ? new self($layer, 'area', [$ring]) : self::of($layer, 'area', [$ring], curves: [$curves]);
    }

    /** The area inside a profile and outside its holes, its curves as curves. */
    public static function profile(Layer $layer, Profile $profile): self
    {
        $rings = $curves = [];
        foreach ($profile->contours() as $contour) {
            $shape = self::contour($layer, $contour);
            $rings[] = $shape->rings[0];
            $curves[] = $shape->curves[0] ?? [];
        }

        return self::of($layer, 'area', $rings, curves: array_filter($curves) === [] ? [] : $curves);
    }

    /** @param  list<float>  $points */
    public static function line(Layer $layer, array $points, bool $dashed = false): self
    {
        return self::of($layer, 'line', [$points], $dashed);
    }

    public static function arc(Layer $layer, float $x, float $y, float $radius, float $start, float $sweep): self
    {
        return new self($layer, 'arc', [[$x, $y, $radius, $start, $sweep]]);
    }

    /** @param  float  $height of the letters, mm on the drawing */
    public static function text(float $x, float $y, float $height, string $text): self
    {
        return self::of(Layer::Text, 'text', [[$x, $y, $height]], text: $text);
    }

    /** The shape turned by $angle about the origin, then moved. */
    public function placed(float $x, float $y, float $angle): self
    {
        $c = cos($angle);
        $s = sin($angle);
        $curves = array_map(
            static fn (array $ring): array => array_map(static fn (array $k): array => self::curvePlaced($k, $x, $y, $angle), $ring),
            $this->curves,
        );
        $rings = [];
        foreach ($this->rings as $ring) {
            if ($this->kind === 'arc') {
                [$cx, $cy, $r, $start, $sweep] = $ring;
                $rings[] = [$x + $cx * $c - $cy * $s, $y + $cx * $s + $cy * $c, $r, $start + $angle, $sweep];

                continue;
            }
            $out = [];
            for ($i = 0, $n = $this->kind === 'text' ? 2 : count($ring); $i < $n; $i += 2) {
                $out[] = $x + $ring[$i] * $c - $ring[$i + 1] * $s;
                $out[] = $y + $ring[$i] * $s + $ring[$i + 1] * $c;
            }
            $rings[] = $this->kind === 'text' ? [...$out, $ring[2]] : $out;
        }

        return self::of($this->layer, $this->kind, $rings, $this->dashed, $this->text, $curves, part: $this->part);
    }

    /**
     * A curve of a ring turned about the origin, then moved; a circle turns by where it starts.
     *
     * @param  list<float>  $curve
     * @return list<float>
     */
    private static function curvePlaced(array $curve, float $x, float $y, float $angle): array
    {
        [$i, $cx, $cy, $rx, $ry, $start, $sweep] = $curve;
        $tilt = ($curve[7] ?? 0.0) + $angle;
        $centre = [$x + $cx * cos($angle) - $cy * sin($angle), $y + $cx * sin($angle) + $cy * cos($angle)];

        return match (true) {
            $rx === $ry => [$i, ...$centre, $rx, $ry, $start + $tilt, $sweep],
            $tilt === 0.0 => [$i, ...$centre, $rx, $ry, $start, $sweep],
            default => [$i, ...$centre, $rx, $ry, $start, $sweep, $tilt],
        };
    }

    /**
     * The shape with each of its points put elsewhere; only of areas and lines without curves.
     *
     * @param  \Closure(float, float): array{float, float}  $to
     */
    public function mapped(\Closure $to): self
    {
        if ($this->curves !== [] || $this->kind === 'arc' || $this->kind === 'text') {
            throw new \LogicException('Only straight shapes are put elsewhere point by point.');
        }
        $rings = [];
        foreach ($this->rings as $ring) {
            $out = [];
            for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                array_push($out, ...$to($ring[$i], $ring[$i + 1]));
            }
            $rings[] = $out;
        }

        return self::of($this->layer, $this->kind, $rings, $this->dashed, $this->text, part: $this->part);
    }

    /** The same with its curves as chords that leave them by so much at the most, mm. */
    public function straight(float $sagitta): self
    {
        if ($this->kind === 'arc') {
            [$x, $y, $radius, $start, $sweep] = $this->rings[0];
            $arc = Curve::curved($x, $y, $radius, $radius, $start, $sweep);

            return self::of(
                $this->layer, 'line', [[$arc->x0, $arc->y0, ...$arc->chords($sagitta)]], $this->dashed, part: $this->part,
            );
        }
        $rings = $this->rings;
        foreach ($this->curves as $r => $curves) {
            $ring = [];
            $at = [];
            foreach ($curves as $curve) {
                $at[(int) $curve[0]] = $curve;
            }
            for ($i = 0, $n = intdiv(count($rings[$r]), 2); $i < $n; $i++) {
                array_push($ring, $rings[$r][2 * $i], $rings[$r][2 * $i + 1]);
                if (isset($at[$i])) {
                    [, $cx, $cy, $rx, $ry, $start, $sweep] = $at[$i];
                    $chords = Curve::curved($cx, $cy, $rx, $ry, $start, $sweep, $at[$i][7] ?? 0.0)->chords($sagitta);
                    array_push($ring, ...array_slice($chords, 0, -2)); // its end is the next point
                }
            }
            $rings[$r] = $ring;
        }

        return self::of($this->layer, $this->kind, $rings, $this->dashed, $this->text, part: $this->part);
    }

    /**
     * The shape laid round a curved wall: x runs along its face from the left end, y is the depth behind it. Stretches that run along the
     * wall become arcs; others are straight from point to point.
     */
    public function bent(Upright $surface): self
    {
        if ($this->curves !== [] || $this->kind !== 'area' && $this->kind !== 'line') {
            throw new \LogicException('Only straight shapes are bent to a wall.');
        }
        $rings = $curves = [];
        foreach ($this->rings as $ring) {
            $out = $arcs = [];
            for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                $p = $surface->inPlan($ring[$i], $ring[$i + 1]);
                array_push($out, $p->x, $p->y);
                $j = ($i + 2) % $n;
                if (abs($ring[$i + 1] - $ring[$j + 1]) < 1e-6 && abs($ring[$i] - $ring[$j]) > 1e-6) {
                    $arc = $surface->behind($ring[$i + 1])->part($ring[$i] / $surface->length, $ring[$j] / $surface->length);
                    $arcs[] = [(float) intdiv($i, 2), $arc->cx, $arc->cy, $arc->rx, $arc->ry, $arc->start, $arc->sweep];
                }
            }
            $rings[] = $out;
            $curves[] = $arcs;
        }

        return self::of($this->layer, $this->kind, $rings, $this->dashed, $this->text, $curves, part: $this->part);
    }

    /** The same, standing before the wall that it is drawn on: it is drawn over the wall's openings. */
    public function before(): self
    {
        return self::of($this->layer, $this->kind, $this->rings, $this->dashed, $this->text, $this->curves, true, $this->part);
    }

    /** The same as what it is of its element: a cell or a member of a curtain wall. */
    public function partOf(?string $part): self
    {
        return self::of($this->layer, $this->kind, $this->rings, $this->dashed, $this->text, $this->curves, $this->before, $part);
    }

    /** The same on another layer. */
    public function on(Layer $layer): self
    {
        return self::of($layer, $this->kind, $this->rings, $this->dashed, $this->text, $this->curves, part: $this->part);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $out = ['layer' => $this->layer->value, 'kind' => $this->kind, 'rings' => $this->rings];
        if ($this->dashed) {
            $out['dashed'] = true;
        }
        if ($this->curves !== []) {
            $out['curves'] = $this->curves;
        }
        if ($this->text !== '') {
            $out['text'] = $this->text;
        }
        if ($this->part !== null) {
            $out['part'] = $this->part;
        }

        return $out;
    }
}
