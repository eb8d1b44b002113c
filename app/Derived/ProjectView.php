<?php

declare(strict_types=1);

namespace App\Derived;

use App\Assembly\Assembly;
use App\Editing\History;
use App\Models\Project;
use App\Models\User;
use Isleward\Core\Building\Body;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Building\SetBack;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Kept;
use Isleward\Core\Design\Kinds;
use Isleward\Core\Design\Outline;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Drawing\Elevation;
use Isleward\Core\Layer\Field;
use Isleward\Core\Layer\FieldsOn;
use OpenApi\Attributes as OA;

/** The project's table of contents: settings, storeys with levels, walls, frontages, the rack, and what can be undone. */
#[OA\Schema(schema: 'Settings', description: 'A project’s settings', required: [
    'id',
    'name',
    'units',
    'cornerMargin',
    'baseLevel',
    'north',
    'nib',
    'module',
    'finishes',
    'unitRules',
    'slab',
    'setting',
    'jambs',
    'curtainRules',
    'layerRules',
], properties: [
    new OA\Property(property: 'curtainRules', ref: '#/components/schemas/CurtainRules'),
    new OA\Property(property: 'layerRules', ref: '#/components/schemas/LayerRules'),
    new OA\Property(
        property: 'jambs',
        type: 'string',
        enum: ['parallel', 'radial'],
        description: 'How openings are cut into curved walls that do not say it themselves',
    ),
    new OA\Property(property: 'slab', type: 'number', description: 'Thickness of slabs that are made'),
    new OA\Property(property: 'setting', type: 'number', description: 'How far a jamb may lie from its mark'),
    new OA\Property(property: 'finishes', type: 'array', items: new OA\Items(ref: '#/components/schemas/Finish')),
    new OA\Property(property: 'unitRules', ref: '#/components/schemas/UnitRules'),
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'units', type: 'string', enum: ['mm', 'm', 'ft-in']),
    new OA\Property(property: 'cornerMargin', type: 'number'),
    new OA\Property(property: 'baseLevel', type: 'number'),
    new OA\Property(property: 'north', type: 'number'),
    new OA\Property(property: 'nib', type: 'number'),
    new OA\Property(
        property: 'module',
        description: 'What masonry is coordinated to',
        anyOf: [new OA\Schema(ref: '#/components/schemas/Module'), new OA\Schema(type: 'null')],
    ),
])]
#[OA\Schema(schema: 'Finish', required: ['id', 'name', 'colour', 'sheen'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'colour', type: 'string', description: '#rrggbb'),
    new OA\Property(property: 'sheen', type: 'string', enum: ['matt', 'satin', 'gloss']),
])]
#[OA\Schema(schema: 'UnitRules', required: ['limits', 'doorClear', 'frameDensity', 'infillDensity'], properties: [
    new OA\Property(
        property: 'limits',
        type: 'object',
        description: 'Greatest leaf by operation: mm and kg',
        additionalProperties: new OA\AdditionalProperties(
            required: ['width', 'height', 'weight'],
            properties: [
                new OA\Property(property: 'width', type: 'number'),
                new OA\Property(property: 'height', type: 'number'),
                new OA\Property(property: 'weight', type: 'number'),
            ],
            type: 'object',
        ),
    ),
    new OA\Property(property: 'doorClear', type: 'number'),
    new OA\Property(property: 'frameDensity', type: 'number', description: 'kg/m³'),
    new OA\Property(property: 'infillDensity', type: 'number', description: 'kg/m³'),
])]
#[OA\Schema(schema: 'CurtainRules', required: ['sliver', 'weight', 'area', 'apart', 'bars', 'kerf', 'trim'], properties: [
    new OA\Property(property: 'sliver', type: 'number'),
    new OA\Property(property: 'weight', type: 'number', description: 'kg'),
    new OA\Property(property: 'area', type: 'number', description: 'mm²'),
    new OA\Property(property: 'apart', type: 'number'),
    new OA\Property(property: 'bars', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'kerf', type: 'number'),
    new OA\Property(property: 'trim', type: 'number'),
])]
#[OA\Schema(schema: 'LayerRules', required: ['covered', 'apart', 'short'], properties: [
    new OA\Property(property: 'covered', type: 'number', description: 'Share of an opening'),
    new OA\Property(property: 'apart', type: 'number'),
    new OA\Property(property: 'short', type: 'number'),
])]
#[OA\Schema(schema: 'Module', required: ['length', 'height', 'joint'], properties: [
    new OA\Property(property: 'length', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'joint', type: 'number'),
])]
#[OA\Schema(schema: 'Storey', required: ['id', 'name', 'position', 'height', 'floor', 'ceiling'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'position', type: 'integer'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'floor', type: 'number'),
    new OA\Property(property: 'ceiling', type: 'number'),
])]
#[OA\Schema(schema: 'Outline', required: ['id', 'name', 'position', 'closed', 'inner', 'slab'], properties: [
    new OA\Property(property: 'slab', type: 'number', nullable: true, description: 'Thickness of the slab it stands on'),
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'position', type: 'integer'),
    new OA\Property(property: 'closed', type: 'boolean'),
    new OA\Property(property: 'inner', type: 'boolean'),
])]
#[OA\Schema(schema: 'Wall', required: [
    'id',
    'outline',
    'position',
    'fromX',
    'fromY',
    'toX',
    'toY',
    'rise',
    'keeps',
    'arc',
    'thickness',
    'base',
    'top',
    'length',
    'start',
    'end',
    'innerStart',
    'innerEnd',
    'foot',
    'head',
    'leftJoint',
    'rightJoint',
    'curtain',
    'ring',
    'headEdge',
    'footEdge',
], properties: [
    new OA\Property(
        property: 'ring',
        type: 'array',
        nullable: true,
        description: 'Where its head or foot is not level: its outer face, u and level in twos; foot and head are its outermost levels',
        items: new OA\Items(type: 'number'),
    ),
    new OA\Property(
        property: 'headEdge',
        description: 'Null where it is level',
        anyOf: [new OA\Schema(ref: '#/components/schemas/WallEdge'), new OA\Schema(type: 'null')],
    ),
    new OA\Property(
        property: 'footEdge',
        description: 'Null where it is level',
        anyOf: [new OA\Schema(ref: '#/components/schemas/WallEdge'), new OA\Schema(type: 'null')],
    ),
    new OA\Property(
        property: 'curtain',
        description: 'Where it is curtain wall',
        anyOf: [new OA\Schema(ref: '#/components/schemas/Curtain'), new OA\Schema(type: 'null')],
    ),
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'outline', type: 'string'),
    new OA\Property(property: 'position', type: 'integer'),
    new OA\Property(property: 'fromX', type: 'number'),
    new OA\Property(property: 'fromY', type: 'number'),
    new OA\Property(property: 'toX', type: 'number'),
    new OA\Property(property: 'toY', type: 'number'),
    new OA\Property(property: 'rise', type: 'number', description: 'Of an arc over its chord, outward; 0 when straight'),
    new OA\Property(
        property: 'keeps',
        type: 'string',
        enum: ['rise', 'radius', 'angle', 'length'],
        description: 'What of an arc stays when an end of it moves',
    ),
    new OA\Property(
        property: 'arc',
        description: 'Its outer face in plan, when that is curved',
        anyOf: [new OA\Schema(ref: '#/components/schemas/Arc'), new OA\Schema(type: 'null')],
    ),
    new OA\Property(property: 'thickness', type: 'number'),
    new OA\Property(property: 'base', type: 'string'),
    new OA\Property(property: 'top', type: 'string'),
    new OA\Property(property: 'length', type: 'number'),
    new OA\Property(
        property: 'start',
        type: 'number',
        description: 'From where it is measured from its left end: 0, or where an inner wall stands clear',
    ),
    new OA\Property(property: 'end', type: 'number'),
    new OA\Property(property: 'innerStart', type: 'number', description: 'The same of its inner face'),
    new OA\Property(property: 'innerEnd', type: 'number'),
    new OA\Property(property: 'foot', type: 'number'),
    new OA\Property(property: 'head', type: 'number'),
    new OA\Property(property: 'leftJoint', type: 'string'),
    new OA\Property(property: 'rightJoint', type: 'string'),
])]
#[OA\Schema(
    schema: 'WallEdge',
    type: 'object',
    description: 'What the head or the foot of a wall follows: a roof, or levels by figures',
    properties: [
        new OA\Property(property: 'roof', type: 'string'),
        new OA\Property(property: 'points', type: 'array', items: new OA\Items(required: ['along', 'over'], properties: [
            new OA\Property(property: 'along', type: 'number', description: 'From the wall’s left end'),
            new OA\Property(property: 'over', type: 'number', description: 'Over the level it would have'),
        ], type: 'object')),
    ],
)]
#[OA\Schema(schema: 'Arc', required: ['x', 'y', 'radius', 'start', 'turn', 'chord', 'centreLine', 'innerFace'], properties: [
    new OA\Property(property: 'x', type: 'number', description: 'Of its centre'),
    new OA\Property(property: 'y', type: 'number'),
    new OA\Property(property: 'radius', type: 'number', description: 'Positive where it bulges outward'),
    new OA\Property(property: 'start', type: 'number', description: 'Angle of its left end from the centre, radians from +x'),
    new OA\Property(property: 'turn', type: 'number', description: 'From there to its right end, radians counter-clockwise'),
    new OA\Property(property: 'chord', type: 'number'),
    new OA\Property(property: 'centreLine', type: 'number', description: 'Its length along the middle of the wall'),
    new OA\Property(property: 'innerFace', type: 'number', description: 'Its length along the inner face, between the walls it meets'),
])]
#[OA\Schema(schema: 'Frontage', required: [
    'id',
    'name',
    'outline',
    'bearing',
    'bearings',
    'facing',
    'width',
    'foot',
    'head',
    'offset',
    'folds',
    'walls',
    'inner',
    'setBack',
], properties: [
    new OA\Property(
        property: 'setBack',
        nullable: true,
        description: 'Behind one of the same outline that faces the same way and stands out farthest; null where it is that one',
        type: 'object',
        required: ['behind', 'by'],
        properties: [
            new OA\Property(property: 'behind', type: 'string', description: 'Its name'),
            new OA\Property(property: 'by', type: 'number', description: 'mm'),
        ],
    ),
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'outline', type: 'string'),
    new OA\Property(property: 'bearing', type: 'number', description: 'Of a curved one at its middle'),
    new OA\Property(
        property: 'bearings',
        type: 'array',
        nullable: true,
        description: 'Of a curved one at its left and right end',
        items: new OA\Items(type: 'number'),
    ),
    new OA\Property(property: 'facing', type: 'string', description: 'The eighth of the compass: North, North-east …'),
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'foot', type: 'number'),
    new OA\Property(property: 'head', type: 'number'),
    new OA\Property(property: 'offset', type: 'number', description: 'Where it begins in the developed elevation'),
    new OA\Property(property: 'folds', type: 'boolean'),
    new OA\Property(property: 'inner', type: 'boolean'),
    new OA\Property(
        property: 'walls',
        type: 'object',
        additionalProperties: new OA\AdditionalProperties(type: 'number'),
        description: 'wall → u of its left end',
    ),
])]
#[OA\Schema(schema: 'RackType', required: ['id', 'mark', 'name', 'width', 'height', 'sill', 'door', 'words', 'hash'], properties: [
    new OA\Property(property: 'door', type: 'boolean'),
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'mark', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'sill', type: 'number'),
    new OA\Property(
        property: 'words',
        type: 'array',
        description: 'Operations, finishes and so on that it is found by',
        items: new OA\Items(type: 'string'),
    ),
    new OA\Property(property: 'hash', type: 'string', description: 'Equal for equal makes'),
])]
#[OA\Schema(schema: 'Project', required: [
    'settings',
    'role',
    'number',
    'changes',
    'undo',
    'redo',
    'storeys',
    'outlines',
    'walls',
    'frontages',
    'sets',
    'givens',
    'layouts',
    'sections',
    'sheets',
    'tracings',
    'pictures',
    'types',
    'grids',
    'bands',
    'floorBands',
    'roofs',
    'fields',
    'screens',
    'runs',
], properties: [
    new OA\Property(property: 'bands', type: 'array', items: new OA\Items(ref: '#/components/schemas/Band')),
    new OA\Property(property: 'screens', type: 'array', items: new OA\Items(ref: '#/components/schemas/Screen')),
    new OA\Property(property: 'fields', type: 'array', items: new OA\Items(ref: '#/components/schemas/Field')),
    new OA\Property(property: 'floorBands', type: 'array', items: new OA\Items(ref: '#/components/schemas/FloorBand')),
    new OA\Property(property: 'roofs', type: 'array', items: new OA\Items(ref: '#/components/schemas/Roof')),
    new OA\Property(property: 'grids', type: 'array', items: new OA\Items(ref: '#/components/schemas/RackGrid')),
    new OA\Property(property: 'runs', type: 'array', items: new OA\Items(ref: '#/components/schemas/RunPlace')),
    new OA\Property(property: 'settings', ref: '#/components/schemas/Settings'),
    new OA\Property(property: 'role', type: 'string', enum: ['owner', 'editor', 'viewer']),
    new OA\Property(property: 'changes', type: 'integer', description: 'Those that stand: what was undone is none'),
    new OA\Property(property: 'number', type: 'integer', description: 'Number of the latest change'),
    new OA\Property(property: 'undo', type: 'string', nullable: true),
    new OA\Property(property: 'redo', type: 'string', nullable: true),
    new OA\Property(property: 'storeys', type: 'array', items: new OA\Items(ref: '#/components/schemas/Storey')),
    new OA\Property(property: 'outlines', type: 'array', items: new OA\Items(ref: '#/components/schemas/Outline')),
    new OA\Property(property: 'walls', type: 'array', items: new OA\Items(ref: '#/components/schemas/Wall')),
    new OA\Property(property: 'frontages', type: 'array', items: new OA\Items(ref: '#/components/schemas/Frontage')),
    new OA\Property(property: 'sets', type: 'array', items: new OA\Items(ref: '#/components/schemas/NamedSet')),
    new OA\Property(property: 'givens', type: 'array', items: new OA\Items(ref: '#/components/schemas/GivenSchedule')),
    new OA\Property(property: 'layouts', type: 'array', items: new OA\Items(ref: '#/components/schemas/Layout')),
    new OA\Property(property: 'sections', type: 'array', items: new OA\Items(ref: '#/components/schemas/SectionLine')),
    new OA\Property(property: 'sheets', type: 'array', items: new OA\Items(ref: '#/components/schemas/SheetPlan')),
    new OA\Property(property: 'tracings', type: 'array', items: new OA\Items(ref: '#/components/schemas/Tracing')),
    new OA\Property(property: 'pictures', type: 'array', items: new OA\Items(ref: '#/components/schemas/Picture')),
    new OA\Property(property: 'types', type: 'array', items: new OA\Items(ref: '#/components/schemas/RackType')),
])]
#[OA\Schema(schema: 'NamedSet', required: ['id', 'name', 'members', 'parts'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'members', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(
        property: 'parts',
        description: 'Cells and members of curtain walls: “cell 2 1”, “upright 2 1”, “level 1 2”, by the lines they stand between',
        type: 'array',
        items: new OA\Items(required: ['element', 'part'], type: 'object', properties: [
            new OA\Property(property: 'element', type: 'string'), new OA\Property(property: 'part', type: 'string'),
        ]),
    ),
])]
final readonly class ProjectView
{
    public function __construct(private History $history, private Assembly $assembly)
    {
    }

    /**
     * JSON. What is the same for everybody is kept under the latest change's number and taken without reading a row for it; what is one
     * person's is read each time.
     */
    public function of(Project $project, User $user): string
    {
        $own = [
            'role' => $project->roleOf($user)?->value,
            'number' => $project->change_number, 'changes' => $project->standing,
            'undo' => $this->history->undoable($project, $user)?->summary,
            'redo' => $this->history->redoable($project, $user)?->summary,
        ];
        $shared = Worked::out(
            Worked::since($project, 'project'),
            fn (): string => self::json(self::shared($project, new Structure($this->assembly, $project))),
        );

        return substr(self::json($own), 0, -1).','.substr($shared, 1);
    }

    /** @param  array<string, mixed>  $what */
    private static function json(array $what): string
    {
        return json_encode($what, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    /** @return array<string, mixed> */
    private static function shared(Project $project, Structure $structure): array
    {
        $design = $structure->design();
        $frontages = $structure->frontages();
        $rows = [];
        foreach ([false, true] as $inner) {
            $group = array_values(array_filter($frontages, static fn (Frontage $f): bool => $f->inner === $inner));
            foreach (Elevation::offsets($group) as $i => $offset) {
                $f = $group[$i];
                $back = SetBack::of($f, $group);
                $rows[] = [
                    'id' => $f->id, 'name' => $f->name, 'outline' => $f->outline, 'bearing' => round($f->bearing, 2),
                    'bearings' => $f->bearings === null ? null : array_map(static fn (float $b): float => round($b, 2), $f->bearings),
                    'facing' => $f->facing(), 'width' => $f->width,
                    'foot' => $f->foot, 'head' => $f->head, 'offset' => $offset, 'folds' => $f->folds, 'walls' => $f->walls,
                    'inner' => $inner, 'setBack' => $back === null ? null : ['behind' => $back->behind->name, 'by' => $back->by],
                ];
            }
        }

        return [
            'settings' => $design->settings->toArray(),
            'storeys' => array_map(
                static fn ($s): array => [
                    ...$s->toArray(),
                    'floor' => $design->storeys->floor($s->id),
                    'ceiling' => $design->storeys->ceiling($s->id),
                ],
                $design->storeys->all,
            ),
            'outlines' => array_values(array_map(static fn (Outline $o): array => $o->toArray(), $design->outlines)),
            'walls' => array_map(
                static fn ($b): array => [
                    ...array_diff_key($b->host->toArray(), ['curtain' => 0]), 'headEdge' => $b->host->head()?->toArray(),
                    'footEdge' => $b->host->foot()?->toArray(), 'curtain' => self::curtain($b), 'arc' => self::arc($b),
                    'length' => $b->length, 'start' => $b->start(), 'end' => $b->end(),
                    'innerStart' => $b->left->inner, 'innerEnd' => $b->right->inner,
                    'foot' => $b->foot, 'head' => $b->head, 'ring' => $b->isLevel() ? null : self::ring($b),
                    'leftJoint' => $b->left->joint->value,
                    'rightJoint' => $b->right->joint->value], self::inOrder($design, $structure->bodies())),
            'frontages' => $rows,
            ...self::kept($structure),
            'types' => self::types($design, array_values($design->types)),
            'grids' => GridsView::of($project, $design),
            'runs' => GridsView::runs($design),
            'bands' => BandsView::all($design),
            'floorBands' => FloorBandView::all($design),
            'roofs' => RoofView::all($design),
            'screens' => ScreenView::all($design),
            'fields' => array_map(static fn (Field $f): array => $f->toArray(), FieldsOn::in($design)->all()),
        ];
    }

    /** @return array<string, list<array<string, mixed>>> */
    private static function kept(Structure $structure): array
    {
        $all = [];
        foreach (Kinds::kept() as $kind) {
            $all[$kind->value.'s'] = array_map(static fn (Kept $k): array => $k->toArray(), $structure->keptOf($kind));
        }

        return $all;
    }

    /** @return list<float> */
    private static function ring(Body $body): array
    {
        return array_map(static fn (float $c): float => round($c, 2), $body->face()->rings[0] ?? []);
    }

    /** @return array<string, mixed>|null without what was changed by hand, which comes with its elevation */
    private static function curtain(Body $body): ?array
    {
        $curtain = $body->host->curtain()?->toArray();

        return $curtain === null ? null : array_diff_key($curtain, ['byHand' => 0]);
    }

    /** @return array<string, float>|null */
    private static function arc(Body $body): ?array
    {
        [$surface, $thickness] = [$body->surface, $body->host->depth()];
        $foot = $surface->foot;

        return $surface->isFlat() ? null : [
            'x' => $foot->cx, 'y' => $foot->cy, 'radius' => $surface->radius(), 'start' => $foot->start, 'turn' => $foot->sweep,
            'chord' => $foot->start()->distanceTo($foot->end()),
            'centreLine' => $surface->lengthAt(0.0, $body->length, $thickness / 2),
            'innerFace' => $surface->lengthAt($body->left->inner, $body->right->inner, $thickness),
        ];
    }

    /**
     * @param  array<string, Body>  $bodies
     * @return list<Body> outline by outline, each in the order of its chain
     */
    private static function inOrder(Design $design, array $bodies): array
    {
        $place = static fn (Body $b): array => [$design->outlines[$b->host->outline()]->position, $b->host->position()];
        $ordered = array_values($bodies);
        usort($ordered, static fn (Body $a, Body $b): int => $place($a) <=> $place($b));

        return $ordered;
    }

    /**
     * @param  list<UnitType>  $types
     * @return list<array<string, mixed>> what the rack finds them by; their drawings are asked for when they come into view
     */
    private static function types(Design $design, array $types): array
    {
        usort($types, static fn (UnitType $a, UnitType $b): int => $a->position <=> $b->position);

        return array_map(static function (UnitType $t) use ($design): array {
            $words = [];
            foreach ($t->tree()->lights() as $light) {
                $isSolid = $light->glazing->solid && ! $light->operation->moves();
                $words += array_fill_keys($isSolid ? ['solid infill'] : [
                    $light->operation->label(), ...$light->operation->alsoCalled(),
                ], true);
                if ($light->bars !== null) {
                    $words['bars'] = true;
                }
            }
            foreach ($t->tree()->finishes as $finish) {
                $words[mb_strtolower($design->settings->finish($finish)->name ?? $finish)] = true;
            }
            $outline = $t->tree()->outline;
            if ($t->shaped) {
                $words[$outline->form->value ?? $outline->kind->value] = true;
            }

            return [
                'id' => $t->id, 'mark' => $t->mark, 'name' => $t->name, 'width' => $t->width, 'height' => $t->height, 'sill' => $t->sill,
                'door' => $t->hasDoor, 'words' => array_keys($words), 'hash' => substr($t->treeHash, 0, 12)];
        }, $types);
    }
}
