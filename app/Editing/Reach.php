<?php

declare(strict_types=1);

namespace App\Editing;

use App\Assembly\Assembly;
use App\Assembly\Ties;
use App\Models\Opening;
use App\Models\Project;
use App\Models\Storey;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Opening as DesignOpening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Tie;
use Isleward\Core\Design\Wall;
use Isleward\Core\Edit\Scope;
use Isleward\Core\Layer\Band;
use Isleward\Core\Layer\Bands;
use Isleward\Core\Layer\Field;
use Isleward\Core\Layer\FloorBand;
use Isleward\Core\Layer\FloorBands;
use Isleward\Core\Layer\Screen;
use Isleward\Core\Layer\Screens;
use Isleward\Core\Roof\Roof;
use Isleward\Core\Roof\Roofs;

/** What a change reaches beyond what it touches: all that must be fetched anew. */
final readonly class Reach
{
    public function __construct(private Assembly $assembly, private Ties $ties)
    {
    }

    /**
     * Walls and storeys of what is placed from what a change touched, since that has moved with it, and of what is filled with a unit type
     * that it touched.
     *
     * @return array{list<string>, list<string>}
     */
    public function of(Project $project, Change $change): array
    {
        $ids = $types = $hosts = [];
        $onAll = false;
        foreach ($change->operations as $operation) {
            foreach ([$operation->before, $operation->after] as $element) {
                $hosts += $element instanceof DesignOpening ? [$element->host => true] : [];
            }
            if (Outcome::isByHand($operation)) {
                $hosts[$operation->id] = true;
                $onAll = true;
            }
            if ($operation->kind === Kind::Opening && $operation->before !== null) {
                $ids[] = $operation->id;
            } elseif ($operation->kind === Kind::Type) {
                $types[] = $operation->id;
            }
        }
        $hanging = $ids === [] ? [] : $this->ties->hanging($project, $ids);
        $moved = array_map(strval(...), array_keys($hanging, Kind::Opening, true));
        $screens = array_keys($hanging, Kind::Screen, true);
        $filled = $types === [] ? [] : $this->ties->naming($project, $types, Tie::MadeOf, Kind::Opening);
        $walls = $storeys = $seen = [];
        $openings = array_values(array_unique([...$moved, ...$filled]));
        // what is in line with a wall follows its openings, and what is placed from that follows it
        while ($openings !== [] || array_diff_key($hosts, $seen) !== []) {
            foreach (array_chunk($openings, 2000) as $of) {
                $places = Opening::query()->toBase()
                    ->where('project_id', $project->id)
                    ->whereIn('id', $of)
                    ->distinct()
                    ->get(['host_id', 'storey_id']);
                foreach ($places as $place) {
                    $walls[(string) $place->host_id] = $hosts[(string) $place->host_id] = true;
                    $storeys[(string) $place->storey_id] = true;
                }
            }
            $new = array_map(strval(...), array_keys(array_diff_key($hosts, $seen)));
            $seen += $hosts;
            $following = $this->ties->hanging($project, $new);
            $openings = array_map(strval(...), array_keys($following, Kind::Opening, true));
            array_push($screens, ...array_keys($following, Kind::Screen, true));
            $stretches = array_map(strval(...), array_keys($following, Kind::Wall, true));
            $hosts += array_fill_keys($stretches, true);
            $walls += array_fill_keys($stretches, true);
            $onAll = $onAll || $stretches !== [];
        }
        $bandWalls = $this->wallsOfBands($project, $change, array_map(strval(...), $screens));
        $walls += array_fill_keys($bandWalls, true);
        if ($onAll || $bandWalls !== []) {
            // a stretch may run through any of them, and fins be as high as several
            $storeys = array_fill_keys(Storey::query()->where('project_id', $project->id)->pluck('id')->all(), true);
        }

        return [array_map(strval(...), array_keys($walls)), array_map(strval(...), array_keys($storeys))];
    }

    /**
     * @param  list<string>  $screens  with something that is measured from what a change touched
     * @return list<string> walls before which those and the bands that it touched stand now, or stood
     */
    private function wallsOfBands(Project $project, Change $change, array $screens): array
    {
        $walls = [];
        $design = null;
        foreach ($change->operations as $operation) {
            if (! in_array($operation->kind, [Kind::Band, Kind::FloorBand, Kind::Field, Kind::Screen, Kind::Roof], true)) {
                continue;
            }
            $design ??= $this->assembly->design($project, Scope::none());
            foreach ([$operation->before, $operation->after] as $band) {
                // as it is in a design that holds it: a band that came or went is in one of the two alone
                $with = $band === null ? $design : $design->after(new Change('', [Operation::add($band)]));
                $walls += array_fill_keys(match (true) {
                    $band instanceof Band => Bands::in($with)->wallsOf($band),
                    $band instanceof FloorBand => FloorBands::in($with)->wallsOf($band),
                    $band instanceof Roof => Roofs::in($with)->concerned($band),
                    $band instanceof Field => [$band->wall],
                    $band instanceof Screen => Screens::in($with)->wallsOf($band),
                    default => [],
                }, true);
            }
        }

        // units that fill cut-outs of screens, or stand in roofs
        $types = array_column(array_filter($change->operations, static fn (Operation $o): bool => $o->kind === Kind::Type), 'id');
        $holding = $types === [] ? $screens : [
            ...$screens, ...$this->ties->naming($project, $types, Tie::MadeOf, Kind::Screen),
            ...$this->ties->naming($project, $types, Tie::MadeOf, Kind::Roof),
        ];
        foreach ($holding as $id) {
            $design ??= $this->assembly->design($project, Scope::none());
            $layer = $design->layers[$id] ?? null;
            $walls += array_fill_keys(match (true) {
                $layer instanceof Screen => Screens::in($design)->wallsOf($layer),
                $layer instanceof Roof => Roofs::in($design)->wallsOf($layer),
                default => [],
            }, true);
        }

        return array_map(strval(...), array_keys($walls));
    }
}
