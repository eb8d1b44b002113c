<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * The section of a member of a curtain wall: a body behind the glass line and, if it has one, a cap before it. Across it x, from its
 * middle; y the depth behind the glass line, negative before it; mm.
 */
final readonly class MemberProfile
{
    /** @var non-empty-list<Contour> */
    private array $contours;

    /**
     * @param  float  $face  how wide it is, seen square on
     * @param  float  $depth  of the body
     * @param  float  $setback  from the glass line to the front of the body; negative before it
     * @param  float|null  $capWidth  no wider than the face; null without a cap
     * @param  float  $flange  thickness of a tee's flange, in front
     * @param  float  $web  thickness of its web
     * @param  list<float>  $points  of a drawn one: x, depth behind its front …
     */
    private function __construct(
        public SectionShape $shape,
        public float $face,
        public float $depth,
        public float $setback,
        public ?float $capWidth,
        public float $capDepth,
        public float $flange,
        public float $web,
        public array $points,
    ) {
        $this->contours = $this->drawnOut();
    }

    public static function rectangle(float $face, float $depth, float $setback = 0.0): self
    {
        return self::from(new Fields(['shape' => 'rectangle', 'face' => $face, 'depth' => $depth, 'setback' => $setback]));
    }

    /** @throws Refusal when a figure is missing, or the section crosses itself */
    public static function from(Fields $f): self
    {
        $shape = $f->choice('shape', SectionShape::class);
        $points = $shape === SectionShape::Polygon ? self::drawn($f) : [];
        [$face, $depth] = match ($shape) {
            SectionShape::Round => [$f->size('face', 'The diameter of a member'), $f->size('face', 'The diameter of a member')],
            SectionShape::Polygon => self::extent($points),
            default => [$f->size('face', 'The face width of a member'), $f->size('depth', 'The depth of a member')],
        };
        $cap = $f->has('capWidth') ? $f->size('capWidth', 'The width of a cap') : null;
        if ($cap !== null && $cap > $face + 1e-9) {
            throw self::refuse('cap', 'capWidth', 'A cap of %s is wider than its member, which is %s.', $cap, $face);
        }
        $flange = $web = 0.0;
        if ($shape === SectionShape::Tee) {
            $flange = $f->size('flange', 'The thickness of a flange');
            $web = $f->size('web', 'The thickness of a web');
            if ($flange >= $depth) {
                throw self::refuse('tee', 'flange', 'A flange of %s leaves no web in a tee %s deep.', $flange, $depth);
            }
            if ($web > $face) {
                throw self::refuse('tee', 'web', 'A web of %s is wider than its flange, which is %s.', $web, $face);
            }
        }

        return new self(
            $shape,
            $face,
            $depth,
            $f->has('setback') ? $f->length('setback') : 0.0,
            $cap,
            $cap === null ? 0.0 : $f->size('capDepth', 'The depth of a cap'),
            $flange,
            $web,
            $points,
        );
    }

    /** One half as wide: what of it stands on either side of a kink. */
    public function halved(): self
    {
        return new self(
            $this->shape,
            $this->face / 2,
            $this->depth,
            $this->setback,
            $this->capWidth === null ? null : $this->capWidth / 2,
            $this->capDepth,
            $this->flange,
            $this->web,
            $this->points,
        );
    }

    /** @return non-empty-list<Contour> the body's section, then the cap's */
    public function contours(): array
    {
        return $this->contours;
    }

    /** @return non-empty-list<Contour> */
    private function drawnOut(): array
    {
        $half = $this->face / 2;
        [$front, $back] = [$this->setback, $this->setback + $this->depth];
        $body = match ($this->shape) {
            SectionShape::Rectangle => Contour::rectangle(-$half, $front, $half, $back),
            SectionShape::Tee => Contour::polygon([
                -$half, $front, $half, $front, $half, $front + $this->flange, $this->web / 2, $front + $this->flange,
                $this->web / 2, $back, -$this->web / 2, $back, -$this->web / 2, $front + $this->flange, -$half, $front + $this->flange,
            ]),
            SectionShape::Round => Contour::of([
                Curve::curved(0.0, $front + $half, $half, $half, 0.0, M_PI),
                Curve::curved(0.0, $front + $half, $half, $half, M_PI, M_PI),
            ]),
            SectionShape::Polygon => Contour::polygon($this->points)->shifted(0.0, $front),
        };

        return $this->capWidth === null
            ? [$body]
            : [$body, Contour::rectangle(-$this->capWidth / 2, -$this->capDepth, $this->capWidth / 2, 0.0)];
    }

    /** Of body and cap, mm². */
    public function area(): float
    {
        return array_sum(array_map(static fn (Contour $c): float => $c->area(), $this->contours()));
    }

    /** From the front of what lies foremost to its back. */
    public function wholeDepth(): float
    {
        return max($this->setback + $this->depth, 0.0) - min($this->setback, -$this->capDepth);
    }

    /** As a schedule names it: "50 × 150, cap 50 × 20". */
    public function name(): string
    {
        $size = match ($this->shape) {
            SectionShape::Rectangle => Length::mark($this->face).' × '.Length::mark($this->depth),
            SectionShape::Tee => 'T '.Length::mark($this->face).' × '.Length::mark($this->depth),
            SectionShape::Round => '⌀ '.Length::mark($this->face),
            SectionShape::Polygon => 'drawn '.Length::mark($this->face).' × '.Length::mark($this->depth),
        };

        return $this->capWidth === null ? $size : $size.', cap '.Length::mark($this->capWidth).' × '.Length::mark($this->capDepth);
    }

    /** Equal for sections that are alike. */
    public function key(): string
    {
        return implode('|', array_map(strval(...), [
            $this->shape->value, $this->face, $this->depth, $this->setback, $this->capWidth ?? '', $this->capDepth, $this->flange,
            $this->web, ...$this->points,
        ]));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'shape' => $this->shape->value, 'face' => $this->face, 'depth' => $this->depth, 'setback' => $this->setback,
            'capWidth' => $this->capWidth, 'capDepth' => $this->capDepth, 'flange' => $this->flange, 'web' => $this->web,
            'points' => $this->points,
        ];
    }

    /** @return list<float> its front at 0 and its middle at 0 */
    private static function drawn(Fields $f): array
    {
        $given = new Fields($f->array('points'), $f->units());
        $points = array_map(static fn (int $i): float => $given->length((string) $i), array_keys(array_values($f->array('points'))));
        if (count($points) < 6 || count($points) % 2 === 1 || count($points) > 200) {
            throw Refusal::because(
                'profile.corners',
                sprintf('A drawn section has 3 to 100 corners; %d figures were given.', count($points)),
                details: ['field' => 'points'],
            );
        }
        $contour = Contour::polygon($points);
        if ($contour->crossesItself()) {
            throw Refusal::because('profile.crosses', 'This section crosses itself.', details: ['field' => 'points']);
        }
        if (abs($contour->area()) < 1.0) {
            throw Refusal::because('profile.flat', 'This section has no area.', details: ['field' => 'points']);
        }
        [$x0, $y0, $x1] = $contour->bounds();
        $contour = ($contour->area() < 0 ? $contour->reversed() : $contour)->shifted(-($x0 + $x1) / 2, -$y0);

        return $contour->ring();
    }

    /**
     * @param  list<float>  $points
     * @return array{float, float}
     */
    private static function extent(array $points): array
    {
        [$x0, $y0, $x1, $y1] = Contour::polygon($points)->bounds();

        return [$x1 - $x0, $y1 - $y0];
    }

    private static function refuse(string $reason, string $field, string $sentence, float $given, float $there): Refusal
    {
        return Refusal::because(
            'profile.'.$reason,
            sprintf($sentence, Length::mark($given), Length::mark($there)),
            details: ['field' => $field, 'given' => $given, 'there' => $there],
        );
    }
}
