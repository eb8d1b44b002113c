<?php

declare(strict_types=1);

namespace App\Http\Api;

use OpenApi\Attributes as OA;

/** The parts of the API's description that belong to no one route. */
#[OA\OpenApi(openapi: '3.1.0')]
#[OA\Info(
    version: '1',
    title: 'Isleward',
    description: 'Lengths are numbers in mm, or in an edit’s arguments also texts in people’s units ("1200+150", "5\' 6 1/2\"", "1.2 m"). Angles in API figures are degrees. Problems are application/problem+json with a code.',
)]
#[OA\Server(url: '/api')]
#[OA\Schema(schema: 'Problem', required: ['title', 'status', 'code'], properties: [
    new OA\Property(property: 'type', type: 'string'),
    new OA\Property(property: 'title', type: 'string', description: 'A sentence for people'),
    new OA\Property(property: 'status', type: 'integer'),
    new OA\Property(property: 'code', type: 'string'),
    new OA\Property(property: 'elements', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'details', type: 'object', additionalProperties: true),
    new OA\Property(property: 'fields', type: 'object', additionalProperties: true),
])]
#[OA\Schema(schema: 'User', required: ['name', 'email', 'guest'], properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'email', type: 'string'),
    new OA\Property(property: 'guest', type: 'boolean', description: 'By a read-only link'),
])]
#[OA\Schema(schema: 'ProjectLine', required: ['id', 'name', 'role', 'updatedAt', 'openings', 'storeys'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'role', type: 'string', enum: ['owner', 'editor', 'viewer']),
    new OA\Property(property: 'updatedAt', type: 'string', format: 'date-time'),
    new OA\Property(property: 'openings', type: 'integer'),
    new OA\Property(property: 'storeys', type: 'integer'),
])]
#[OA\Schema(schema: 'Settings', required: [
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
], properties: [
    new OA\Property(property: 'slab', type: 'number', description: 'Thickness of floors where they are cut'),
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
#[OA\Schema(schema: 'Outline', required: ['id', 'name', 'position', 'closed', 'inner'], properties: [
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
], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'outline', type: 'string'),
    new OA\Property(property: 'position', type: 'integer'),
    new OA\Property(property: 'fromX', type: 'number'),
    new OA\Property(property: 'fromY', type: 'number'),
    new OA\Property(property: 'toX', type: 'number'),
    new OA\Property(property: 'toY', type: 'number'),
    new OA\Property(property: 'rise', type: 'number'),
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
#[OA\Schema(schema: 'Frontage', required: [
    'id',
    'name',
    'outline',
    'bearing',
    'facing',
    'width',
    'foot',
    'head',
    'offset',
    'folds',
    'walls',
    'inner',
], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'outline', type: 'string'),
    new OA\Property(property: 'bearing', type: 'number'),
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
#[OA\Schema(schema: 'Shape', required: ['layer', 'kind', 'rings'], properties: [
    new OA\Property(property: 'layer', type: 'string'),
    new OA\Property(property: 'kind', type: 'string', enum: ['area', 'line', 'arc', 'text']),
    new OA\Property(property: 'rings', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))),
    new OA\Property(property: 'dashed', type: 'boolean'),
    new OA\Property(property: 'text', type: 'string'),
    new OA\Property(
        property: 'curves',
        type: 'array',
        description: 'By ring: sides that are curves, [number of the point it begins at, centre x, centre y, half axis x, half axis y, start, sweep, and for an ellipse that is turned by how much]',
        items: new OA\Items(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))),
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
#[OA\Schema(schema: 'UnitTypeValues', required: ['mark', 'name', 'width', 'height', 'sill', 'tree'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'mark', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'sill', type: 'number'),
    new OA\Property(property: 'tree', type: 'object', additionalProperties: true),
])]
#[OA\Schema(schema: 'BenchDimension', required: [
    'side',
    'row',
    'axis',
    'from',
    'to',
    'value',
    'kind',
    'typed',
    'step',
    'args',
    'field',
    'label',
], properties: [
    new OA\Property(property: 'side', type: 'string', enum: ['below', 'above', 'left', 'right', 'slope']),
    new OA\Property(property: 'row', type: 'integer', description: 'Counted from the unit outward'),
    new OA\Property(property: 'axis', type: 'string', enum: ['x', 'y', 'angle']),
    new OA\Property(property: 'from', type: 'number'),
    new OA\Property(property: 'to', type: 'number'),
    new OA\Property(property: 'value', type: 'number', description: 'mm, or degrees of an angle'),
    new OA\Property(property: 'kind', type: 'string', enum: ['part', 'between', 'overall', 'rise', 'angle']),
    new OA\Property(property: 'typed', type: 'boolean', description: 'Typed rather than what is left'),
    new OA\Property(property: 'step', type: 'string'),
    new OA\Property(property: 'args', type: 'object', additionalProperties: true),
    new OA\Property(property: 'field', type: 'string', description: 'The argument that the figure is'),
    new OA\Property(property: 'label', type: 'string'),
    new OA\Property(property: 'path', type: 'string', description: 'Of the division it measures'),
    new OA\Property(property: 'at', type: 'number'),
])]
#[OA\Schema(schema: 'BenchLight', required: [
    'path',
    'operation',
    'label',
    'ring',
    'box',
    'area',
    'values',
    'leaves',
    'free',
    'louvre',
], properties: [
    new OA\Property(property: 'path', type: 'string'),
    new OA\Property(property: 'operation', type: 'string'),
    new OA\Property(property: 'label', type: 'string'),
    new OA\Property(property: 'ring', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'box', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'area', type: 'number'),
    new OA\Property(property: 'values', type: 'object', additionalProperties: true),
    new OA\Property(
        property: 'leaves',
        type: 'array',
        items: new OA\Items(
            required: ['width', 'height', 'weight'],
            properties: [
                new OA\Property(property: 'width', type: 'number'),
                new OA\Property(property: 'height', type: 'number'),
                new OA\Property(property: 'weight', type: 'number'),
            ],
        ),
    ),
    new OA\Property(
        property: 'free',
        required: ['width', 'height', 'area', 'air'],
        properties: [
            new OA\Property(property: 'width', type: 'number'),
            new OA\Property(property: 'height', type: 'number'),
            new OA\Property(property: 'area', type: 'number'),
            new OA\Property(property: 'air', type: 'number'),
        ],
        type: 'object',
    ),
    new OA\Property(
        property: 'louvre',
        required: ['count', 'pitch', 'gap', 'end', 'length', 'free'],
        properties: [
            new OA\Property(property: 'count', type: 'integer'),
            new OA\Property(property: 'pitch', type: 'number'),
            new OA\Property(property: 'gap', type: 'number'),
            new OA\Property(property: 'end', type: 'number'),
            new OA\Property(property: 'length', type: 'number'),
            new OA\Property(property: 'free', type: 'number'),
        ],
        type: 'object',
        nullable: true,
    ),
])]
#[OA\Schema(schema: 'BenchDivider', required: ['path', 'index', 'axis', 'at', 'face', 'from', 'to', 'least', 'most'], properties: [
    new OA\Property(property: 'path', type: 'string'),
    new OA\Property(property: 'index', type: 'integer'),
    new OA\Property(property: 'axis', type: 'string', enum: ['x', 'y']),
    new OA\Property(property: 'at', type: 'number'),
    new OA\Property(property: 'face', type: 'number'),
    new OA\Property(property: 'from', type: 'number'),
    new OA\Property(property: 'to', type: 'number'),
    new OA\Property(property: 'least', type: 'number'),
    new OA\Property(property: 'most', type: 'number'),
])]
#[OA\Schema(schema: 'BenchFigures', required: ['area', 'glass', 'frameShare', 'weight', 'free', 'clear', 'louvre'], properties: [
    new OA\Property(property: 'area', type: 'number', description: 'mm²'),
    new OA\Property(property: 'glass', type: 'number'),
    new OA\Property(property: 'frameShare', type: 'number'),
    new OA\Property(
        property: 'weight',
        required: ['glass', 'infill', 'frame', 'total'],
        properties: [
            new OA\Property(property: 'glass', type: 'number'),
            new OA\Property(property: 'infill', type: 'number'),
            new OA\Property(property: 'frame', type: 'number'),
            new OA\Property(property: 'total', type: 'number'),
        ],
        type: 'object',
    ),
    new OA\Property(property: 'free', type: 'number', description: 'Clear opening of all lights, wholly open, mm²'),
    new OA\Property(
        property: 'clear',
        required: ['width', 'height'],
        properties: [new OA\Property(property: 'width', type: 'number'), new OA\Property(property: 'height', type: 'number')],
        type: 'object',
    ),
    new OA\Property(property: 'louvre', type: 'number', description: 'Free area of louvres, mm²'),
])]
#[OA\Schema(schema: 'BenchView', required: [
    'width',
    'height',
    'tree',
    'elevation',
    'plan',
    'section',
    'cuts',
    'depth',
    'dimensions',
    'lights',
    'dividers',
    'figures',
    'doubts',
    'members',
    'panes',
    'hardware',
], properties: [
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'tree', type: 'object', additionalProperties: true),
    new OA\Property(property: 'elevation', type: 'array', items: new OA\Items(ref: '#/components/schemas/Shape')),
    new OA\Property(property: 'plan', type: 'array', items: new OA\Items(ref: '#/components/schemas/Shape')),
    new OA\Property(property: 'section', type: 'array', items: new OA\Items(ref: '#/components/schemas/Shape')),
    new OA\Property(
        property: 'cuts',
        required: ['x', 'y'],
        properties: [new OA\Property(property: 'x', type: 'number'), new OA\Property(property: 'y', type: 'number')],
        type: 'object',
    ),
    new OA\Property(property: 'depth', type: 'number'),
    new OA\Property(property: 'dimensions', type: 'array', items: new OA\Items(ref: '#/components/schemas/BenchDimension')),
    new OA\Property(property: 'lights', type: 'array', items: new OA\Items(ref: '#/components/schemas/BenchLight')),
    new OA\Property(property: 'dividers', type: 'array', items: new OA\Items(ref: '#/components/schemas/BenchDivider')),
    new OA\Property(property: 'figures', ref: '#/components/schemas/BenchFigures'),
    new OA\Property(
        property: 'doubts',
        type: 'array',
        items: new OA\Items(
            required: ['rule', 'path', 'figure', 'what'],
            properties: [
                new OA\Property(property: 'rule', type: 'string'),
                new OA\Property(property: 'path', type: 'string'),
                new OA\Property(property: 'figure', type: 'number'),
                new OA\Property(property: 'what', type: 'string'),
            ],
        ),
    ),
    new OA\Property(
        property: 'members',
        type: 'array',
        items: new OA\Items(
            required: ['what', 'part', 'face', 'depth', 'length', 'ends', 'radius', 'count'],
            properties: [
                new OA\Property(property: 'what', type: 'string'),
                new OA\Property(property: 'part', type: 'string'),
                new OA\Property(property: 'face', type: 'number'),
                new OA\Property(property: 'depth', type: 'number'),
                new OA\Property(property: 'length', type: 'number'),
                new OA\Property(property: 'ends', type: 'array', items: new OA\Items(type: 'number')),
                new OA\Property(property: 'radius', type: 'number', nullable: true),
                new OA\Property(property: 'count', type: 'integer'),
            ],
        ),
    ),
    new OA\Property(
        property: 'panes',
        type: 'array',
        items: new OA\Items(
            required: ['glass', 'width', 'height', 'rectangular', 'area', 'perimeter', 'weight', 'count'],
            properties: [
                new OA\Property(property: 'glass', type: 'string'),
                new OA\Property(property: 'width', type: 'number'),
                new OA\Property(property: 'height', type: 'number'),
                new OA\Property(property: 'rectangular', type: 'boolean'),
                new OA\Property(property: 'area', type: 'number'),
                new OA\Property(property: 'perimeter', type: 'number'),
                new OA\Property(property: 'weight', type: 'number'),
                new OA\Property(property: 'count', type: 'integer'),
            ],
        ),
    ),
    new OA\Property(property: 'hardware', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer')),
])]
#[OA\Schema(schema: 'Project', required: [
    'settings',
    'role',
    'number',
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
], properties: [
    new OA\Property(property: 'settings', ref: '#/components/schemas/Settings'),
    new OA\Property(property: 'role', type: 'string', enum: ['owner', 'editor', 'viewer']),
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
#[OA\Schema(schema: 'NamedSet', required: ['id', 'name', 'members'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'members', type: 'array', items: new OA\Items(type: 'string')),
])]
#[OA\Schema(schema: 'Position', required: ['from', 'value', 'ref', 'point', 'at', 'face', 'to'], properties: [
    new OA\Property(property: 'from', type: 'string', enum: ['left', 'right', 'middle', 'fraction', 'point', 'line', 'opening']),
    new OA\Property(property: 'value', type: 'number'),
    new OA\Property(property: 'ref', type: 'string', nullable: true),
    new OA\Property(property: 'point', type: 'string', enum: ['left', 'centre', 'right']),
    new OA\Property(property: 'at', type: 'number'),
    new OA\Property(property: 'face', type: 'string', enum: ['outer', 'inner']),
    new OA\Property(property: 'to', type: 'string', enum: ['near', 'far', 'centre']),
])]
#[OA\Schema(schema: 'Sill', required: ['from', 'height', 'ref', 'point', 'edge'], properties: [
    new OA\Property(property: 'from', type: 'string', enum: ['floor', 'foot', 'datum', 'line', 'opening']),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'ref', type: 'string', nullable: true),
    new OA\Property(property: 'point', type: 'string', enum: ['sill', 'head']),
    new OA\Property(property: 'edge', type: 'string', enum: ['sill', 'head']),
])]
#[OA\Schema(schema: 'SettingOutLine', required: ['id', 'name', 'wall', 'storey', 'axis', 'rule', 'u', 'levels', 'hangs'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'wall', type: 'string'),
    new OA\Property(property: 'storey', type: 'string', nullable: true),
    new OA\Property(property: 'axis', type: 'string', enum: ['upright', 'level']),
    new OA\Property(
        property: 'rule',
        type: 'object',
        additionalProperties: true,
        description: 'As a position when upright, as a sill when level',
    ),
    new OA\Property(property: 'u', type: 'number', nullable: true, description: 'On the frontage, when upright'),
    new OA\Property(property: 'levels', type: 'array', items: new OA\Items(required: ['storey', 'level'], properties: [
        new OA\Property(property: 'storey', type: 'string', nullable: true),
        new OA\Property(property: 'level', type: 'number'),
    ], type: 'object')),
    new OA\Property(property: 'hangs', type: 'integer', description: 'How many things are placed from it'),
])]
#[OA\Schema(schema: 'Coordinated', required: ['width', 'height', 'fromLeft', 'fromRight'], properties: [
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'fromLeft', type: 'number'),
    new OA\Property(property: 'fromRight', type: 'number'),
])]
#[OA\Schema(schema: 'PlacedOpening', required: [
    'id',
    'wall',
    'storey',
    'type',
    'width',
    'height',
    'shape',
    'position',
    'sill',
    'facesOut',
    'mirrored',
    'setback',
    'ajar',
    'mark',
    'label',
    'symbol',
    'u',
    'left',
    'fromLeft',
    'fromRight',
    'sillLevel',
    'headLevel',
    'area',
    'coordinated',
], properties: [
    new OA\Property(property: 'area', type: 'number', description: 'What it takes out of the wall, mm²'),
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'wall', type: 'string'),
    new OA\Property(property: 'storey', type: 'string'),
    new OA\Property(property: 'type', type: 'string', nullable: true),
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'shape', type: 'array', nullable: true, items: new OA\Items(type: 'number')),
    new OA\Property(property: 'position', ref: '#/components/schemas/Position'),
    new OA\Property(property: 'sill', ref: '#/components/schemas/Sill'),
    new OA\Property(property: 'facesOut', type: 'boolean'),
    new OA\Property(property: 'mirrored', type: 'boolean'),
    new OA\Property(property: 'setback', type: 'number'),
    new OA\Property(property: 'ajar', type: 'number', nullable: true, description: 'How far it is shown open, 0 to 1; null as its type is'),
    new OA\Property(property: 'mark', type: 'string', nullable: true, description: 'Of its own'),
    new OA\Property(property: 'label', type: 'string'),
    new OA\Property(property: 'symbol', type: 'string'),
    new OA\Property(property: 'u', type: 'number', description: 'Left jamb on the frontage'),
    new OA\Property(property: 'left', type: 'number', description: 'Left jamb from the wall’s left end'),
    new OA\Property(property: 'fromLeft', type: 'number', description: 'Left jamb from where the wall is measured from'),
    new OA\Property(property: 'fromRight', type: 'number', description: 'Right jamb from where it is measured to'),
    new OA\Property(
        property: 'coordinated',
        description: 'Nearest figures of the project’s masonry',
        anyOf: [new OA\Schema(ref: '#/components/schemas/Coordinated'), new OA\Schema(type: 'null')],
    ),
    new OA\Property(property: 'sillLevel', type: 'number'),
    new OA\Property(property: 'headLevel', type: 'number'),
])]
#[OA\Schema(schema: 'Remedy', required: ['label', 'edit', 'args'], properties: [
    new OA\Property(property: 'label', type: 'string'),
    new OA\Property(property: 'edit', type: 'string'),
    new OA\Property(property: 'args', type: 'object', additionalProperties: true),
])]
#[OA\Schema(schema: 'Finding', required: ['key', 'rule', 'wall', 'elements', 'figure', 'sentence', 'at', 'remedy'], properties: [
    new OA\Property(property: 'key', type: 'string', description: 'What it is about'),
    new OA\Property(property: 'rule', type: 'string'),
    new OA\Property(property: 'wall', type: 'string'),
    new OA\Property(property: 'elements', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'figure', type: 'number'),
    new OA\Property(property: 'sentence', type: 'string'),
    new OA\Property(property: 'at', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'remedy', anyOf: [new OA\Schema(ref: '#/components/schemas/Remedy'), new OA\Schema(type: 'null')]),
    new OA\Property(
        property: 'accepted',
        description: 'Accepted, with a reason',
        anyOf: [
            new OA\Schema(
                required: ['id', 'note'],
                properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'note', type: 'string')],
                type: 'object',
            ),
            new OA\Schema(type: 'null'),
        ],
    ),
])]
#[OA\Schema(schema: 'Placement', required: ['symbol', 'x', 'y', 'element'], properties: [
    new OA\Property(property: 'symbol', type: 'string'),
    new OA\Property(property: 'x', type: 'number'),
    new OA\Property(property: 'y', type: 'number'),
    new OA\Property(property: 'element', type: 'string'),
])]
#[OA\Schema(schema: 'Drawing', required: ['title', 'bounds', 'shapes', 'symbols', 'placements'], properties: [
    new OA\Property(property: 'title', type: 'string'),
    new OA\Property(property: 'bounds', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'shapes', type: 'array', items: new OA\Items(ref: '#/components/schemas/Shape')),
    new OA\Property(
        property: 'symbols',
        type: 'object',
        additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(ref: '#/components/schemas/Shape')),
    ),
    new OA\Property(property: 'placements', type: 'array', items: new OA\Items(ref: '#/components/schemas/Placement')),
])]
#[OA\Schema(schema: 'Catch', required: ['at', 'name', 'kind', 'element', 'side'], properties: [
    new OA\Property(property: 'at', type: 'number'),
    new OA\Property(property: 'name', description: 'For people; nothing is decided by it', type: 'string'),
    new OA\Property(
        property: 'kind',
        type: 'string',
        enum: ['end', 'middle', 'face', 'nib', 'margin', 'jamb', 'centre', 'sill', 'head', 'line'],
    ),
    new OA\Property(
        property: 'element',
        description: 'The opening, wall or setting-out line it belongs to',
        type: 'string',
        nullable: true,
    ),
    new OA\Property(
        property: 'side',
        type: 'string',
        description: 'Of what it belongs to, as seen from outside: left or right',
        nullable: true,
    ),
])]
#[OA\Schema(schema: 'Catches', required: ['upright', 'level'], properties: [
    new OA\Property(property: 'upright', type: 'array', items: new OA\Items(ref: '#/components/schemas/Catch')),
    new OA\Property(property: 'level', type: 'array', items: new OA\Items(ref: '#/components/schemas/Catch')),
])]
#[OA\Schema(schema: 'UnitFigures', required: ['glass', 'frameShare', 'door', 'operations'], properties: [
    new OA\Property(property: 'operations', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'glass', type: 'number', description: 'mm²'),
    new OA\Property(property: 'frameShare', type: 'number'),
    new OA\Property(property: 'door', type: 'boolean'),
])]
#[OA\Schema(schema: 'Meeting', required: ['from', 'to', 'foot', 'head', 'inside', 'name'], properties: [
    new OA\Property(property: 'from', type: 'number', description: 'Along the wall from its left end'),
    new OA\Property(property: 'to', type: 'number'),
    new OA\Property(property: 'foot', type: 'number'),
    new OA\Property(property: 'head', type: 'number'),
    new OA\Property(property: 'inside', type: 'boolean', description: 'Against its inner face'),
    new OA\Property(property: 'name', type: 'string'),
])]
#[OA\Schema(schema: 'Elevation', required: [
    'frontage',
    'drawing',
    'openings',
    'lines',
    'figures',
    'catches',
    'meets',
    'areas',
    'findings',
], properties: [
    new OA\Property(property: 'lines', type: 'array', items: new OA\Items(ref: '#/components/schemas/SettingOutLine')),
    new OA\Property(property: 'frontage', type: 'string'),
    new OA\Property(property: 'drawing', ref: '#/components/schemas/Drawing'),
    new OA\Property(property: 'openings', type: 'array', items: new OA\Items(ref: '#/components/schemas/PlacedOpening')),
    new OA\Property(
        property: 'figures',
        type: 'object',
        additionalProperties: new OA\AdditionalProperties(
            anyOf: [new OA\Schema(ref: '#/components/schemas/UnitFigures'), new OA\Schema(type: 'null')],
        ),
    ),
    new OA\Property(
        property: 'catches',
        type: 'object',
        additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/Catches'),
    ),
    new OA\Property(
        property: 'areas', type: 'object', description: 'By wall, mm²', additionalProperties: new OA\AdditionalProperties(
            required: ['gross', 'cutOut', 'net', 'openings', 'shapes'], properties: [
                new OA\Property(property: 'gross', type: 'number'), new OA\Property(property: 'cutOut', type: 'number'),
                new OA\Property(property: 'net', type: 'number'), new OA\Property(property: 'openings', type: 'integer'),
                new OA\Property(
                    property: 'shapes',
                    description: 'Of all its openings, each whole: more than is cut out where they overlap or reach beyond the wall',
                    type: 'number',
                )], type: 'object')),
    new OA\Property(
        property: 'meets',
        type: 'object',
        description: 'Walls that end against each, by wall',
        additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(ref: '#/components/schemas/Meeting')),
    ),
    new OA\Property(property: 'findings', type: 'array', items: new OA\Items(ref: '#/components/schemas/Finding')),
])]
#[OA\Schema(schema: 'Plan', required: ['storey', 'drawing', 'walls', 'openings'], properties: [
    new OA\Property(
        property: 'walls',
        type: 'array',
        description: 'Which wall each shape of the drawing is',
        items: new OA\Items(type: 'string'),
    ),
    new OA\Property(property: 'storey', type: 'string'),
    new OA\Property(property: 'drawing', ref: '#/components/schemas/Drawing'),
    new OA\Property(
        property: 'openings',
        type: 'object',
        additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(ref: '#/components/schemas/Shape')),
    ),
])]
#[OA\Schema(schema: 'Place', required: ['wall', 'storey', 'left', 'sillLevel', 'width', 'height'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'wall', type: 'string'),
    new OA\Property(property: 'storey', type: 'string'),
    new OA\Property(property: 'left', type: 'number'),
    new OA\Property(property: 'sillLevel', type: 'number'),
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
])]
#[OA\Schema(schema: 'Misfit', required: ['element', 'sentence', 'place'], properties: [
    new OA\Property(property: 'element', type: 'string'),
    new OA\Property(property: 'sentence', type: 'string'),
    new OA\Property(property: 'place', anyOf: [new OA\Schema(ref: '#/components/schemas/Place'), new OA\Schema(type: 'null')]),
])]
#[OA\Schema(schema: 'Revision', required: ['letter', 'number', 'note', 'person', 'at'], properties: [
    new OA\Property(property: 'letter', type: 'string'),
    new OA\Property(property: 'number', type: 'integer', description: 'of the latest change it holds'),
    new OA\Property(property: 'note', type: 'string'),
    new OA\Property(property: 'person', type: 'string'),
    new OA\Property(property: 'at', type: 'string', format: 'date-time'),
])]
#[OA\Schema(schema: 'Difference', required: ['kind', 'what', 'element', 'sentence', 'then', 'now'], properties: [
    new OA\Property(property: 'kind', type: 'string'),
    new OA\Property(property: 'what', type: 'string', enum: ['added', 'removed', 'moved', 'changed']),
    new OA\Property(property: 'element', type: 'string'),
    new OA\Property(property: 'sentence', type: 'string'),
    new OA\Property(
        property: 'then',
        description: 'Where an opening was',
        anyOf: [new OA\Schema(ref: '#/components/schemas/Place'), new OA\Schema(type: 'null')],
    ),
    new OA\Property(
        property: 'now',
        description: 'Where it is',
        anyOf: [new OA\Schema(ref: '#/components/schemas/Place'), new OA\Schema(type: 'null')],
    ),
])]
#[OA\Schema(schema: 'Task', required: ['id', 'state', 'done', 'total', 'outcome', 'file', 'problem'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'state', type: 'string', enum: ['waiting', 'running', 'stopping', 'done', 'refused', 'cancelled']),
    new OA\Property(property: 'done', type: 'integer'),
    new OA\Property(property: 'total', type: 'integer'),
    new OA\Property(
        property: 'outcome',
        description: 'of an edit',
        anyOf: [new OA\Schema(ref: '#/components/schemas/Outcome'), new OA\Schema(type: 'null')],
    ),
    new OA\Property(property: 'file', description: 'that it has made', anyOf: [
        new OA\Schema(
            required: ['name', 'sheets', 'bytes'],
            properties: [
                new OA\Property(property: 'name', type: 'string'),
                new OA\Property(property: 'sheets', type: 'integer'),
                new OA\Property(property: 'bytes', type: 'integer'),
            ],
        ),
        new OA\Schema(type: 'null'),
    ]),
    new OA\Property(property: 'problem', anyOf: [new OA\Schema(ref: '#/components/schemas/Problem'), new OA\Schema(type: 'null')]),
])]
#[OA\Schema(schema: 'Outcome', required: [
    'number',
    'summary',
    'chosen',
    'touched',
    'removed',
    'undo',
    'redo',
    'placed',
    'findings',
    'wanted',
    'misfits',
    'notes',
    'lines',
    'walls',
], properties: [
    new OA\Property(
        property: 'walls', type: 'array', description: 'How walls would stand, when it is tried', items: new OA\Items(
            required: ['id', 'fromX', 'fromY', 'toX', 'toY', 'thickness', 'base', 'top'], properties: [
                new OA\Property(property: 'id', type: 'string'),
                new OA\Property(property: 'fromX', type: 'number'),
                new OA\Property(property: 'fromY', type: 'number'),
                new OA\Property(property: 'toX', type: 'number'),
                new OA\Property(property: 'toY', type: 'number'),
                new OA\Property(property: 'thickness', type: 'number'),
                new OA\Property(property: 'base', type: 'string'),
                new OA\Property(property: 'top', type: 'string'),
            ], type: 'object')),
    new OA\Property(
        property: 'lines', type: 'array', description: 'Where setting-out lines would stand, when it is tried', items: new OA\Items(
            required: ['id', 'wall', 'u', 'levels'], properties: [
                new OA\Property(property: 'id', type: 'string'),
                new OA\Property(property: 'wall', type: 'string'),
                new OA\Property(property: 'u', type: 'number', nullable: true, description: 'From the wall’s left end'),
                new OA\Property(property: 'levels', type: 'array', items: new OA\Items(type: 'number')),
            ], type: 'object')),
    new OA\Property(property: 'wanted', type: 'integer', description: 'How many openings were asked for, when it is one of many'),
    new OA\Property(property: 'misfits', type: 'array', items: new OA\Items(ref: '#/components/schemas/Misfit')),
    new OA\Property(property: 'notes', type: 'array', description: 'To be said before it is done', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'number', type: 'integer'),
    new OA\Property(property: 'summary', type: 'string'),
    new OA\Property(property: 'chosen', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'touched', required: ['structure', 'project', 'walls', 'storeys'], properties: [
        new OA\Property(
            property: 'project',
            description: 'What the project itself tells has changed: its types, layouts, sets …',
            type: 'boolean',
        ),
        new OA\Property(property: 'structure', type: 'boolean'),
        new OA\Property(property: 'walls', type: 'array', items: new OA\Items(type: 'string')),
        new OA\Property(property: 'storeys', type: 'array', items: new OA\Items(type: 'string')),
    ], type: 'object'),
    new OA\Property(property: 'removed', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'placed', type: 'array', items: new OA\Items(ref: '#/components/schemas/Place')),
    new OA\Property(property: 'undo', type: 'string', nullable: true),
    new OA\Property(property: 'redo', type: 'string', nullable: true),
    new OA\Property(property: 'findings', type: 'array', items: new OA\Items(ref: '#/components/schemas/Finding')),
])]
#[OA\Schema(schema: 'ChangeLine', required: ['number', 'summary', 'kind', 'person', 'at'], properties: [
    new OA\Property(property: 'number', type: 'integer'),
    new OA\Property(property: 'summary', type: 'string'),
    new OA\Property(property: 'kind', type: 'string', enum: ['do', 'undo', 'redo']),
    new OA\Property(property: 'person', type: 'string'),
    new OA\Property(property: 'at', type: 'string', format: 'date-time'),
])]
final class Document
{
}
