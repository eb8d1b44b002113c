<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Margin;
use Isleward\Core\Geometry\Rounded;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * The shape of a piece of a screen or of a cut-out, as it was drawn: u from the wall's left end, v over the floor of the screen's storey,
 * mm. Its corners may be rounded, and all of it grown or shrunk.
 */
final readonly class ScreenShape
{
    private const MOST = 200;

    /**
     * @param  float  $u  of its left; of a polygon nothing
     * @param  float  $v  of its foot
     * @param  float  $width  of a round one its diameter
     * @param  list<array{float, float, float}>  $points  of a polygon: u, v, and the rise of the side that leads on from there
     * @param  float  $radius  of its corners; nothing where they are sharp
     * @param  float  $grow  outward all round; inward where it is negative
     * @param  list<string>  $around  openings
     */
    private function __construct(
        public ScreenForm $form,
        public float $u,
        public float $v,
        public float $width,
        public float $height,
        public array $points,
        public float $radius,
        public float $grow,
        public array $around,
    ) {
    }

    public static function whole(float $v, float $height): self
    {
        return new self(ScreenForm::Whole, 0.0, $v, 0.0, $height, [], 0.0, 0.0, []);
    }

    public static function from(Fields $f): self
    {
        $form = $f->choice('form', ScreenForm::class);
        $sized = $form === ScreenForm::Rectangle || $form === ScreenForm::Round;
        $high = $form === ScreenForm::Rectangle || $form === ScreenForm::Whole;
        $radius = $f->has('radius') ? $f->length('radius') : 0.0;
        if ($radius < 0.0) {
            throw Refusal::because('screen.radius', sprintf('A corner is rounded by more than nothing; %s was given.',
                Length::mark($radius)), details: ['field' => 'radius']);
        }
        $around = $form === ScreenForm::Openings ? array_values(array_unique($f->strings('around'))) : [];
        if ($form === ScreenForm::Openings && $around === []) {
            throw Refusal::because('screen.around', 'A cut-out round openings needs one: choose some.');
        }

        return new self(
            $form,
            $sized ? $f->length('u') : 0.0,
            $form === ScreenForm::Polygon || $form === ScreenForm::Openings ? 0.0 : $f->length('v'),
            $sized ? $f->size('width', $form === ScreenForm::Round ? 'The diameter' : 'The width') : 0.0,
            $high ? $f->size('height', 'The height') : 0.0,
            $form === ScreenForm::Polygon ? self::points($f) : [],
            $form === ScreenForm::Rectangle || $form === ScreenForm::Polygon ? $radius : 0.0,
            $f->has('grow') ? $f->length('grow') : 0.0,
            $around,
        );
    }

    /** @return list<array{float, float, float}> counter-clockwise */
    private static function points(Fields $f): array
    {
        $points = [];
        foreach (array_values($f->array('points')) as $point) {
            $point = is_array($point) && array_is_list($point) && count($point) >= 2 ? [...$point, 0.0] : [null, null, null];
            $at = new Fields(['u' => $point[0], 'v' => $point[1], 'rise' => $point[2]], $f->units());
            $points[] = [$at->length('u'), $at->length('v'), $at->length('rise')];
        }
        if (count($points) < 2 || count($points) > self::MOST || (count($points) === 2 && $points[0][2] === 0.0 && $points[1][2] === 0.0)) {
            throw Refusal::because('screen.points', sprintf(
                'A drawn shape has 3 to %d corners, or two between arcs; %d were given.', self::MOST, count($points),
            ), details: ['field' => 'points']);
        }
        $area = self::drawn($points)->area();
        if ($area < 0) {
            // drawn clockwise: the same corners the other way round, each with the side that led to it
            $n = count($points);
            $turned = [];
            for ($i = $n - 1; $i >= 0; $i--) {
                $turned[] = [$points[$i][0], $points[$i][1], 0.0 - $points[($i + $n - 1) % $n][2]];
            }
            $points = $turned;
        }
        $contour = self::drawn($points);
        if ($contour->crossesItself() || $contour->area() < 100.0) {
            throw Refusal::because('screen.crosses', sprintf(
                'The shape crosses itself, or holds next to nothing: %s by %s about.',
                Length::mark($contour->width()), Length::mark($contour->height()),
            ), details: ['field' => 'points']);
        }

        return $points;
    }

    /** @param  list<array{float, float, float}>  $points */
    private static function drawn(array $points): Contour
    {
        return Contour::of(self::sides($points));
    }

    /**
     * @param  list<array{float, float, float}>  $points
     * @return non-empty-list<Curve>
     */
    private static function sides(array $points): array
    {
        $sides = [];
        $n = count($points);
        foreach ($points as $i => [$u, $v, $rise]) {
            [$a, $b] = [new Vec2($u, $v), new Vec2($points[($i + 1) % $n][0], $points[($i + 1) % $n][1])];
            if ($a->distanceTo($b) < 0.1) {
                throw Refusal::because('screen.points', sprintf('Corner %d lies on the one after it.', $i + 1),
                    details: ['field' => 'points', 'point' => $i]);
            }
            $sides[] = $rise === 0.0 ? Curve::line($a, $b) : Curve::overChord($a, $b, $rise);
        }

        return $sides === [] ? throw new \LogicException('A shape has corners.') : $sides;
    }

    /**
     * In (u, v) over the floor; of one over the whole width between the places given.
     *
     * @throws Refusal when it cannot be rounded or shrunk so far
     */
    public function contour(float $from = 0.0, float $to = 0.0): Contour
    {
        $contour = match ($this->form) {
            ScreenForm::Whole => Contour::rectangle($from, $this->v, $to, $this->v + $this->height),
            ScreenForm::Rectangle => $this->rectangle(),
            ScreenForm::Round => self::circle($this->u + $this->width / 2, $this->v + $this->width / 2, $this->width / 2),
            ScreenForm::Polygon => $this->polygon(),
            ScreenForm::Openings => throw new \LogicException('It is worked out from its openings.'),
        };

        return $this->form === ScreenForm::Whole ? $contour : self::grown($contour, $this->grow);
    }

    /** @throws Refusal when nothing is left */
    public static function grown(Contour $contour, float $by): Contour
    {
        if ($by === 0.0) {
            return $contour;
        }
        if ($contour->isRectangle()) {
            [$x0, $y0, $x1, $y1] = $contour->bounds();
            if (min($x1 - $x0, $y1 - $y0) + 2 * $by > 1.0) {
                return Contour::rectangle($x0 - $by, $y0 - $by, $x1 + $by, $y1 + $by);
            }
        }
        $grown = $by > 0
            ? Margin::outside($contour, $by)->inner
            : Margin::inside($contour, array_fill(0, count($contour->edges()), -$by))->inner;

        return $grown ?? throw Refusal::because('screen.grow', sprintf(
            'Moved %s %s its sides leave nothing: it is %s by %s.', Length::mark(abs($by)), $by > 0 ? 'outward' : 'inward',
            Length::mark($contour->width()), Length::mark($contour->height()),
        ), details: ['field' => 'grow']);
    }

    private function rectangle(): Contour
    {
        [$x0, $y0, $x1, $y1] = [$this->u, $this->v, $this->u + $this->width, $this->v + $this->height];
        if ($this->radius === 0.0) {
            return Contour::rectangle($x0, $y0, $x1, $y1);
        }
        $r = $this->radius;
        if ($r > min($this->width, $this->height) / 2 + 1e-6) {
            throw Refusal::because('screen.radius', sprintf(
                'Corners of %s by %s are rounded by %s at the most; %s was given.', Length::mark($this->width), Length::mark($this->height),
                Length::mark(min($this->width, $this->height) / 2), Length::mark($r),
            ), details: ['field' => 'radius', 'most' => min($this->width, $this->height) / 2]);
        }
        $r = min($r, $this->width / 2, $this->height / 2);
        $edges = [];
        // each side, then the corner at its end
        foreach ([
            [$x0 + $r, $y0, $x1 - $r, $y0, $x1 - $r, $y0 + $r, -M_PI / 2], [$x1, $y0 + $r, $x1, $y1 - $r, $x1 - $r, $y1 - $r, 0.0],
            [$x1 - $r, $y1, $x0 + $r, $y1, $x0 + $r, $y1 - $r, M_PI / 2], [$x0, $y1 - $r, $x0, $y0 + $r, $x0 + $r, $y0 + $r, M_PI],
        ] as [$ax, $ay, $bx, $by, $cx, $cy, $start]) {
            if (hypot($bx - $ax, $by - $ay) > 1e-6) {
                $edges[] = Curve::straight($ax, $ay, $bx, $by);
            }
            $edges[] = Curve::curved($cx, $cy, $r, $r, $start, M_PI / 2);
        }

        return Contour::of($edges);
    }

    private function polygon(): Contour
    {
        $sides = self::sides($this->points);
        if ($this->radius === 0.0) {
            return Contour::of($sides);
        }
        $straight = array_values(array_filter(
            array_keys($sides),
            static fn (int $i): bool => ! $sides[$i]->isCurved() && ! $sides[($i + count($sides) - 1) % count($sides)]->isCurved(),
        ));
        $rounded = Rounded::corners($sides, true, $this->radius, $straight);

        return Contour::of($rounded === [] ? $sides : $rounded);
    }

    public static function circle(float $x, float $y, float $r): Contour
    {
        return Contour::of([Curve::curved($x, $y, $r, $r, 0.0, M_PI), Curve::curved($x, $y, $r, $r, M_PI, M_PI)]);
    }

    /** The same moved along the wall and up. */
    public function moved(float $du, float $dv): self
    {
        return new self(
            $this->form, $this->u + $du, $this->v + $dv, $this->width, $this->height,
            array_map(static fn (array $p): array => [$p[0] + $du, $p[1] + $dv, $p[2]], $this->points),
            $this->radius, $this->grow, $this->around,
        );
    }

    /** Its mirror image about an upright line. */
    public function mirrored(float $about): self
    {
        $n = count($this->points);
        $points = [];
        for ($i = $n - 1; $i >= 0; $i--) {
            // mirrored it would run the other way round; turned back, each side keeps which way it bulges
            $points[] = [2 * $about - $this->points[$i][0], $this->points[$i][1], $this->points[($i + $n - 1) % $n][2]];
        }

        return new self(
            $this->form, $this->form === ScreenForm::Polygon || $this->form === ScreenForm::Whole ? $this->u
                : 2 * $about - $this->u - $this->width,
            $this->v, $this->width, $this->height, $points, $this->radius, $this->grow, $this->around,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $grown = ['grow' => $this->grow];

        return ['form' => $this->form->value] + match ($this->form) {
            ScreenForm::Whole => ['v' => $this->v, 'height' => $this->height],
            ScreenForm::Rectangle => [
                'u' => $this->u, 'v' => $this->v, 'width' => $this->width, 'height' => $this->height, 'radius' => $this->radius,
            ] + $grown,
            ScreenForm::Round => ['u' => $this->u, 'v' => $this->v, 'width' => $this->width] + $grown,
            ScreenForm::Polygon => ['points' => $this->points, 'radius' => $this->radius] + $grown,
            ScreenForm::Openings => ['around' => $this->around] + $grown,
        };
    }
}
