<?php

declare(strict_types=1);

namespace App\Derived;

use App\Assembly\Assembly;
use App\Models\Project;
use Isleward\Core\Design\Kind;
use Isleward\Core\Schedule\Layout;
use Isleward\Core\Schedule\Report;
use Isleward\Core\Schedule\Source;

/** A project's schedules in the layouts that are always there and those that were kept. */
final readonly class Schedules
{
    public function __construct(private Assembly $assembly)
    {
    }

    public function layout(Project $project, string $id): ?Layout
    {
        $structure = new Structure($this->assembly, $project);
        $ready = Layout::ready($id, $structure->design());
        foreach ($ready === null ? $structure->keptOf(Kind::Layout) : [] as $kept) {
            if ($kept instanceof Layout && $kept->id === $id) {
                return $kept;
            }
        }

        return $ready;
    }

    /** @param-out  Source  $source  what it was made from */
    public function report(Project $project, Layout $layout, ?Source &$source = null): Report
    {
        $structure = new Structure($this->assembly, $project);
        $source = Source::of($layout->source, $structure->with($structure->openings()), $structure->bodies(), $structure->frontages());

        return Report::of($source, $layout, $project->settings()->units);
    }
}
