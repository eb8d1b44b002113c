<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Building\Body;
use Isleward\Core\Design\Contributors;
use Isleward\Core\Design\Design;

/** What stands beyond the line of a section, seen square on, each over what stands farther off. */
final class SectionBeyond
{
    /**
     * @param  array<string, Body>  $bodies
     * @return list<Shape> the farthest first
     */
    public static function of(Design $design, array $bodies, View $view): array
    {
        $shapes = [];
        foreach ($view->faces($design, $bodies, afar: true) as $face) {
            foreach (Contributors::to(Contributor::class) as $contributor) {
                array_push($shapes, ...$contributor->seen($face));
            }
        }

        return $shapes;
    }
}
