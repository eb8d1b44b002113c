<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Region;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** A corner of a free polygon: across, a distance from the left or right side or a share of the width; up, likewise from sill or head. */
final readonly class OutlineCorner
{
    private function __construct(public float $x, public string $xFrom, public float $y, public string $yFrom)
    {
    }

    /** @return list<self> */
    public static function ring(Fields $f): array
    {
        $corners = [];
        foreach ($f->list('corners') as $i => $c) {
            $xFrom = $c->string('xFrom', 'share');
            $yFrom = $c->string('yFrom', 'share');
            if (! in_array($xFrom, ['left', 'right', 'share'], true) || ! in_array($yFrom, ['sill', 'head', 'share'], true)) {
                throw Refusal::because(
                    'outline.corner',
                    sprintf('Corner %d is measured from left or right and from sill or head, or by shares.', $i + 1),
                    details: ['field' => "corners.$i"],
                );
            }
            $corners[] = new self(
                $xFrom === 'share' ? $c->number('x') : $c->length('x'),
                $xFrom,
                $yFrom === 'share' ? $c->number('y') : $c->length('y'),
                $yFrom,
            );
        }
        if (count($corners) < 3 || count($corners) > 60) {
            throw Refusal::because(
                'outline.corners',
                sprintf('A polygon has 3 to 60 corners; %d were given.', count($corners)),
                details: ['field' => 'corners'],
            );
        }

        return $corners;
    }

    /** @param  list<self>  $corners */
    public static function contour(array $corners, float $width, float $height): Contour
    {
        $ring = [];
        foreach ($corners as $i => $c) {
            $x = match ($c->xFrom) {
                'left' => $c->x,
                'right' => $width - $c->x,
                default => $c->x * $width,
            };
            $y = match ($c->yFrom) {
                'sill' => $c->y,
                'head' => $height - $c->y,
                default => $c->y * $height,
            };
            if ($x < -1e-6 || $y < -1e-6 || $x > $width + 1e-6 || $y > $height + 1e-6) {
                throw Refusal::because(
                    'outline.corner_outside',
                    sprintf(
                        'Corner %d lies at %s across and %s up, outside a unit %s × %s.',
                        $i + 1,
                        UnitTree::mm($x),
                        UnitTree::mm($y),
                        UnitTree::mm($width),
                        UnitTree::mm($height),
                    ),
                    details: ['field' => "corners.$i"]);
            }
            array_push($ring, $x, $y);
        }
        if (self::crosses($ring)) {
            throw Refusal::because('outline.crosses', 'The sides of this polygon cross each other.', details: ['field' => 'corners']);
        }
        $area = Region::signedArea($ring);
        if (abs($area) < 100.0) {
            throw Refusal::because('outline.no_area', 'This polygon has no area.', details: ['field' => 'corners']);
        }

        return Contour::polygon($area < 0 ? Region::reverse($ring) : $ring);
    }

    /** @param  list<float>  $ring */
    private static function crosses(array $ring): bool
    {
        $n = count($ring);
        $side = static fn (int $i, int $k): float => ($ring[($i + 2) % $n] - $ring[$i]) * ($ring[$k + 1] - $ring[$i + 1])
            - ($ring[($i + 3) % $n] - $ring[$i + 1]) * ($ring[$k] - $ring[$i]);
        for ($i = 0; $i < $n; $i += 2) {
            for ($k = $i + 4; $k < $n - ($i === 0 ? 2 : 0); $k += 2) {
                $next = ($k + 2) % $n;
                if ($side($i, $k) * $side($i, $next) < 0 && $side($k, $i) * $side($k, ($i + 2) % $n) < 0) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return array{x: float, xFrom: string, y: float, yFrom: string} */
    public function toArray(): array
    {
        return ['x' => $this->x, 'xFrom' => $this->xFrom, 'y' => $this->y, 'yFrom' => $this->yFrom];
    }
}
