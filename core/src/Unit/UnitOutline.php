<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * The outline of a unit, and how it follows the size of its opening. Width and height are those of the opening, the
 * outline's highest point lies on its head and its lowest on its sill.
 *
 * - rectangle: all of it stretches.
 * - profile: head and sill run in stretches from left to right; typed lengths, rises and angles stay, shares take the rest of
 *   the width (a rise by angle follows its length). Jambs take the height.
 * - arch: the rise stays when it is typed, and follows the width when it is a share of it or fixed by the form (semicircular,
 *   equilateral pointed). Jambs take the height.
 * - round: a circle; in an opening that is not square it becomes an ellipse and is found ({@see stretched()}).
 * - polygon: each corner keeps its distance from the side it is measured from, or its share of the size.
 */
final readonly class UnitOutline
{
    /** A flatter arch is a level head: least rise as a share of the width. */
    public const FLATTEST = 0.01;

    /**
     * @param  list<Stretch>  $head
     * @param  list<Stretch>  $sill
     * @param  float|null  $rise  of an arch, mm
     * @param  float|null  $riseShare  of an arch, of its width
     * @param  list<OutlineCorner>  $corners
     */
    private function __construct(
        public OutlineKind $kind,
        public array $head = [],
        public array $sill = [],
        public ?ArchForm $form = null,
        public ?float $rise = null,
        public ?float $riseShare = null,
        public array $corners = [],
    ) {
    }

    public static function rectangle(): self
    {
        return new self(OutlineKind::Rectangle);
    }

    public static function from(Fields $f): self
    {
        return match ($f->choice('kind', OutlineKind::class)) {
            OutlineKind::Rectangle => self::rectangle(),
            OutlineKind::Round => new self(OutlineKind::Round),
            OutlineKind::Profile => new self(OutlineKind::Profile, Stretch::run($f, 'head'), Stretch::run($f, 'sill')),
            OutlineKind::Arch => self::arch($f),
            OutlineKind::Polygon => new self(OutlineKind::Polygon, corners: OutlineCorner::ring($f)),
        };
    }

    private static function arch(Fields $f): self
    {
        $form = $f->choice('form', ArchForm::class);
        if ($form === ArchForm::Semicircular) {
            return new self(OutlineKind::Arch, form: $form);
        }
        $rise = $f->has('rise') ? $f->length('rise') : null;
        if ($rise !== null && $rise <= 0) {
            throw Refusal::because(
                'outline.rise',
                sprintf('The rise of an arch must be more than nothing; %s was given.', Length::format($rise, $f->units())),
                details: ['field' => 'rise'],
            );
        }
        $share = $rise === null && $f->has('riseShare') ? $f->number('riseShare') : null;
        if ($share !== null && ($share <= 0 || $share > 3)) {
            throw Refusal::because(
                'outline.rise',
                'The rise of an arch is a share of its width over 0 and up to 3.',
                details: ['field' => 'riseShare'],
            );
        }

        return new self(OutlineKind::Arch, form: $form, rise: $rise, riseShare: $share ?? ($rise === null ? $form->usualRise() : null));
    }

    /** @throws Refusal when the outline cannot be had at this size */
    public function contour(float $width, float $height): Contour
    {
        return match ($this->kind) {
            OutlineKind::Rectangle => Contour::rectangle(0, 0, $width, $height),
            OutlineKind::Round => Contour::of([
                Curve::curved($width / 2, $height / 2, $width / 2, $height / 2, M_PI, M_PI),
                Curve::curved($width / 2, $height / 2, $width / 2, $height / 2, 0.0, M_PI),
            ]),
            OutlineKind::Profile => $this->profile($width, $height),
            OutlineKind::Arch => $this->arched($width, $height),
            OutlineKind::Polygon => OutlineCorner::contour($this->corners, $width, $height),
        };
    }

    /** Why an outline of this size is not what it is meant to be, or null. */
    public function stretched(float $width, float $height): ?string
    {
        return $this->kind === OutlineKind::Round && abs($width - $height) > 0.5
            ? sprintf(
                'is a round unit in an opening %s wide and %s high, so it becomes an oval',
                UnitTree::mm($width),
                UnitTree::mm($height),
            ) : null;
    }

    /** How high an arch stands over its springing, mm. */
    public function archRise(float $width): float
    {
        return match (true) {
            $this->form === null => 0.0,
            $this->form === ArchForm::Semicircular => $width / 2,
            default => $this->rise ?? $width * (float) $this->riseShare,
        };
    }

    /**
     * Corners of the head, or of the sill, from left to right.
     *
     * @return non-empty-list<array{float, float}>
     */
    public function line(bool $head, float $width, float $height): array
    {
        $x = $y = $low = $high = 0.0;
        $points = [[0.0, 0.0]];
        foreach (Stretch::laid($head ? $this->head : $this->sill, $width, $head ? 'head' : 'sill') as [$length, $rise]) {
            $points[] = [$x += $length, $y += $rise];
            $low = $y < $low ? $y : $low;
            $high = $y > $high ? $y : $high;
        }
        $lift = $head ? $height - $high : -$low;
        $last = count($points) - 1;
        $lifted = [];
        foreach ($points as $i => [$x, $y]) {
            $lifted[] = [$i === $last ? $width : $x, $y + $lift];
        }

        return $lifted;
    }

    private function profile(float $width, float $height): Contour
    {
        $sill = $this->line(false, $width, $height);
        $head = $this->line(true, $width, $height);
        self::requireRoom($head, $sill, 1);
        self::requireRoom($sill, $head, -1);
        $points = [...$sill, ...array_reverse($head)];
        $ring = [];
        [$px, $py] = $points[count($points) - 1];
        foreach ($points as [$x, $y]) {
            if (abs($x - $px) > 1e-6 || abs($y - $py) > 1e-6) {
                $ring[] = $x;
                $ring[] = $y;
            }
            [$px, $py] = [$x, $y];
        }

        return Contour::polygon(self::withoutStraight($ring));
    }

    /**
     * @param  non-empty-list<array{float, float}>  $line
     * @param  non-empty-list<array{float, float}>  $other
     * @param  int  $sign  1 when the line is the head, -1 when it is the sill
     *
     * @throws Refusal where the head comes nearer than 1 mm to the sill at a corner of the line
     */
    private static function requireRoom(array $line, array $other, int $sign): void
    {
        foreach ($line as [$x, $y]) {
            foreach (self::levels($other, $x) as $level) {
                if (($y - $level) * $sign < 1.0) {
                    throw Refusal::because(
                        'outline.no_room',
                        sprintf(
                            '%s from the left the head would lie %s above the sill.',
                            UnitTree::mm($x),
                            UnitTree::mm(($y - $level) * $sign),
                        ),
                        details: ['field' => 'head', 'at' => $x]);
                }
            }
        }
    }

    /**
     * @param  list<float>  $ring
     * @return list<float> without corners on a straight
     */
    private static function withoutStraight(array $ring): array
    {
        $out = [];
        $n = count($ring);
        $ax = $ring[$n - 2];
        $ay = $ring[$n - 1];
        for ($i = 0; $i < $n; $i += 2) {
            $x = $ring[$i];
            $y = $ring[$i + 1];
            $bx = $ring[($i + 2) % $n];
            $by = $ring[($i + 3) % $n];
            $sizes = hypot($x - $ax, $y - $ay) * hypot($bx - $x, $by - $y);
            if (abs(($x - $ax) * ($by - $y) - ($y - $ay) * ($bx - $x)) > 1e-9 * ($sizes + 1)) {
                $out[] = $x;
                $out[] = $y;
            }
            $ax = $x;
            $ay = $y;
        }

        return $out;
    }

    /**
     * @param  non-empty-list<array{float, float}>  $line
     * @return list<float> of a line of stretches at x; two where it steps
     */
    private static function levels(array $line, float $x): array
    {
        $out = [];
        [$x0, $y0] = $line[0];
        for ($i = 1, $n = count($line); $i < $n; $i++) {
            [$x1, $y1] = $line[$i];
            if ($x >= $x0 - 1e-6 && $x <= $x1 + 1e-6) {
                if ($x1 - $x0 < 1e-6) {
                    $out[] = $y0;
                    $out[] = $y1;
                } else {
                    $out[] = $y0 + ($y1 - $y0) * ($x - $x0) / ($x1 - $x0);
                }
            }
            $x0 = $x1;
            $y0 = $y1;
        }

        return $out;
    }

    private function arched(float $width, float $height): Contour
    {
        $rise = $this->archRise($width);
        $half = $width / 2;
        $form = $this->form ?? throw new \LogicException('An arch has a form.');
        $springing = $height - $rise;
        if ($springing < 1.0) {
            throw Refusal::because(
                'outline.arch_no_room',
                sprintf('An arch that rises %s needs a unit higher than that; it is %s high.', UnitTree::mm($rise), UnitTree::mm($height)),
                details: ['field' => 'rise'],
            );
        }
        if ($rise < $width * self::FLATTEST) {
            throw Refusal::because(
                'outline.arch_flat',
                sprintf(
                    'An arch %s wide must rise %s at least; %s was given.',
                    UnitTree::mm($width),
                    UnitTree::mm($width * self::FLATTEST),
                    UnitTree::mm($rise),
                ),
                details: ['field' => 'rise'],
            );
        }
        if ($form === ArchForm::Segmental && $rise > $half + 1e-6) {
            throw Refusal::because(
                'outline.arch_high',
                sprintf(
                    'A segmental arch rises half its width at the most, here %s; %s was given.',
                    UnitTree::mm($half),
                    UnitTree::mm($rise),
                ),
                details: ['field' => 'rise'],
            );
        }
        if ($form === ArchForm::Pointed && $rise <= $half + 1e-6) {
            throw Refusal::because(
                'outline.arch_flat',
                sprintf('A pointed arch rises more than half its width, here %s; %s was given.', UnitTree::mm($half), UnitTree::mm($rise)),
                details: ['field' => 'rise'],
            );
        }
        $head = match ($form) {
            ArchForm::Semicircular, ArchForm::Elliptical => [Curve::curved($half, $springing, $half, $rise, 0.0, M_PI)],
            ArchForm::Segmental => self::segment($width, $springing, $rise),
            ArchForm::Pointed => self::pointed($half, $springing, $rise),
        };

        return Contour::of([
            Curve::straight(0, 0, $width, 0),
            Curve::straight($width, 0, $width, $springing),
            ...$head,
            Curve::straight(0, $springing, 0, 0),
        ]);
    }

    /**
     * Radius of a circular segment of chord c and rise h: c²/(8h) + h/2.
     *
     * @return list<Curve>
     */
    private static function segment(float $width, float $springing, float $rise): array
    {
        $radius = $width * $width / (8 * $rise) + $rise / 2;
        $half = asin(min(1.0, $width / 2 / $radius));

        return [Curve::curved(
            $width / 2,
            $springing + $rise - $radius,
            $radius,
            $radius,
            M_PI_2 - $half,
            2 * $half,
        )->between($width, $springing, 0.0, $springing)];
    }

    /**
     * Two arcs struck from the springing line, each tangent to its jamb: with half width a and rise h, radius (a² + h²) / 2a.
     *
     * @return list<Curve>
     */
    private static function pointed(float $half, float $springing, float $rise): array
    {
        $radius = ($half * $half + $rise * $rise) / (2 * $half);
        $turn = atan2($rise, $radius - $half);

        return [
            Curve::curved(
                2 * $half - $radius,
                $springing,
                $radius,
                $radius,
                0.0,
                $turn,
            )->between(2 * $half, $springing, $half, $springing + $rise),
            Curve::curved($radius, $springing, $radius, $radius, M_PI - $turn, $turn)->between($half, $springing + $rise, 0.0, $springing),
        ];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['kind' => $this->kind->value] + match ($this->kind) {
            OutlineKind::Rectangle, OutlineKind::Round => [],
            OutlineKind::Profile => ['head' => Stretch::plain($this->head), 'sill' => Stretch::plain($this->sill)],
            OutlineKind::Arch => ['form' => $this->form?->value] + ($this->rise !== null
                            ? ['rise' => $this->rise]
                            : []) + ($this->riseShare !== null
                            ? ['riseShare' => $this->riseShare]
                            : []),
            OutlineKind::Polygon => ['corners' => array_map(static fn (OutlineCorner $c): array => $c->toArray(), $this->corners)],
        };
    }
}
