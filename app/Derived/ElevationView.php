<?php

declare(strict_types=1);

namespace App\Derived;

use Isleward\Core\Check\Findings;
use Isleward\Core\Check\WallInQuestion;
use Isleward\Core\Design\Design;
use Isleward\Core\Drawing\Catches;
use Isleward\Core\Drawing\Elevation;
use Isleward\Core\Drawing\Symbols;
use Isleward\Core\Wall\Body;
use Isleward\Core\Wall\Frontage;

/** What the desk shows of a frontage: its drawing, its openings with their rules and figures, lines to catch on, findings. */
final class ElevationView
{
    /**
     * @param  array<string, Body>  $bodies
     * @return array<string, mixed>
     */
    public static function of(Design $design, array $bodies, Frontage $frontage): array
    {
        $openings = $catches = $findings = $figures = [];
        $questions = [];
        foreach (array_keys($frontage->walls) as $wall) {
            $questions[$wall] = WallInQuestion::of($design, $bodies[$wall]);
        }
        foreach ($frontage->walls as $wall => $u) {
            $body = $bodies[$wall];
            $around = [];
            foreach ($questions as $other => $question) {
                foreach ($question->placed as $p) {
                    $around[] = [$p, $frontage->walls[$other] - $u];
                }
            }
            $catches[$wall] = Catches::of($design, $body, $around);
            foreach ($questions[$wall]->placed as $p) {
                $symbol = Symbols::key($p->opening);
                $unit = Symbols::solved($design, $p->opening);
                $figures[$symbol] ??= $unit === null ? null : ['glass' => $unit->glassArea(), 'frameShare' => $unit->frameShare(), 'door' => $unit->hasDoor()];
                $openings[] = [...$p->opening->toArray(), 'label' => $design->label($p->opening), 'symbol' => $symbol, 'u' => $u + $p->left,
                    'left' => $p->left, 'right' => $body->length - $p->right, 'sillLevel' => $p->sill, 'headLevel' => $p->head];
            }
            foreach (Findings::of($design, $body) as $finding) {
                $row = $finding->toArray();
                $row['at'] = [$u + $finding->at[0], $finding->at[1]];
                $findings[] = $row;
            }
        }

        return [
            'frontage' => $frontage->id,
            'drawing' => Elevation::of($design, $bodies, $frontage)->toArray(),
            'openings' => $openings,
            'figures' => $figures === [] ? (object) [] : $figures,
            'catches' => $catches,
            'findings' => $findings,
        ];
    }
}
