<?php

declare(strict_types=1);

namespace App\Derived;

use App\Files\Content;
use App\Files\Store;
use App\Models\Project;
use Isleward\Core\Design\Storeys;
use Isleward\Core\Exchange\Cells;
use Isleward\Core\Given\Column;
use Isleward\Core\Given\Discrepancy;
use Isleward\Core\Given\GivenSchedule;
use Isleward\Core\Given\Headings;
use Isleward\Core\Given\Held;
use Isleward\Core\Given\Kinds;
use Isleward\Core\Given\Line;
use Isleward\Core\Given\Marks;
use Isleward\Core\Given\Reading;
use Isleward\Core\Given\Revised;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Units;
use OpenApi\Attributes as OA;

/** A given schedule as it is read, to be looked over, and as it is held against the model. */
#[OA\Schema(
    schema: 'GivenColumn', description: 'What a column of a given schedule holds', required: ['role', 'unit', 'storey'], properties: [
        new OA\Property(
            property: 'role',
            type: 'string',
            enum: ['mark', 'kind', 'width', 'height', 'size', 'sill', 'head', 'count', 'storey', 'on-storey', 'none'],
        ),
        new OA\Property(property: 'unit', anyOf: [
            new OA\Schema(type: 'string', enum: ['mm', 'cm', 'm', 'in', 'ft']),
            new OA\Schema(type: 'null'),
        ]),
        new OA\Property(property: 'storey', type: 'string', nullable: true),
        new OA\Property(
            property: 'storeys', type: 'object', description: 'Text of its cells, and the storey that each means',
            additionalProperties: new OA\AdditionalProperties(type: 'string'),
        ),
    ])]
#[OA\Schema(schema: 'RevisedLine', required: ['mark', 'row', 'what'], properties: [
    new OA\Property(property: 'mark', type: 'string'),
    new OA\Property(property: 'row', type: 'integer'),
    new OA\Property(property: 'what', type: 'string'),
])]
#[OA\Schema(
    schema: 'Revised', description: 'What a schedule would change of one that was given before',
    required: ['given', 'new', 'gone', 'changed', 'same', 'problem'], properties: [
        new OA\Property(property: 'given', type: 'string'),
        new OA\Property(property: 'new', type: 'array', items: new OA\Items(ref: '#/components/schemas/RevisedLine')),
        new OA\Property(property: 'gone', type: 'array', items: new OA\Items(ref: '#/components/schemas/RevisedLine')),
        new OA\Property(property: 'changed', type: 'array', items: new OA\Items(ref: '#/components/schemas/RevisedLine')),
        new OA\Property(property: 'same', type: 'integer'),
        new OA\Property(property: 'problem', type: 'string', nullable: true, description: 'Why the one before cannot be read'),
    ])]
