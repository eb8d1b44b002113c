<?php

declare(strict_types=1);

namespace App\Exports;

use App\Assembly\Assembly;
use App\Derived\Schedules;
use App\Derived\Structure;
use App\Models\Project;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Drawing\Elevation;
use Isleward\Core\Exchange\Glb;
use Isleward\Core\Exchange\Svg;
use Isleward\Core\Exchange\TypesJson;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Scene\Scene;
use Isleward\Core\Schedule\Report;

/** A whole project in an open format. */
final readonly class Exporter
{
    public function __construct(private Assembly $assembly, private Schedules $schedules)
    {
    }

    /**
     * @param  float  $scale 50 for 1:50; 1 is true size
     * @param  bool  $inner  the inner walls instead of the building's outside
     */
    public function svg(Project $project, float $scale = 1.0, bool $inner = false): string
    {
        if ($scale < 1 || $scale > 10000) {
            throw Refusal::because('export.scale', 'A scale runs from 1:1 to 1:10 000.');
        }
        $structure = new Structure($this->assembly, $project);

        $frontages = array_values(array_filter($structure->frontages(), static fn (Frontage $f): bool => $f->inner === $inner));
        if ($frontages === []) {
            throw Refusal::because('export.nothing', $inner ? 'There are no inner walls to draw.' : 'There are no walls to draw yet.');
        }

        return Svg::write(Elevation::developed($structure->with($structure->openings()), $structure->bodies(), $frontages), $scale);
    }

    public function glb(Project $project): string
    {
        $structure = new Structure($this->assembly, $project);

        return Glb::write(Scene::of($project->name, $structure->with($structure->openings()), $structure->bodies()));
    }

    /** A schedule in a layout; null when there is no such layout. */
    public function schedule(Project $project, string $layout): ?Report
    {
        $found = $this->schedules->layout($project, $layout);

        return $found === null ? null : $this->schedules->report($project, $found);
    }

    /** @param  list<string>|null  $ids  null for all */
    public function types(Project $project, ?array $ids): string
    {
        $design = (new Structure($this->assembly, $project))->design();
        $types = array_values(array_filter($design->types, static fn (UnitType $t): bool => $ids === null || in_array($t->id, $ids, true)));
        usort($types, static fn (UnitType $a, UnitType $b): int => $a->position <=> $b->position);

        return TypesJson::write($design->settings, $types);
    }
}
