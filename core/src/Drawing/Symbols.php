<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Building\Solved;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Opening;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Unit\SolvedUnit;

/** One symbol for all openings alike: the same type, size, handing and facing. */
final class Symbols
{
    /** @var array<string, list<Shape>> */
    public array $all = [];

    public static function key(Opening $opening): string
    {
        return implode('_', [
            $opening->type ?? $opening->curtain?->key() ?? 'bare', self::figure($opening->width), self::figure($opening->height),
            $opening->seenMirrored() ? 'm' : 'd', $opening->facesOut ? 'o' : 'i',
            $opening->shape === null ? 'r' : substr(sha1(serialize($opening->shape)), 0, 8),
        ]);
    }

    /** The symbol's key; draws it when it is not there yet. */
    public function of(Design $design, Opening $opening): string
    {
        $key = self::key($opening);
        $this->all[$key] ??= self::draw($design, $opening);

        return $key;
    }

    /** A unit worked out for an opening, as seen from outside the wall; null for a bare one. */
    public static function solved(Design $design, Opening $opening): ?SolvedUnit
    {
        if ($opening->type === null) {
            return null;
        }

        return Solved::in($design->type($opening->type), $opening, $opening->mirrored);
    }

    /** @return list<Shape> */
    private static function draw(Design $design, Opening $opening): array
    {
        [$w, $h] = [$opening->width, $opening->height];
        $outline = $design->outlineOf($opening);
        $shapes = [Shape::contour(Layer::Void, $outline ?? Contour::rectangle(0, 0, $w, $h))];
        if ($opening->type === null) {
            return $outline === null
                ? [...$shapes, Shape::line(Layer::Reveal, [0.0, 0.0, $w, $h]), Shape::line(Layer::Reveal, [0.0, $h, $w, 0.0])]
                : $shapes;
        }

        return [
            ...$shapes,
            ...UnitElevation::shapes(Solved::in($design->type($opening->type), $opening, $opening->seenMirrored()), $opening->facesOut),
        ];
    }

    private static function figure(float $mm): string
    {
        return (string) round($mm, 3);
    }
}
