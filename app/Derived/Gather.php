<?php

declare(strict_types=1);

namespace App\Derived;

use App\Assembly\Ties;
use App\Models\Opening;
use App\Models\Project;
use Illuminate\Database\Query\Builder;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Building\Places;
use Isleward\Core\Building\Solved;
use Isleward\Core\CurtainWall\GridType;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Tie;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Unit\Operation;

/** Openings that are alike in whatever is asked for: type, mark, operation, size, host, frontage, facing, storey, sill, head. */
final readonly class Gather
{
    private const COLUMNS = ['id', 'host_id', 'storey_id', 'height', 'sill'];

    public function __construct(private Project $project, private Structure $structure, private Fields $asked)
    {
    }

    /**
     * @return array{ids: list<string>, byStorey: array<string, int>}
     *
     * @throws Refusal when something asked for is not there
     */
    public function found(): array
    {
        $query = Opening::query()->toBase()->where('project_id', $this->project->id);
        $this->byStored($query);
        $this->byType($query);
        $this->byPlace($query);
        $rows = $query->orderBy('id')->get(self::COLUMNS)->all();
        if ($this->has('sill') || $this->has('head')) {
            $rows = $this->byLevel($rows);
        }
        $counts = [];
        foreach ($rows as $row) {
            $counts[$row->storey_id] = ($counts[$row->storey_id] ?? 0) + 1;
        }

        return ['ids' => array_column($rows, 'id'), 'byStorey' => $counts];
    }

    private function has(string $name): bool
    {
        return $this->asked->string($name, '') !== '';
    }

    /** @return list<string> values with commas between them */
    private function list(string $name): array
    {
        return explode(',', $this->asked->string($name));
    }

    private function byStored(Builder $query): void
    {
        foreach (['host' => 'host_id', 'storey' => 'storey_id'] as $name => $column) {
            if ($this->has($name)) {
                $query->whereIn($column, $this->list($name));
            }
        }
        foreach (['width', 'height'] as $name) {
            if ($this->has($name)) {
                $mm = $this->asked->length($name);
                $query->whereBetween($name, [$mm - Tolerance::LENGTH, $mm + Tolerance::LENGTH]);
            }
        }
    }

    private function byType(Builder $query): void
    {
        if ($this->has('type')) {
            $wanted = $this->list('type');
            $letIn = $this->filledBy(array_intersect(array_keys($this->structure->design()->grids), $wanted));
            $query->where(static fn (Builder $q) => $q->whereIn('unit_type_id', $wanted)->orWhereIn('id', $letIn)->when(
                in_array('bare', $wanted, true),
                static fn (Builder $b) => $b->orWhere(static fn (Builder $n) => $n->whereNull('unit_type_id')->whereNull('curtain')),
            ));
        }
        $types = $this->structure->design()->types;
        if ($this->has('mark')) {
            $marks = $this->list('mark');
            $marked = static fn (GridType $g): bool => in_array($g->mark(), $marks, true);
            $letIn = $this->filledBy(array_keys(array_filter(Runs::types($this->structure->design()), $marked)));
            $query->where(static fn (Builder $q) => $q->whereIn(
                'unit_type_id',
                array_keys(array_filter($types, static fn (UnitType $t): bool => in_array($t->mark, $marks, true))),
            )->orWhereIn('id', $letIn));
        }
        if ($this->has('operation')) {
            $operation = $this->asked->choice('operation', Operation::class);
            $query->whereIn(
                'unit_type_id',
                array_keys(array_filter($types, static fn (UnitType $t): bool => self::opensBy($t, $operation))),
            );
        }
    }

    /**
     * @param  array<string>  $grids
     * @return list<string> openings that curtain wall of these grid types is let into
     */
    private function filledBy(array $grids): array
    {
        return $grids === [] ? [] : (new Ties)->naming($this->project, array_values($grids), Tie::MadeOf, Kind::Opening);
    }

    private static function opensBy(UnitType $type, Operation $operation): bool
    {
        foreach (Solved::of($type, $type->width, $type->height)->lights as $light) {
            if ($light->light->operation === $operation) {
                return true;
            }
        }

        return false;
    }

    private function byPlace(Builder $query): void
    {
        foreach ([
            'frontage' => static fn (Frontage $f): string => $f->id,
            'facing' => static fn (Frontage $f): string => $f->facing(),
        ] as $name => $of) {
            if (! $this->has($name)) {
                continue;
            }
            $wanted = $this->list($name);
            $walls = [];
            foreach ($this->structure->frontages() as $frontage) {
                if (in_array($of($frontage), $wanted, true)) {
                    array_push($walls, ...array_keys($frontage->walls));
                }
            }
            $query->whereIn('host_id', $walls);
        }
    }

    /**
     * Those whose sill and head lie so high over their storey's floor.
     *
     * @param  array<int, \stdClass>  $rows
     * @return list<\stdClass>
     */
    private function byLevel(array $rows): array
    {
        $sill = $this->has('sill') ? $this->asked->length('sill') : null;
        $head = $this->has('head') ? $this->asked->length('head') : null;
        $indirect = [];
        $heights = [];
        foreach ($rows as $row) {
            $rule = json_decode($row->sill, true, 8, JSON_THROW_ON_ERROR);
            if ($rule['from'] === 'floor' && ($rule['edge'] ?? 'sill') === 'sill') {
                $heights[$row->id] = (float) $rule['height'];
            } else {
                $indirect[] = $row->id;
            }
        }
        if ($indirect !== []) {
            $design = $this->structure->with($this->structure->openings(static fn (Builder $q) => $q->whereIn('id', $indirect)));
            foreach ($indirect as $id) {
                $heights[$id] = Places::in($design)->opening($id)->sill - $design->storeys->floor($design->openings[$id]->storey);
            }
        }

        return array_values(
            array_filter($rows, static fn (\stdClass $r): bool => ($sill === null || abs($heights[$r->id] - $sill) <= Tolerance::LENGTH)
            && ($head === null || abs($heights[$r->id] + $r->height - $head) <= Tolerance::LENGTH)));
    }
}
