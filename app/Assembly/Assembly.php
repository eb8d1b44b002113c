<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Models\Project;
use Illuminate\Database\Query\Builder;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Element;
use Isleward\Core\Design\Kind;
use Isleward\Core\Edit\Change;
use Isleward\Core\Edit\Operation;
use Isleward\Core\Edit\Scope;
use Isleward\Core\Refusal;

/** Rows → design, and a change → rows. */
final class Assembly
{
    /** The project's structure and as many of its openings as an edit needs. */
    public function design(Project $project, Scope $scope): Design
    {
        $openings = match (true) {
            $scope->everything => $this->rows(Kind::Opening, $project),
            $scope->walls !== [] => $this->rows(Kind::Opening, $project, fn (Builder $q) => $q->whereIn('wall_id', $scope->walls)),
            $scope->openings !== [] => $this->rows(Kind::Opening, $project, fn (Builder $q) => $q->whereIn('id', $scope->openings)),
            default => [],
        };

        return Design::of($project->settings(), $this->elements([
            Kind::Storey->value => $this->rows(Kind::Storey, $project),
            Kind::Outline->value => $this->rows(Kind::Outline, $project),
            Kind::Wall->value => $this->rows(Kind::Wall, $project),
            Kind::Type->value => $this->rows(Kind::Type, $project),
            Kind::Opening->value => $openings,
        ]));
    }

    /**
     * @param  \Closure(Builder): mixed|null  $narrow
     * @return list<array<string, mixed>> as stored, by id
     */
    public function rows(Kind $kind, Project $project, ?\Closure $narrow = null): array
    {
        $query = Tables::model($kind)::query()->toBase()->where('project_id', $project->id)->orderBy('id');
        if ($narrow !== null) {
            $narrow($query);
        }

        return array_map(static fn (object $row): array => (array) $row, $query->get()->all());
    }

    /**
     * @param  array<string, list<array<string, mixed>>>  $rowsByKind
     * @return list<Element>
     */
    public function elements(array $rowsByKind): array
    {
        $elements = [];
        foreach ($rowsByKind as $kind => $rows) {
            $table = Tables::model(Kind::from($kind))::elements();
            foreach ($rows as $row) {
                $elements[] = $table->element($row);
            }
        }

        return $elements;
    }

    /** Writes a change's outcome. Call inside a transaction that holds the project. */
    public function write(Project $project, Change $change): void
    {
        $added = $removed = [];
        foreach ($change->operations as $operation) {
            $table = Tables::model($operation->kind)::elements();
            if ($operation->after === null) {
                $removed[$operation->kind->value][] = $operation->id;
            } elseif ($operation->before === null) {
                $added[$operation->kind->value][] = ['project_id' => $project->id] + $table->row($operation->after);
            } else {
                $query = Tables::model($operation->kind)::query()->toBase()->where('id', $operation->id);
                if ($operation->kind === Kind::Settings) {
                    $project->forceFill($table->row($operation->after));
                } else {
                    $query->where('project_id', $project->id)->update($table->row($operation->after));
                }
            }
        }
        foreach ($removed as $kind => $ids) {
            foreach (array_chunk($ids, 1000) as $chunk) {
                Tables::model(Kind::from($kind))::query()->toBase()->where('project_id', $project->id)->whereIn('id', $chunk)->delete();
            }
        }
        foreach ($added as $kind => $rows) {
            foreach (array_chunk($rows, 500) as $chunk) {
                Tables::model(Kind::from($kind))::query()->toBase()->insert($chunk);
            }
        }
    }

    /**
     * Whether every element still is as a change left it, so that it can be taken back.
     *
     * @param  list<Operation>  $operations
     *
     * @throws Refusal naming what was changed since
     */
    public function requireAsLeft(Project $project, array $operations): void
    {
        $byKind = [];
        foreach ($operations as $operation) {
            $byKind[$operation->kind->value][] = $operation;
        }
        foreach ($byKind as $kind => $group) {
            $table = Tables::model(Kind::from($kind))::elements();
            $now = [];
            foreach (array_chunk(array_map(static fn (Operation $o): string => $o->id, $group), 1000) as $ids) {
                foreach ($this->existing(Kind::from($kind), $project, $ids) as $row) {
                    $now[$row['id']] = $table->element($row)->toArray();
                }
            }
            foreach ($group as $operation) {
                if (($now[$operation->id] ?? null) != $operation->after?->toArray()) {
                    throw Refusal::because('undo.changed_since', 'This was changed again since then, so it cannot be taken back on its own.', [$operation->id]);
                }
            }
        }
    }

    /**
     * @param  list<string>  $ids
     * @return list<array<string, mixed>>
     */
    private function existing(Kind $kind, Project $project, array $ids): array
    {
        return $kind === Kind::Settings
            ? [$project->getAttributes()]
            : $this->rows($kind, $project, static fn (Builder $q) => $q->whereIn('id', $ids));
    }
}
