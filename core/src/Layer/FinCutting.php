<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\CurtainWall\CutPiece;
use Isleward\Core\CurtainWall\CuttingSchedule;
use Isleward\Core\Design\Design;
use Isleward\Core\Schedule\Contributor;

/** Bars that the fins and tubes of bands are cut from, section by section, with the stock and kerf of the project's curtain walls. */
final class FinCutting implements Contributor
{
    public function name(): string
    {
        return 'fin-cutting';
    }

    public function fields(Design $design): array
    {
        return (new CuttingSchedule)->fields($design);
    }

    public function rows(Design $design, array $bodies, array $frontages): array
    {
        $lengths = $counts = $elements = [];
        foreach ($frontages as $frontage) {
            foreach (array_keys($frontage->walls) as $wall) {
                foreach (Bands::in($design)->before($wall) as [$fins, $pieces]) {
                    $marks = FinSchedule::marks($design, $fins);
                    foreach ($pieces as $i) {
                        $section = $fins->band->shape->word().' '.FinSchedule::section($fins, $i);
                        $lengths[$section][$marks[$i]] = FinSchedule::cutLength(Posed::of($fins, $i));
                        $counts[$section][$marks[$i]] = ($counts[$section][$marks[$i]] ?? 0) + 1;
                        $elements[$section][$fins->band->id] = true;
                    }
                }
            }
        }
        $rows = [];
        foreach ($lengths as $section => $ofMarks) {
            $pieces = [];
            foreach ($ofMarks as $mark => $length) {
                $pieces[] = new CutPiece($mark, $length, $counts[$section][$mark]);
            }
            array_push($rows, ...CuttingSchedule::cut($design, $section, $pieces, array_keys($elements[$section])));
        }

        return $rows;
    }
}