#[OA\Schema(schema: 'NamedStorey', required: ['text', 'storey'], properties: [
    new OA\Property(property: 'text', type: 'string'),
    new OA\Property(property: 'storey', type: 'string', nullable: true),
])]
#[OA\Schema(schema: 'GivenSchedule', required: ['id', 'name', 'file', 'sheet', 'header', 'columns'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'file', type: 'string'),
    new OA\Property(property: 'sheet', type: 'integer'),
    new OA\Property(property: 'header', type: 'integer', nullable: true),
    new OA\Property(property: 'columns', type: 'array', items: new OA\Items(ref: '#/components/schemas/GivenColumn')),
])]
#[OA\Schema(schema: 'GivenLine', required: [
    'row',
    'mark',
    'kind',
    'width',
    'height',
    'sill',
    'count',
    'byStorey',
    'problems',
], properties: [
    new OA\Property(property: 'row', type: 'integer'),
    new OA\Property(property: 'mark', type: 'string'),
    new OA\Property(property: 'kind', type: 'string'),
    new OA\Property(property: 'width', type: 'number', nullable: true),
    new OA\Property(property: 'height', type: 'number', nullable: true),
    new OA\Property(property: 'sill', type: 'number', nullable: true),
    new OA\Property(property: 'count', type: 'integer', nullable: true),
    new OA\Property(property: 'byStorey', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer')),
    new OA\Property(property: 'problems', type: 'array', items: new OA\Items(type: 'string')),
])]
#[OA\Schema(schema: 'Unread', required: ['row', 'mark', 'sentence'], properties: [
    new OA\Property(property: 'row', type: 'integer'),
    new OA\Property(property: 'mark', type: 'string'),
    new OA\Property(property: 'sentence', type: 'string'),
])]
#[OA\Schema(schema: 'SheetOfCells', required: ['name', 'rows'], properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'rows', type: 'integer'),
])]
#[OA\Schema(schema: 'Reading', required: [
    'file',
    'sheet',
    'header',
    'sheets',
    'notes',
    'columns',
    'rows',
    'rowCount',
    'lines',
    'lineCount',
    'unread',
    'unreadLines',
    'storeyNames',
    'revised',
    'problem',
], properties: [
    new OA\Property(property: 'unreadLines', type: 'integer', description: 'Lines of which something cannot be read'),
    new OA\Property(
        property: 'storeyNames', type: 'array', description: 'What its column of storeys says',
        items: new OA\Items(ref: '#/components/schemas/NamedStorey'),
    ),
    new OA\Property(property: 'revised', anyOf: [new OA\Schema(ref: '#/components/schemas/Revised'), new OA\Schema(type: 'null')]),
    new OA\Property(property: 'file', type: 'string'),
    new OA\Property(property: 'sheet', type: 'integer'),
    new OA\Property(property: 'header', type: 'integer', nullable: true),
    new OA\Property(property: 'sheets', type: 'array', items: new OA\Items(ref: '#/components/schemas/SheetOfCells')),
    new OA\Property(property: 'notes', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'columns', type: 'array', items: new OA\Items(ref: '#/components/schemas/GivenColumn')),
    new OA\Property(property: 'rowCount', type: 'integer'),
    new OA\Property(property: 'lines', type: 'array', items: new OA\Items(ref: '#/components/schemas/GivenLine')),
    new OA\Property(property: 'lineCount', type: 'integer'),
    new OA\Property(property: 'unread', type: 'array', items: new OA\Items(ref: '#/components/schemas/Unread')),
    new OA\Property(property: 'problem', type: 'string', nullable: true),
    new OA\Property(
        property: 'rows',
        type: 'array',
        items: new OA\Items(
            type: 'array',
            items: new OA\Items(oneOf: [new OA\Schema(type: 'string'), new OA\Schema(type: 'number'), new OA\Schema(type: 'null')]),
        ),
    ),
])]
#[OA\Schema(schema: 'Discrepancy', required: [
    'what',
    'mark',
    'row',
    'storey',
    'sentence',
    'openings',
    'count',
    'remedy',
    'place',
], properties: [
    new OA\Property(property: 'what', type: 'string', enum: ['missing', 'surplus', 'size', 'sill', 'storey', 'duplicate']),
    new OA\Property(property: 'mark', type: 'string'),
    new OA\Property(property: 'row', type: 'integer', nullable: true),
    new OA\Property(property: 'storey', type: 'string', nullable: true),
    new OA\Property(property: 'sentence', type: 'string'),
    new OA\Property(property: 'openings', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'count', type: 'integer'),
    new OA\Property(property: 'remedy', anyOf: [new OA\Schema(ref: '#/components/schemas/Remedy'), new OA\Schema(type: 'null')]),
    new OA\Property(property: 'place', type: 'string', nullable: true, description: 'The unit type that is to be placed'),
])]
#[OA\Schema(schema: 'FreshLine', required: ['mark', 'kind', 'width', 'height', 'sill'], properties: [
    new OA\Property(property: 'mark', type: 'string'),
    new OA\Property(property: 'kind', type: 'string'),
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'sill', type: 'number', nullable: true),
])]
#[OA\Schema(schema: 'FreshKind', required: ['kind', 'count', 'like'], properties: [
    new OA\Property(property: 'kind', type: 'string'),
    new OA\Property(property: 'count', type: 'integer'),
    new OA\Property(property: 'like', type: 'string', nullable: true, description: 'Mark of the ready type it is taken for'),
])]
#[OA\Schema(schema: 'Held', required: ['found', 'right', 'lines', 'unread', 'fresh', 'ready', 'kinds'], properties: [
    new OA\Property(
        property: 'ready',
        type: 'array',
        description: 'Ready types that a kind can be taken for',
        items: new OA\Items(
            required: ['mark', 'name'],
            properties: [new OA\Property(property: 'mark', type: 'string'), new OA\Property(property: 'name', type: 'string')],
            type: 'object',
        ),
    ),
    new OA\Property(property: 'found', type: 'array', items: new OA\Items(ref: '#/components/schemas/Discrepancy')),
    new OA\Property(property: 'right', type: 'integer', description: 'Openings that are as they are given'),
    new OA\Property(property: 'lines', type: 'integer'),
    new OA\Property(property: 'unread', type: 'array', items: new OA\Items(ref: '#/components/schemas/Unread')),
    new OA\Property(
        property: 'fresh',
        type: 'array',
        items: new OA\Items(ref: '#/components/schemas/FreshLine'),
        description: 'Lines whose mark no unit type has',
    ),
    new OA\Property(property: 'kinds', type: 'array', items: new OA\Items(ref: '#/components/schemas/FreshKind')),
])]
final readonly class GivenView
{
    private const SHOWN = 30;

    private const TOLD = 60;

    public function __construct(private Store $files)
    {
    }

    /**
     * How a table would be read: with columns as they are recognised, or as someone says.
     *
     * @param  list<Column>|null  $columns  null to recognise them
     * @param  GivenSchedule|null  $before  in whose place it would come
     * @return array<string, mixed>
     */
    public function reading(
        Project $project, Storeys $storeys, string $file, ?int $sheet, ?int $header, ?array $columns, ?GivenSchedule $before,
    ): array {
        $sheets = $this->sheets($project, $file);
        $sheet ??= self::likeliest($sheets, $storeys);
        $asked = $header === null && $columns === null;
        $rows = ($sheets[$sheet] ?? throw Refusal::because('given.sheet', 'The workbook has no such sheet.'))->rows;
        if ($columns === null) {
            $width = max([0, ...array_map(count(...), array_slice($rows, 0, 200))]);
            [$header, $columns] = $header === null
                            ? Headings::find($rows, $storeys)
                            : [$header, Headings::columns($rows, $header, $width, $storeys)];
        }
        if ($asked && $before !== null) {
            [$header, $columns] = $this->asBefore($project, $before, $rows, $header, $columns);
        }
        $units = $project->settings()->units;
        $problem = null;
        $lines = $named = [];
        try {
            $read = Reading::of($rows, $header, $columns, $storeys);
            [$lines, $named] = [$read->lines, $read->storeyOf];
        } catch (Refusal $refusal) {
            $problem = $refusal->said($units);
        }

        return [
            'file' => $file, 'sheet' => $sheet, 'header' => $header,
            'sheets' => array_map(static fn (Cells $c): array => ['name' => $c->name, 'rows' => count($c->rows)], $sheets),
            'notes' => $sheets[$sheet]->notes,
            'columns' => array_map(static fn (Column $c): array => $c->toArray(), $columns),
            'rows' => array_slice($rows, 0, self::SHOWN), 'rowCount' => count($rows),
            'lines' => array_map(static fn (Line $l): array => $l->toArray(), array_slice($lines, 0, self::SHOWN)),
            'lineCount' => count($lines),
            'unread' => self::unread($lines, $units),
            'unreadLines' => count(array_filter($lines, static fn (Line $l): bool => $l->problems !== [])),
            'storeyNames' => array_map(
                static fn (string $text, ?string $storey): array => ['text' => $text, 'storey' => $storey],
                array_map(strval(...), array_keys($named)), array_values($named),
            ),
            'revised' => $before === null || $problem !== null ? null : $this->revised($project, $storeys, $before, $lines),
            'problem' => $problem,
        ];
    }

    /**
     * What someone said of the columns of the schedule before holds for its revision: all of it under the same headings, under others what
     * its names of storeys mean.
     *
     * @param  list<list<string|float|null>>  $rows
     * @param  list<Column>  $columns  as they are recognised
     * @return array{int|null, list<Column>}
     */
    private function asBefore(Project $project, GivenSchedule $before, array $rows, ?int $header, array $columns): array
    {
        $said = array_merge(...array_map(static fn (Column $c): array => $c->storeys, $before->columns));
        try {
            $was = $this->sheets($project, $before->file)[$before->sheet]->rows ?? [];
        } catch (Refusal) {
            $was = []; // its file is gone, which is told where it is held against the model
        }
        if ($before->header !== null && isset($was[$before->header]) && $was[$before->header] === ($rows[$before->header] ?? null)) {
            return [$before->header, $before->columns];
        }

        return [$header, array_map(
            static fn (Column $c): Column => Column::of($c->role, $c->unit, $c->storey, $said), $columns,
        )];
    }

    /**
     * @param  list<Line>  $lines
     * @return array<string, mixed>
     */
    private function revised(Project $project, Storeys $storeys, GivenSchedule $before, array $lines): array
    {
        try {
            $was = $this->lines($project, $storeys, $before);
        } catch (Refusal $refusal) {
            $problem = $refusal->said($project->settings()->units);

            return ['given' => $before->id, 'new' => [], 'gone' => [], 'changed' => [], 'same' => 0, 'problem' => $problem];
        }
        $revised = Revised::between($was, $lines, $storeys);
        $said = static fn (array $told): array => array_map(static fn (array $t): array => [
            ...$t, 'what' => Length::said($t['what'], $project->settings()->units),
        ], $told);

        return [
            'given' => $before->id, 'new' => $said($revised->new), 'gone' => $said($revised->gone),
            'changed' => $said($revised->changed), 'same' => $revised->same, 'problem' => null,
        ];
    }

    /** @return list<Line> of a given schedule */
    private function lines(Project $project, Storeys $storeys, GivenSchedule $given): array
    {
        $sheets = $this->sheets($project, $given->file);
        $cells = $sheets[$given->sheet] ?? throw Refusal::because('given.sheet', 'The workbook has no such sheet.');

        return Reading::of($cells->rows, $given->header, $given->columns, $storeys)->lines;
    }

    /** @return array<string, mixed> */
    public function held(Project $project, Structure $structure, GivenSchedule $given): array
    {
        $design = $structure->with($structure->openings());
        $lines = $this->lines($project, $design->storeys, $given);
        $held = Held::against($lines, $design);
        $made = $fresh = $kinds = [];
        foreach ($design->types as $type) {
            $made[Marks::key($type->mark)] = true;
        }
        foreach ($lines as $line) {
            $key = Marks::key($line->mark);
            if ($line->mark !== '' && ! isset($made[$key]) && $line->width !== null && $line->height !== null) {
                $made[$key] = true;
                $fresh[] = [
                    'mark' => $line->mark,
                    'kind' => $line->kind,
                    'width' => $line->width,
                    'height' => $line->height,
                    'sill' => $line->sill,
                ];
                $kinds[$line->kind] = ($kinds[$line->kind] ?? 0) + 1;
            }
        }
        $units = $project->settings()->units;

        return [
            'found' => array_map(static fn (Discrepancy $d): array => $d->toArray(), $held['found']), 'right' => $held['right'],
            'lines' => $held['lines'],
            'unread' => self::unread($lines, $units), 'fresh' => $fresh, 'ready' => Kinds::all(),
            'kinds' => array_map(
                static fn (string $k, int $n): array => ['kind' => $k, 'count' => $n, 'like' => Kinds::like($k)],
                array_map(strval(...), array_keys($kinds)),
                array_values($kinds),
            ),
        ];
    }

    /**
     * @param  list<Line>  $lines
     * @return list<array{row: int, mark: string, sentence: string}>
     */
    private static function unread(array $lines, Units $units): array
    {
        $told = [];
        foreach ($lines as $line) {
            foreach ($line->problems as $problem) {
                $told[] = ['row' => $line->row, 'mark' => $line->mark, 'sentence' => Length::said($problem, $units)];
            }
        }

        return array_slice($told, 0, self::TOLD);
    }

    /** @return non-empty-list<Cells> */
    private function sheets(Project $project, string $file): array
    {
        $content = $this->files->get($project, $file);
        if ($content === null) {
            throw Refusal::because('file.unknown', 'That file is not here: read it in again.');
        }
        // also of projects from before what a file holds was looked at when it was named
        if ($this->files->content($project, $file) !== Content::Table) {
            throw Refusal::because('file.kind', 'That file holds no schedule: read the schedule in again.');
        }
        $sheets = json_decode($content, true, 16, JSON_THROW_ON_ERROR);
        if (! is_array($sheets) || $sheets === []) {
            throw Refusal::because('file.unknown', 'That file is not here: read it in again.');
        }

        return array_map(static function (mixed $s): Cells {
            /** @var array{name: string, rows: list<list<string|float|null>>, notes: list<string>} $s */
            return new Cells($s['name'], $s['rows'], $s['notes']);
        }, array_values($sheets));
    }

    /**
     * The sheet in which the most columns are recognised.
     *
     * @param  non-empty-list<Cells>  $sheets
     */
    private static function likeliest(array $sheets, Storeys $storeys): int
    {
        $best = [0, -1];
        foreach ($sheets as $i => $sheet) {
            $n = count(array_filter(Headings::find($sheet->rows, $storeys)[1], static fn (Column $c): bool => $c->role->value !== 'none'));
            if ($n > $best[1]) {
                $best = [$i, $n];
            }
        }

        return $best[0];
    }
}
