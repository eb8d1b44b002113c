<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Layered;
use Isleward\Core\Design\Naming;
use Isleward\Core\Design\Tie;
use Isleward\Core\Design\Withers;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Layer\Law\Driven;
use Isleward\Core\Layer\Law\Law;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * Rings at floors, one a storey from one to another, that follow an outline or a line of their own: outset from it, or inset, by a law over
 * the storeys; as high as is said, with an edge of its own shape, and so deep, or as a whole slab.
 */
final readonly class FloorBand implements Layered
{
    use Called;
    use Withers;

    /**
     * @param  string  $top  the last storey it stands on
     * @param  float  $level  of its top over each floor, mm
     * @param  float|null  $depth  from its outer edge inward, mm; null for a whole slab
     * @param  Law  $out  how far outward of its line its outer edge lies, over the storeys, mm
     * @param  float  $edgeSize  of a chamfer or a rounding, mm
     * @param  bool  $inner  whether it follows the inner faces of the outline's walls; else their outer ones
     * @param  list<OwnLine>  $holes  openings in a whole slab
     * @param  list<array{float, float}>  $profile  of a drawn edge, from its top down: inward and down, as shares of its height
     */
    private function __construct(
        public string $id,
        public string $name,
        public int $position,
        public ?string $outline,
        public ?OwnLine $line,
        public string $storey,
        public string $top,
        public float $level,
        public float $height,
        public ?float $depth,
        public Law $out,
        public FloorEdge $edge,
        public float $edgeSize,
        public array $profile,
        public ?string $finish,
        public bool $inner,
        public array $holes,
    ) {
    }

    public static function from(Fields $f): self
    {
        $outline = $f->stringOrNull('outline');
        $line = $f->has('line') ? OwnLine::from($f->fields('line')) : null;
        if (($outline === null) === ($line === null)) {
            throw Refusal::because('floor-band.where', 'A floor band follows an outline, or a line of its own: say one of them.');
        }
        $height = $f->has('height') ? $f->size('height', 'The height of a floor band') : 300.0;
        $depth = $f->has('depth') ? $f->size('depth', 'The depth of a floor band') : null;
        $edge = $f->choice('edge', FloorEdge::class, FloorEdge::Square);
        $size = $f->has('edgeSize') ? $f->size('edgeSize', 'The edge', 1.0) : 30.0;
        $most = $edge === FloorEdge::Square || $edge === FloorEdge::Drawn ? INF : min($height / 2, $depth ?? INF);
        if ($size > $most) {
            throw Refusal::because('floor-band.edge', sprintf(
                'Its edge cannot be %s by %s: half its height and its whole depth leave %s.',
                $edge->value, Length::mark($size), Length::mark($most),
            ), details: ['field' => 'edgeSize', 'most' => $most]);
        }
        if ($depth === null && $line?->closed === false) {
            throw Refusal::because('floor-band.open', 'A whole slab needs a line that closes: say how deep it is.',
                details: ['field' => 'depth']);
        }
        $inner = $outline !== null && $f->bool('inner', false);
        $holes = array_map(OwnLine::from(...), $f->has('holes') ? $f->list('holes') : []);
        if ($holes !== [] && $depth !== null) {
            throw Refusal::because('floor-band.holes', 'Openings are cut in whole slabs: make it one, or take them out of it first.',
                details: ['field' => 'depth']);
        }
        $out = $f->has('out') ? $f->all()['out'] : 0.0;

        return new self(
            $f->string('id'), $f->name('name'), $f->int('position'), $outline, $line, $f->string('storey'),
            $f->has('top') ? $f->string('top') : $f->string('storey'), $f->has('level') ? $f->length('level') : 0.0, $height, $depth,
            is_array($out) && ! array_is_list($out) ? Law::from($f->fields('out'), Driven::Length)
                : Law::constant($f->has('out') ? $f->length('out') : 0.0),
            $edge, $size, $edge === FloorEdge::Drawn ? self::profile($f, $depth === null ? INF : $depth / $height) : [],
            $f->stringOrNull('finish'), $inner, $holes,
        );
    }

    /** @return list<array{float, float}> */
    private static function profile(Fields $f, float $deepest): array
    {
        $profile = [];
        foreach (array_values($f->array('profile')) as $i => $point) {
            $point = is_array($point) && array_is_list($point) && count($point) === 2 ? $point : [null, null];
            $at = new Fields(['in' => $point[0], 'down' => $point[1]]);
            [$in, $down] = [$at->number('in'), (float) $at->shareOrNull('down')];
            if ($in < 0 || $in >= $deepest || ($profile !== [] && $down <= $profile[count($profile) - 1][1])) {
                throw Refusal::because('floor-band.profile', sprintf(
                    'Point %d of the drawn edge does not go on: each lies lower than the one before, and within its depth.', $i + 1,
                ), details: ['field' => 'profile', 'point' => $i]);
            }
            $profile[] = [$in, $down];
        }
        if (count($profile) < 2 || count($profile) > 60 || $profile[0][1] > 1e-9 || $profile[count($profile) - 1][1] < 1 - 1e-9) {
            throw Refusal::because('floor-band.profile',
                'A drawn edge has 2 to 60 points, the first at its top and the last at its underside.');
        }

        return $profile;
    }

    /** The section of its edge so deep inward: x inward from its outer edge, y up from its top. */
    public function section(float $depth): Contour
    {
        [$h, $e] = [$this->height, $this->edgeSize];
        $outer = match ($this->edge) {
            FloorEdge::Square => [[0.0, 0.0], [0.0, -$h]],
            FloorEdge::Chamfered => [[$e, 0.0], [0.0, -$e], [0.0, $e - $h], [$e, -$h]],
            FloorEdge::Rounded => [[$e, 0.0], [0.0, -$e], [0.0, $e - $h], [$e, -$h]],
            FloorEdge::Drawn => array_map(static fn (array $p): array => [$p[0] * $h, -$p[1] * $h], $this->profile),
        };
        $points = [...$outer, [$depth, -$h], [$depth, 0.0]];
        $edges = [];
        foreach ($points as $i => [$x, $y]) {
            [$nx, $ny] = $points[($i + 1) % count($points)];
            if (hypot($nx - $x, $ny - $y) < 1e-9) {
                continue;
            }
            $edges[] = match (true) {
                $this->edge === FloorEdge::Rounded && $i === 0 => Curve::curved($e, -$e, $e, $e, M_PI / 2, M_PI / 2),
                $this->edge === FloorEdge::Rounded && $i === 2 => Curve::curved($e, $e - $h, $e, $e, M_PI, M_PI / 2),
                default => Curve::straight($x, $y, $nx, $ny),
            };
        }

        return Contour::of($edges === [] ? throw new \LogicException('A section has sides.') : $edges);
    }

    /** How deep its edge reaches inward, mm. */
    public function edgeDepth(): float
    {
        return max(1.0, match ($this->edge) {
            FloorEdge::Square => 0.0,
            FloorEdge::Chamfered, FloorEdge::Rounded => $this->edgeSize,
            FloorEdge::Drawn => max(0.0, ...array_map(fn (array $p): float => $p[0] * $this->height, $this->profile)),
        });
    }

    public function kind(): Kind
    {
        return Kind::FloorBand;
    }

    public function storeys(): array
    {
        return array_values(array_unique([$this->storey, $this->top]));
    }

    public function names(): array
    {
        return Naming::of(Tie::StandsIn, $this->outline, $this->storey, $this->top);
    }

    public function toArray(): array
    {
        return [
            'id' => $this->id, 'name' => $this->name, 'position' => $this->position, 'outline' => $this->outline,
            'line' => $this->line?->toArray(), 'storey' => $this->storey, 'top' => $this->top, 'level' => $this->level,
            'height' => $this->height, 'depth' => $this->depth, 'out' => $this->out->toArray(), 'edge' => $this->edge->value,
            'edgeSize' => $this->edgeSize, 'profile' => $this->profile, 'finish' => $this->finish, 'inner' => $this->inner,
            'holes' => array_map(static fn (OwnLine $h): array => $h->toArray(), $this->holes),
        ];
    }
}
