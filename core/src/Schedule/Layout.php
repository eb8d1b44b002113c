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
    /**
     * @param  string  $source  what it is of, as a {@see Contributor} names it
     * @param  non-empty-list<Column>  $columns
     * @param  bool  $merge  rows alike in all that is not added up become one
     * @param  list<string>  $groups  keys
     * @param  list<Sorting>  $sort
     * @param  list<Filter>  $filters
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
        Source::requireName($source);
        $columns = array_map(
            static fn (Fields $c): Column => new Column(
                $c->string('key'),
                $c->has('name') ? mb_substr(trim($c->string('name')), 0, 60) : null,
            ),
            $f->list('columns'),
        );
        if ($columns === []) {
            throw Refusal::because('schedule.no_columns', 'A schedule has one column at the least.', details: ['field' => 'columns']);
        }
        $filters = array_map(
            static fn (Fields $c): Filter => new Filter($c->string('key'), $c->string('test'), mb_substr($c->string('value'), 0, 120)),
            $f->has('filters') ? $f->list('filters') : [],
        );

        return new self(
            $f->string('id'), $f->name('name'), $source, $columns, $f->bool('merge'), $f->has('groups') ? $f->strings('groups') : [],
            array_map(
                static fn (Fields $c): Sorting => new Sorting($c->string('key'), $c->bool('down')),
                $f->has('sort') ? $f->list('sort') : [],
            ),
            $filters, $f->bool('totals', true));
    }

    /** The layouts that are always there: openings by type and size, each opening, unit types, walls (with radii where there are arcs), and
     * those of curtain walls. */
    public static function ready(string $name, Design $design): ?self
    {
        $on = array_map(static fn (Storey $s): string => 'on:'.$s->id, $design->storeys->all);
        // how long an arc is depends on where it is measured
        $arcs = array_filter($design->walls, static fn (Wall $w): bool => $w->isCurved()) === [] ? [] : ['centreLine', 'radius'];

        return match ($name) {
            'by-type' => self::plain(
                $name,
                'Openings by type',
                'openings',
                ['mark', 'name', 'width', 'height', 'count', ...$on, 'areaEach', 'area', 'glass'],
                true,
                [],
                ['mark', 'width', 'height'],
            ),
            'each' => self::plain(
                $name,
                'Each opening',
                'openings',
                ['number', 'mark', 'name', 'frontage', 'width', 'height', 'sill', 'head', 'fromLeft'],
                false,
                ['storey'],
                ['number', 'mark'],
            ),
            'types' => self::plain(
                $name,
                'Unit types',
                'types',
                ['mark', 'name', 'operations', 'width', 'height', 'count', 'areaEach', 'glassEach', 'frameShare', 'weightEach'],
                false,
                [],
                ['mark', 'width', 'height'],
            ),
            'walls' => self::plain(
                $name,
                'Walls',
                'walls',
                ['name', 'outline', 'length', ...$arcs, 'height', 'thickness', 'openings', 'gross', 'cutOut', 'net', 'volume'],
                false,
                [],
                [],
            ),
            'runs' => self::plain(
                $name,
                'Curtain walls',
                'runs',
                ['run', 'type', 'frontage', 'length', 'height', 'face', 'glass', 'opaque', 'frame', 'glassShare', 'frameShare'],
                false,
                [],
                ['run', 'frontage'],
            ),
            'shares' => self::plain(
                $name,
                'Shares of glass by facing',
                'runs',
                ['facing', 'frontage', 'face', 'glass', 'opaque', 'open', 'frame'],
                true,
                [],
                ['facing', 'frontage'],
            ),
            'cutting' => self::plain(
                $name,
                'Cutting list',
                'cutting',
                ['bar', 'count', 'cuts', 'pieces', 'left', 'waste', 'wasteShare', 'stock'],
                false,
                ['section'],
                [],
            ),
            'members' => self::plain(
                $name,
                'Members of curtain walls',
                'members',
                ['mark', 'what', 'section', 'length', 'first', 'second', 'radius', 'count', 'total'],
                true,
                [],
                ['mark'],
            ),
            'infills' => self::plain(
                $name,
                'Infills of curtain walls',
                'infills',
                ['mark', 'what', 'shape', 'width', 'height', 'radius', 'count', 'areaEach', 'area', 'weightEach'],
                true,
                [],
                ['mark'],
            ),
            'joints' => self::plain(
                $name,
                'Joints of curtain walls',
                'joints',
                ['mark', 'what', 'width', 'length', 'count', 'total'],
                true,
                [],
                ['mark'],
            ),
            'fins' => self::plain(
                $name,
                'Fins and tubes',
                'fins',
                ['mark', 'piece', 'section', 'length', 'count', 'total', 'area', 'finish'],
                true,
                ['band'],
                ['mark'],
            ),
            'fin-classes' => self::plain(
                $name,
                'Fins by length class',
                'fins',
                ['class', 'piece', 'count', 'total', 'area', 'volume'],
                true,
                ['band'],
                ['class'],
            ),
            'battens' => self::plain(
                $name,
                'Battens of fields',
                'battens',
                ['section', 'length', 'cut', 'count', 'total', 'area', 'volume', 'finish'],
                true,
                ['field'],
                ['length'],
            ),
            'screens' => self::plain(
                $name,
                'Screens',
                'screens',
                ['screen', 'frontage', 'width', 'height', 'area', 'cuts', 'thick', 'gap', 'returns', 'volume', 'finish'],
                false,
                [],
                ['screen'],
            ),
            'cut-outs' => self::plain(
                $name,
                'Cut-outs of screens',
                'cut-outs',
                ['shape', 'width', 'height', 'unit', 'count', 'area', 'edge'],
                true,
                ['screen'],
                ['shape'],
            ),
            'floor-bands' => self::plain(
                $name,
                'Floor bands',
                'floor-bands',
                ['band', 'storey', 'top', 'out', 'height', 'depth', 'edge', 'length', 'area', 'volume'],
                false,
                [],
                [],
            ),
            'roofs' => self::plain(
                $name,
                'Roofs',
                'roofs',
                ['over', 'pitch', 'eaves', 'overhang', 'area', 'plan', 'volume', 'finish'],
                false,
                ['roof'],
                [],
            ),
            'roof-lines' => self::plain(
                $name,
                'Lines of roofs',
                'roof-lines',
                ['line', 'slope', 'length', 'count', 'plan'],
                true,
                ['roof'],
                ['line'],
            ),
            'rooflights' => self::plain(
                $name,
                'Rooflights',
                'rooflights',
                ['number', 'over', 'type', 'width', 'height', 'pitch', 'foot', 'head', 'count', 'glass', 'weight'],
                false,
                ['roof'],
                [],
            ),
            'fin-cutting' => self::plain(
                $name,
                'Cutting list of fins',
                'fin-cutting',
                ['bar', 'count', 'cuts', 'pieces', 'left', 'waste', 'wasteShare', 'stock'],
                false,
                ['section'],
                [],
            ),
            default => null,
        };
    }

    /**
     * @param  non-empty-list<string>  $keys
     * @param  list<string>  $groups
     * @param  list<string>  $sort
     */
    private static function plain(string $id, string $name, string $source, array $keys, bool $merge, array $groups, array $sort): self
    {
        $columns = array_map(static fn (string $key): Column => new Column($key), $keys);
        $sorted = array_map(static fn (string $key): Sorting => new Sorting($key), $sort);

        return new self($id, $name, $source, $columns, $merge, $groups, $sorted, [], true);
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
            'columns' => array_map(static fn (Column $c): array => $c->toArray(), $this->columns),
            'merge' => $this->merge,
            'groups' => $this->groups,
            'sort' => array_map(static fn (Sorting $s): array => $s->toArray(), $this->sort),
            'filters' => array_map(static fn (Filter $f): array => $f->toArray(), $this->filters),
            'totals' => $this->totals,
        ];
    }
}
