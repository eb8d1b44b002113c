<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Building\Body;
use Isleward\Core\Design\Contributors;
use Isleward\Core\Design\Design;

/** A storey's plan, x east, y north. */
final class Plan
{
    /** Height of the letters beside openings, mm: 2.5 on paper at 1:50. */
    public const LETTERS = 125.0;

    /**
     * @param  array<string, Body>  $bodies
     * @param  float  $letters  height of the texts, mm on the drawing
     * @return array{Drawing, array<string, list<Shape>>, list<string>} the walls, each opening's shapes by its id, and which wall each
     *    shape of the drawing is
     */
    public static function of(Design $design, array $bodies, string $storey, float $letters = self::LETTERS): array
    {
        $shapes = $openings = $walls = [];
        foreach ($bodies as $body) {
            $host = $body->host->id();
            if (! $design->storeys->isWithin($storey, $body->host->base(), $body->host->top())) {
                continue;
            }
            foreach (Contributors::to(Contributor::class) as $contributor) {
                foreach ($contributor->plan($design, $body, $storey, $letters) as $element => $drawn) {
                    if ($element !== $host) {
                        $openings[$element] = [...$openings[$element] ?? [], ...$drawn];

                        continue;
                    }
                    array_push($shapes, ...$drawn);
                    array_push($walls, ...array_fill(0, count($drawn), $host));
                }
            }
        }

        return [new Drawing($design->storeys->get($storey)->name, Bounds::of($shapes), $shapes), $openings, $walls];
    }
}
