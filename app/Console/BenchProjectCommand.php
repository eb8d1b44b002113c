<?php

declare(strict_types=1);

namespace App\Console;

use App\Assembly\Assembly;
use App\Assembly\Ties;
use App\Editing\NewProject;
use App\Models\Opening;
use App\Models\Outline;
use App\Models\Project;
use App\Models\UnitType;
use App\Models\User;
use App\Models\Wall;
use Illuminate\Console\Command;
use Illuminate\Support\Str;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Edit\Scope;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Unit\Stock;

/**
 * Makes a project of many openings to measure with: ten storeys, 25 openings a wall and storey; with more types on the rack, or in its
 * openings. Prints its id.
 */
final class BenchProjectCommand extends Command
{
    private const STOREYS = 10;

    private const PER_STOREY = 25;

    protected $signature = 'isleward:bench-project {openings} {--types=3 : that the openings hold} {--rack=0 : more types on the rack}';

    protected $description = 'Make a project of many openings';

    public function handle(NewProject $new, Ids $ids, Assembly $assembly, Ties $ties): int
    {
        $user = User::query()->firstOrCreate(['email' => 'bench@skerrow.example'], ['name' => 'Bench', 'password' => 'harbour-light']);
        $wanted = $this->argument('openings');
        $left = is_string($wanted) ? (int) $wanted : 0;
        $storeys = [];
        for ($i = 0; $i < self::STOREYS; $i++) {
            $storeys[] = ['name' => "Level $i", 'height' => 3600];
        }
        $rack = (int) $this->option('rack');
        $project = $new->create(
            $user,
            new Fields([
                'name' => $rack > 0 ? "Bench rack $rack" : "Bench $left".((int) $this->option('types') > 3 ? ' of many types' : ''),
                'units' => 'mm',
                'storeys' => $storeys,
            ]),
        );
        $storeyIds = $project->getConnection()
            ->table('storeys')
            ->where('project_id', $project->id)
            ->orderBy('position')
            ->pluck('id')
            ->all();
        $types = $project->getConnection()
            ->table('unit_types')
            ->where('project_id', $project->id)
            ->whereIn('mark', ['W-01', 'W-02', 'W-03'])
            ->pluck('id')
            ->all();
        $stock = Stock::types();
        for ($i = count($types); $i < (int) $this->option('types'); $i++) {
            // windows of one size whose frames differ, so that each is a type of its own
            $types[] = $this->type($project, $ids, ['mark' => "V-$i"] + $stock[$i % 3], $i);
        }
        for ($i = 0; $i < (int) $this->option('rack'); $i++) {
            $this->type($project, $ids, ['mark' => "R-$i"] + $stock[$i % count($stock)], 0);
        }
        for ($block = 0; $left > 0; $block++) {
            $left = $this->block($project, $ids, $block, $storeyIds, $types, $left);
        }
        $ties->rebuild($project, $assembly->design($project, Scope::everything())->elements());
        $project->update(['structure_version' => (string) Str::ulid()]);
        $this->line($project->id);

        return self::SUCCESS;
    }

    /** @param  array<string, mixed>  $values  of a stock type; its jambs become $wider mm wider */
    private function type(Project $project, Ids $ids, array $values, int $wider): string
    {
        $tree = (new Fields($values))->array('tree');
        $frame = (new Fields($tree))->array('frame');
        $id = $ids->next(Kind::Type);
        $jamb = is_numeric($frame['jamb'] ?? null) ? (float) $frame['jamb'] : 0.0;
        UnitType::query()->insert(
            [
                'id' => $id,
                'project_id' => $project->id,
                'position' => 1000 + UnitType::query()->where('project_id', $project->id)->count(),
                'tree' => json_encode(['frame' => ['jamb' => $jamb + $wider] + $frame] + $tree),
            ] + $values,
        );

        return $id;
    }

    /**
     * @param  array<int, mixed>  $storeys
     * @param  array<int, mixed>  $types
     */
    private function block(Project $project, Ids $ids, int $block, array $storeys, array $types, int $left): int
    {
        $outline = $ids->next(Kind::Outline);
        Outline::query()->insert(
            ['id' => $outline, 'project_id' => $project->id, 'name' => "Block $block", 'position' => $block, 'closed' => 1],
        );
        [$x, $y] = [$block % 6 * 70000, intdiv($block, 6) * 70000];
        $corners = [[$x, $y], [$x + 60000, $y], [$x + 60000, $y + 60000], [$x, $y + 60000]];
        foreach ($corners as $i => [$fx, $fy]) {
            [$tx, $ty] = $corners[($i + 1) % 4];
            $wall = $ids->next(Kind::Wall);
            Wall::query()->insert(
                ['id' => $wall, 'project_id' => $project->id, 'outline_id' => $outline, 'position' => $i,
                    'from_x' => $fx, 'from_y' => $fy, 'to_x' => $tx, 'to_y' => $ty,
                    'rise' => 0, 'thickness' => 300, 'base_storey_id' => $storeys[0], 'top_storey_id' => $storeys[self::STOREYS - 1]]);
            $rows = [];
            for ($n = 0; $n < self::STOREYS * self::PER_STOREY && $left > 0; $n++, $left--) {
                $rows[] = [
                    'id' => $ids->next(Kind::Opening), 'project_id' => $project->id, 'host_id' => $wall,
                    'storey_id' => $storeys[intdiv($n, self::PER_STOREY)], 'unit_type_id' => $types[$n % count($types)],
                    'width' => 1200, 'height' => 1450, 'shape' => null,
                    'position' => json_encode(['from' => 'left', 'value' => 800.0 + ($n % self::PER_STOREY) * 2350, 'to' => 'near']),
                    'sill' => json_encode(['from' => 'floor', 'height' => 900.0]), 'faces_out' => 1, 'mirrored' => 0, 'setback' => 90];
            }
            if ($rows !== []) {
                Opening::query()->insert($rows);
            }
        }

        return $left;
    }
}
