<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Design\Host;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Geometry\Upright;
use Isleward\Core\Geometry\Vec2;

/** A wall as it stands: its face, its foot and head, and how its ends are cut. */
final readonly class Body
{
    /**
     * @param  float  $length  along the outer face, corner to corner, mm
     * @param  float  $foot  level, mm above the datum; its lowest where it is not level
     * @param  float  $head  level, mm above the datum; its highest where it is not level
     * @param  Cover|null  $heads  what its head follows; null where it is level
     * @param  Cover|null  $feet  what its foot follows; null where it is level
     */
    public function __construct(
        public Host $host,
        public Upright $surface,
        public float $length,
        public float $foot,
        public float $head,
        public End $left,
        public End $right,
        public ?Cover $heads = null,
        public ?Cover $feet = null,
    ) {
    }

    public function height(): float
    {
        return $this->head - $this->foot;
    }

    /** u at which the face begins: at the corner, or at the face of the wall it stops at. */
    public function start(): float
    {
        return $this->left->joint === Joint::Tee ? $this->left->at : 0.0;
    }

    /** u at which the face ends. */
    public function end(): float
    {
        return $this->right->joint === Joint::Tee ? $this->right->at : $this->length;
    }

    /** The outer face, corner to corner, in (u, v). */
    public function face(): Region
    {
        return $this->faceBetween($this->start(), $this->end());
    }

    /** What of the face at a depth lies between two u, in (u, v). */
    public function faceBetween(float $from, float $to, float $depth = 0.0): Region
    {
        return $this->isLevel()
            ? Region::rectangle($from, $this->foot, $to, $this->head)
            : Region::polygon(self::ring($this->footLine($from, $to, $depth), $this->headLine($from, $to, $depth)));
    }

    /** Whether its head and foot are. */
    public function isLevel(): bool
    {
        return $this->heads === null && $this->feet === null;
    }

    /**
     * Its head over the face at a depth: u and level in order, two at one u where it steps.
     *
     * @return non-empty-list<array{float, float}>
     */
    public function headLine(float $from, float $to, float $depth = 0.0): array
    {
        return $this->line($this->heads, $this->head, $from, $to, $depth);
    }

    /** @return non-empty-list<array{float, float}> as {@see headLine} */
    public function footLine(float $from, float $to, float $depth = 0.0): array
    {
        return $this->line($this->feet, $this->foot, $from, $to, $depth);
    }

    /** @return array{float, float} the lowest level of its foot and the highest of its head over some width of the outer face */
    public function reach(float $from, float $to): array
    {
        [$from, $to] = [max($from, $this->start()), min($to, $this->end())];

        return $this->isLevel() || $to <= $from ? [$this->foot, $this->head] : [
            min(array_column($this->footLine($from, $to), 1)), max(array_column($this->headLine($from, $to), 1)),
        ];
    }

    /** Level of its head at a place in plan. */
    public function headAt(Vec2 $point): float
    {
        return $this->heads?->at($this->surface, $point) ?? $this->head;
    }

    public function footAt(Vec2 $point): float
    {
        return $this->feet?->at($this->surface, $point) ?? $this->foot;
    }

    /**
     * A ring between a lower and an upper line, from left to right each.
     *
     * @param  list<array{float, float}>  $lower
     * @param  list<array{float, float}>  $upper
     * @return list<float>
     */
    public static function ring(array $lower, array $upper): array
    {
        return array_merge(...$lower, ...array_reverse($upper));
    }

    /** The same, following these; its levels are the outermost of both faces. */
    public function between(?Cover $heads, ?Cover $feet): self
    {
        [$head, $foot] = [$this->head, $this->foot];
        $body = new self($this->host, $this->surface, $this->length, $foot, $head, $this->left, $this->right, $heads, $feet);
        [$tops, $bottoms] = [[], []];
        foreach ($body->ends() as [$from, $to, $depth]) {
            array_push($tops, ...array_column($body->headLine($from, $to, $depth), 1));
            array_push($bottoms, ...array_column($body->footLine($from, $to, $depth), 1));
        }

        return new self(
            $this->host, $this->surface, $this->length, min([INF, ...$bottoms]), max([-INF, ...$tops]), $this->left, $this->right, $heads,
            $feet,
        );
    }

    /** Whether its head lies over its foot everywhere, by a millimetre at least. */
    public function stands(): bool
    {
        foreach ($this->ends() as [$from, $to, $depth]) {
            foreach ([$this->headLine($from, $to, $depth), $this->footLine($from, $to, $depth)] as $i => $line) {
                foreach ($line as $k => [$u, $v]) {
                    // of a step both its levels count: the other line is asked just beside it
                    $beside = $u + match (true) {
                        isset($line[$k + 1]) && $line[$k + 1][0] === $u => -0.5,
                        $k > 0 && $line[$k - 1][0] === $u => 0.5,
                        default => 0.0,
                    };
                    $point = $this->surface->inPlan(max($from, min($to, $beside)), $depth);
                    if (($i === 0 ? $v - $this->footAt($point) : $this->headAt($point) - $v) < 1.0) {
                        return false;
                    }
                }
            }
        }

        return true;
    }

    public function isCoveredBy(Cover $cover): bool
    {
        foreach ($this->ends() as [$from, $to, $depth]) {
            if ($cover->line($this->surface, $from, $to, $depth) === null) {
                return false;
            }
        }

        return true;
    }

    /** @return list<array{float, float, float}> from u to u of both faces, and their depths */
    private function ends(): array
    {
        return [
            [min($this->start(), $this->left->at), max($this->end(), $this->right->at), 0.0],
            [$this->left->inner, $this->right->inner, $this->host->depth()],
        ];
    }

    /** @return non-empty-list<array{float, float}> */
    private function line(?Cover $cover, float $level, float $from, float $to, float $depth): array
    {
        return $cover?->line($this->surface, $from, $to, $depth) ?? [[$from, $level], [$to, $level]];
    }

    /** Whether its faces are flat and its ends are cut by planes. */
    public function isPlane(): bool
    {
        return $this->surface->isFlat() && $this->left->arc === null && $this->right->arc === null;
    }

    /** The wall cut level, in plan: along its outer face, along its right end, back along its inner face and its left end. */
    public function footprint(): Contour
    {
        $t = $this->host->depth();
        [$left, $right] = [$this->left, $this->right];
        $corners = [
            $this->surface->inPlan($left->at),
            $this->surface->inPlan($right->at),
            $this->surface->inPlan($right->inner, $t),
            $this->surface->inPlan($left->inner, $t),
        ];
        $flat = $this->surface->isFlat();
        $sides = [];
        foreach ([
            $flat ? null : $this->surface->stretch($left->at, $right->at)->foot,
            $right->arc,
            $flat ? null : $this->surface->behind($t)->part($left->inner / $this->length, $right->inner / $this->length)->reversed(),
            $left->arc?->reversed(),
        ] as $i => $curve) {
            [$a, $b] = [$corners[$i], $corners[($i + 1) % 4]];
            if ($curve !== null || ! $a->isAt($b)) {
                $sides[] = $curve?->between($a->x, $a->y, $b->x, $b->y) ?? Curve::straight($a->x, $a->y, $b->x, $b->y);
            }
        }

        return Contour::of($sides === [] ? throw new \LogicException('A wall has a length.') : $sides);
    }
}
