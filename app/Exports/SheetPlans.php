<?php

declare(strict_types=1);

namespace App\Exports;

use App\Assembly\Assembly;
use App\Derived\Schedules;
use App\Derived\Structure;
use App\Models\Project;
use App\Models\Revision;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Kind;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Schedule\Layout;
use Isleward\Core\Schedule\Report;
use Isleward\Core\Sheet\Arranged;
use Isleward\Core\Sheet\SheetDrawings;
use Isleward\Core\Sheet\SheetPlan;

/** A project's sheets of drawings. */
final readonly class SheetPlans
{
    public function __construct(private Assembly $assembly, private Schedules $schedules)
    {
    }

    public function drawings(Project $project, ?Structure $structure = null): SheetDrawings
    {
        $structure ??= new Structure($this->assembly, $project);
        $design = $structure->with($structure->openings());

        return new SheetDrawings(
            Design::of(
                $design->settings,
                [...array_values($design->elements()), ...$structure->keptOf(Kind::Section)],
            ), $structure->bodies(), $structure->frontages(), function (string $id) use ($project): ?Report {
                $layout = $this->schedules->layout($project, $id);

                return $layout === null ? null : $this->schedules->report($project, $layout);
            });
    }

    /**
     * @return array{pages: list<string>, blocks: list<array{title: string, x: float, y: float, width: float, height: float,
     *    problem: string|null}>}
     */
    public function pages(Project $project, SheetDrawings $drawings, SheetPlan $plan): array
    {
        return Arranged::of($drawings, $plan, now()->format('j F Y'), self::revision($project));
    }

    public function find(Project $project, string $id): ?SheetPlan
    {
        foreach ((new Structure($this->assembly, $project))->keptOf(Kind::Sheet) as $kept) {
            if ($kept instanceof SheetPlan && $kept->id === $id) {
                return $kept;
            }
        }

        return null;
    }

    /**
     * A schedule by itself, on as many lying A3 or ANSI B sheets as it takes.
     *
     * @return list<string> SVG
     */
    public function ofSchedule(Project $project, Layout $layout): array
    {
        $report = $this->schedules->report($project, $layout);
        $drawings = $this->drawings($project)->withReport(static fn (): Report => $report);
        $paper = $drawings->design->settings->units->value === 'ft-in' ? 'ANSI-B' : 'A3';

        return $this->pages(
            $project,
            $drawings,
            SheetPlan::from(new Fields(
                [
                    'id' => '',
                    'name' => $layout->name,
                    'number' => 'S',
                    'paper' => $paper,
                    'items' => [['kind' => 'schedule', 'ref' => $layout->id, 'scale' => 1.0, 'x' => 25.0, 'y' => 15.0]],
                ],
            )),
        )['pages'];
    }

    private static function revision(Project $project): string
    {
        return (string) Revision::query()->where('project_id', $project->id)
            ->orderByDesc('number')
            ->orderByDesc('created_at')
            ->value('letter');
    }
}
