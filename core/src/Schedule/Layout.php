<?php

declare(strict_types=1);

namespace Isleward\Core\Schedule;

use Isleward\Core\Design\Design;
use Isleward\Core\Design\Kept;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Storey;
use Isleward\Core\Design\Wall;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** How a schedule is laid out: its columns in order, what it is grouped, sorted and narrowed by. */
final readonly class Layout implements Kept
{
    public const TESTS = ['is', 'is-not', 'holds', 'above', 'below'];

    /**
     * @param  string  $source  one of {@see Source::NAMES}
     * @param  non-empty-list<array{key: string, name: string|null}>  $columns  each with a heading of its own or null
     * @param  bool  $merge  rows alike in all that is not added up become one
     * @param  list<string>  $groups  keys
     * @param  list<array{key: string, down: bool}>  $sort
     * @param  list<array{key: string, test: string, value: string}>  $filters  values as people typed them
     */
    private function __construct(
        public string $id,
        public string $name,
        public string $source,
        public array $columns,
        public bool $merge,
        public array $groups,
        public array $sort,
        public array $filters,
        public bool $totals,
    ) {
    }

    public static function from(Fields $f): self
    {
        $source = $f->string('source');
        if (! in_array($source, Source::NAMES, true)) {
            throw Refusal::because(
                'schedule.source',
                sprintf('There is no schedule of “%s”; there are %s.', mb_substr($source, 0, 30), implode(', ', Source::NAMES)),
            );
        }
        $columns = array_map(
            static fn (Fields $c): array => [
                'key' => $c->string('key'),
                'name' => $c->has('name') ? mb_substr(trim($c->string('name')), 0, 60) : null,
            ],
            $f->list('columns'),
        );
        if ($columns === []) {
            throw Refusal::because('schedule.no_columns', 'A schedule has one column at the least.', details: ['field' => 'columns']);
        }
        $filters = array_map(
            static fn (Fields $c): array => [
                'key' => $c->string('key'),
                'test' => $c->string('test'),
                'value' => mb_substr($c->string('value'), 0, 120),
            ],
            $f->has('filters') ? $f->list('filters') : [],
        );
        foreach ($filters as $filter) {
            if (! in_array($filter['test'], self::TESTS, true)) {
                throw Refusal::because('schedule.test', sprintf('Rows cannot be narrowed by “%s”.', $filter['test']));
            }
        }

        return new self(
            $f->string('id'), $f->name('name'), $source, $columns, $f->bool('merge'), $f->has('groups') ? $f->strings('groups') : [],
            array_map(
                static fn (Fields $c): array => ['key' => $c->string('key'), 'down' => $c->bool('down')],
                $f->has('sort') ? $f->list('sort') : [],
            ),
            $filters, $f->bool('totals', true));
    }

    /** The layouts that are always there: openings by type and size, each opening, unit types, walls (with radii where there are arcs). */
    public static function ready(string $name, Design $design): ?self
    {
        $on = array_map(static fn (Storey $s): string => 'on:'.$s->id, $design->storeys->all);
        // how long an arc is depends on where it is measured
        $arcs = array_filter($design->walls, static fn (Wall $w): bool => $w->isCurved()) === [] ? [] : ['centreLine', 'radius'];
        [$source, $keys, $merge, $groups] = match ($name) {
            'by-type' => ['openings', ['mark', 'name', 'width', 'height', 'count', ...$on, 'areaEach', 'area', 'glass'], true, []],
            'each' => [
                'openings',
                ['number', 'mark', 'name', 'frontage', 'width', 'height', 'sill', 'head', 'fromLeft'],
                false,
                ['storey'],
            ],
            'types' => [
                'types',
                ['mark', 'name', 'operations', 'width', 'height', 'count', 'areaEach', 'glassEach', 'frameShare', 'weightEach'],
                false,
                [],
            ],
            'walls' => [
                'walls',
                ['name', 'outline', 'length', ...$arcs, 'height', 'thickness', 'openings', 'gross', 'cutOut', 'net'],
                false,
                [],
            ],
            default => [null, [], false, []],
        };

        return $source === null ? null : self::from(new Fields(['id' => $name, 'name' => match ($name) {
            'by-type' => 'Openings by type', 'each' => 'Each opening', 'types' => 'Unit types', default => 'Walls'
        }, 'source' => $source, 'columns' => array_map(
            static fn (string $k): array => ['key' => $k],
            $keys,
        ), 'merge' => $merge, 'groups' => $groups,
            'sort' => match ($name) {
                'walls' => [], 'each' => [['key' => 'number', 'down' => false], ['key' => 'mark', 'down' => false]],
                default => [['key' => 'mark', 'down' => false], ['key' => 'width', 'down' => false], ['key' => 'height', 'down' => false]]
            }]));
    }

    public function called(): string
    {
        return $this->name;
    }

    public function id(): string
    {
        return $this->id;
    }

    public function kind(): Kind
    {
        return Kind::Layout;
    }

    public function names(): array
    {
        return [];
    }

    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'source' => $this->source,
            'columns' => $this->columns,
            'merge' => $this->merge,
            'groups' => $this->groups,
            'sort' => $this->sort,
            'filters' => $this->filters,
            'totals' => $this->totals,
        ];
    }
}
