<?php

declare(strict_types=1);

namespace App\Exports;

use App\Assembly\Assembly;
use App\Derived\Schedules;
use App\Derived\Structure;
use App\Models\Project;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Drawing\Bounds;
use Isleward\Core\Drawing\Drawing;
use Isleward\Core\Drawing\Elevation;
use Isleward\Core\Drawing\Fineness;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Exchange\Glb;
use Isleward\Core\Exchange\Svg;
use Isleward\Core\Exchange\TypesJson;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Scene\Scene;
use Isleward\Core\Schedule\Report;
use Isleward\Core\Sheet\Page;

/** A whole project in an open format. */
final readonly class Exporter
{
    /** Width, height and margin of a small picture, mm. */
    private const PICTURE = [60.0, 36.0, 2.0];

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

    /** The building's first outside, small, to know a project by; an empty page where there are no walls. */
    public function picture(Project $project): string
    {
        [$width, $height, $edge] = self::PICTURE;
        $page = new Page($width, $height, $project->name);
        $structure = new Structure($this->assembly, $project);
        $frontage = array_values(array_filter($structure->frontages(), static fn (Frontage $f): bool => ! $f->inner))[0] ?? null;
        if ($frontage === null) {
            return $page->svg();
        }
        $drawing = Elevation::developed($structure->with($structure->openingsOf($frontage)), $structure->bodies(), [$frontage]);
        $shapes = array_values(array_filter(
            $drawing->shapes, static fn (Shape $s): bool => ! in_array($s->layer, [Layer::Text, Layer::Level, Layer::Fold], true),
        ));
        [$x0, $y0, $x1, $y1] = $bounds = Bounds::of($shapes);
        $scale = max(($x1 - $x0) / ($width - 2 * $edge), ($y1 - $y0) / ($height - 2 * $edge), 1.0);
        $fine = Fineness::at($scale);
        $page->whole(
            $fine->of(new Drawing($drawing->title, $bounds, $shapes, $drawing->symbols, $drawing->placements)),
            ($width - ($x1 - $x0) / $scale) / 2, $height - $edge - ($y1 - $y0) / $scale, $scale,
        );

        return $page->svg();
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
