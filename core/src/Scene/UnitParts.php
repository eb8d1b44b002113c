<?php

declare(strict_types=1);

namespace Isleward\Core\Scene;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Design;
use Isleward\Core\Drawing\Symbols;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Upright;
use Isleward\Core\Unit\SolvedUnit;

/** Units, each with its origin at its opening's left jamb and sill on the wall's outer face. */
final class UnitParts implements Contributor
{
    public function parts(Design $design, Body $body): iterable
    {
        foreach ($design->openingsOf($body->host->id()) as $opening) {
            $placed = Places::in($design)->of($opening);
            $unit = $placed->isOff($body) ? null : Symbols::solved($design, $opening);
            if ($unit === null) {
                continue;
            }
            [$key, $bent] = self::key($body, $placed, $unit);
            $at = $placed->inPlan($body->surface, 0.0);
            yield new Part(
                $key,
                static fn (): array => UnitPieces::of(
                    $unit,
                    $design->settings,
                    $opening->setback,
                    $opening->facesOut,
                    $body->host->depth(),
                    $opening->ajar,
                    $bent,
                ),
                $opening->id,
                $opening->storey,
                $at->x,
                $at->y,
                $placed->sill,
                $bent === null ? $placed->angle($body->surface) : $body->surface->angle($placed->left),
            );
        }
    }

    /** @return array{string, Upright|null} what names a unit's geometry, and what it is bent to, from its left jamb towards +x */
    private static function key(Body $body, PlacedOpening $placed, SolvedUnit $unit): array
    {
        $opening = $placed->opening;
        $key = sprintf('unit %s %s %s', Symbols::key($opening), round($opening->setback, 3), $opening->ajar ?? '')
            .(($unit->tree->frame->trim?->inside === true) ? ' '.round($body->host->depth(), 3) : '');
        if (! $placed->isBent()) {
            return [$key, null];
        }
        $radius = $body->surface->radius();
        $arc = Curve::curved(0.0, $radius, abs($radius), abs($radius), $radius > 0 ? -M_PI / 2 : M_PI / 2, $opening->width / $radius);

        return [$key.' bent '.round($radius, 3), Upright::over($arc)];
    }
}
