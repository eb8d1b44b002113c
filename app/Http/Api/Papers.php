<?php

declare(strict_types=1);

namespace App\Http\Api;

use OpenApi\Attributes as OA;

/* What is said over the API about others’ papers and our own schedules. */

#[OA\Schema(schema: 'GivenColumn', required: ['role', 'unit', 'storey'], properties: [
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
    'problem',
], properties: [
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
#[OA\Schema(schema: 'LayoutColumn', required: ['key', 'name'], properties: [
    new OA\Property(property: 'key', type: 'string'),
    new OA\Property(property: 'name', type: 'string', nullable: true),
])]
#[OA\Schema(schema: 'LayoutSort', required: ['key', 'down'], properties: [
    new OA\Property(property: 'key', type: 'string'),
    new OA\Property(property: 'down', type: 'boolean'),
])]
#[OA\Schema(schema: 'LayoutFilter', required: ['key', 'test', 'value'], properties: [
    new OA\Property(property: 'key', type: 'string'),
    new OA\Property(property: 'test', type: 'string', enum: ['is', 'is-not', 'holds', 'above', 'below']),
    new OA\Property(property: 'value', type: 'string'),
])]
#[OA\Schema(schema: 'Layout', required: ['id', 'name', 'source', 'columns', 'merge', 'groups', 'sort', 'filters', 'totals'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'source', type: 'string', enum: ['openings', 'types', 'walls']),
    new OA\Property(property: 'columns', type: 'array', items: new OA\Items(ref: '#/components/schemas/LayoutColumn')),
    new OA\Property(property: 'merge', type: 'boolean'),
    new OA\Property(property: 'groups', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'sort', type: 'array', items: new OA\Items(ref: '#/components/schemas/LayoutSort')),
    new OA\Property(property: 'filters', type: 'array', items: new OA\Items(ref: '#/components/schemas/LayoutFilter')),
    new OA\Property(property: 'totals', type: 'boolean'),
])]
#[OA\Schema(schema: 'ReportField', required: ['key', 'name', 'measured', 'summed'], properties: [
    new OA\Property(property: 'key', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'measured', type: 'string', enum: ['text', 'count', 'length', 'area', 'weight', 'share']),
    new OA\Property(property: 'summed', type: 'boolean'),
])]
#[OA\Schema(schema: 'ReportColumn', required: ['key', 'heading', 'measured'], properties: [
    new OA\Property(property: 'key', type: 'string'),
    new OA\Property(property: 'heading', type: 'string'),
    new OA\Property(property: 'measured', type: 'string', enum: ['text', 'count', 'length', 'area', 'weight', 'share']),
])]
#[OA\Schema(schema: 'ReportRow', required: ['kind', 'text', 'values', 'elements'], properties: [
    new OA\Property(property: 'kind', type: 'string', enum: ['row', 'group', 'sum']),
    new OA\Property(property: 'text', type: 'string'),
    new OA\Property(
        property: 'values',
        type: 'array',
        items: new OA\Items(oneOf: [new OA\Schema(type: 'string'), new OA\Schema(type: 'number'), new OA\Schema(type: 'null')]),
        description: 'Lengths in mm, areas in mm²',
    ),
    new OA\Property(property: 'elements', type: 'array', items: new OA\Items(type: 'string')),
])]
#[OA\Schema(schema: 'Report', required: ['name', 'layout', 'fields', 'columns', 'rows', 'totals'], properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'layout', ref: '#/components/schemas/Layout'),
    new OA\Property(property: 'fields', type: 'array', items: new OA\Items(ref: '#/components/schemas/ReportField')),
    new OA\Property(property: 'columns', type: 'array', items: new OA\Items(ref: '#/components/schemas/ReportColumn')),
    new OA\Property(property: 'rows', type: 'array', items: new OA\Items(ref: '#/components/schemas/ReportRow')),
    new OA\Property(
        property: 'totals',
        nullable: true,
        type: 'array',
        items: new OA\Items(oneOf: [new OA\Schema(type: 'string'), new OA\Schema(type: 'number'), new OA\Schema(type: 'null')]),
    ),
])]
#[OA\Schema(schema: 'SectionLine', required: ['id', 'name', 'fromX', 'fromY', 'toX', 'toY'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'fromX', type: 'number'),
    new OA\Property(property: 'fromY', type: 'number'),
    new OA\Property(property: 'toX', type: 'number'),
    new OA\Property(property: 'toY', type: 'number'),
])]
#[OA\Schema(schema: 'CutOpening', required: ['id', 'x0', 'x1', 'sill', 'head'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'x0', type: 'number'),
    new OA\Property(property: 'x1', type: 'number'),
    new OA\Property(property: 'sill', type: 'number'),
    new OA\Property(property: 'head', type: 'number'),
])]
#[OA\Schema(schema: 'Section', required: ['drawing', 'line', 'openings'], properties: [
    new OA\Property(property: 'drawing', ref: '#/components/schemas/Drawing'),
    new OA\Property(property: 'line', ref: '#/components/schemas/SectionLine'),
    new OA\Property(property: 'openings', type: 'array', items: new OA\Items(ref: '#/components/schemas/CutOpening')),
])]
#[OA\Schema(schema: 'SheetItem', required: ['kind', 'ref', 'scale', 'x', 'y'], properties: [
    new OA\Property(property: 'kind', type: 'string', enum: ['elevation', 'plan', 'section', 'schedule']),
    new OA\Property(property: 'ref', type: 'string', description: 'Frontage, “outside”, “inside”, storey, section line or layout'),
    new OA\Property(property: 'scale', type: 'number'),
    new OA\Property(property: 'x', type: 'number'),
    new OA\Property(property: 'y', type: 'number'),
])]
#[OA\Schema(schema: 'WantedItem', required: ['kind', 'ref'], properties: [
    new OA\Property(property: 'kind', type: 'string', enum: ['elevation', 'plan', 'section', 'schedule']),
    new OA\Property(property: 'ref', type: 'string'),
    new OA\Property(property: 'scale', type: 'number', nullable: true),
    new OA\Property(property: 'x', type: 'number', nullable: true),
    new OA\Property(property: 'y', type: 'number', nullable: true),
])]
#[OA\Schema(schema: 'SheetPlan', required: ['id', 'name', 'number', 'paper', 'items'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'number', type: 'string'),
    new OA\Property(
        property: 'paper',
        type: 'string',
        enum: ['A4', 'A3', 'A2', 'A1', 'A0', 'ANSI-A', 'ANSI-B', 'ANSI-C', 'ANSI-D', 'ANSI-E'],
    ),
    new OA\Property(property: 'items', type: 'array', items: new OA\Items(ref: '#/components/schemas/SheetItem')),
])]
#[OA\Schema(schema: 'SheetBlock', required: ['title', 'x', 'y', 'width', 'height', 'problem'], properties: [
    new OA\Property(property: 'title', type: 'string'),
    new OA\Property(property: 'x', type: 'number'),
    new OA\Property(property: 'y', type: 'number'),
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'problem', type: 'string', nullable: true),
])]
#[OA\Schema(schema: 'DrawnSheet', required: ['plan', 'size', 'pages', 'blocks'], properties: [
    new OA\Property(property: 'plan', ref: '#/components/schemas/SheetPlan'),
    new OA\Property(property: 'size', type: 'array', items: new OA\Items(type: 'number'), description: 'Width and height of the paper, mm'),
    new OA\Property(property: 'pages', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'blocks', type: 'array', items: new OA\Items(ref: '#/components/schemas/SheetBlock')),
])]
#[OA\Schema(schema: 'Tracing', required: [
    'id',
    'name',
    'storeys',
    'file',
    'width',
    'height',
    'x',
    'y',
    'scale',
    'angle',
    'opacity',
    'locked',
], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'storeys', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'file', type: 'string'),
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'x', type: 'number'),
    new OA\Property(property: 'y', type: 'number'),
    new OA\Property(property: 'scale', type: 'number'),
    new OA\Property(property: 'angle', type: 'number'),
    new OA\Property(property: 'opacity', type: 'number'),
    new OA\Property(property: 'locked', type: 'boolean'),
])]
#[OA\Schema(schema: 'Picture', required: ['id', 'name', 'file'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'file', type: 'string'),
])]
#[OA\Schema(schema: 'ReadTracing', required: ['file', 'kind', 'width', 'height', 'lines', 'pages', 'page', 'notes'], properties: [
    new OA\Property(property: 'file', type: 'string'),
    new OA\Property(property: 'kind', type: 'string', enum: ['vector', 'picture']),
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'lines', type: 'integer'),
    new OA\Property(property: 'pages', type: 'integer'),
    new OA\Property(property: 'page', type: 'integer'),
    new OA\Property(property: 'notes', type: 'array', items: new OA\Items(type: 'string')),
])]
#[OA\Schema(schema: 'TracedText', required: ['x', 'y', 'size', 'angle', 'text'], properties: [
    new OA\Property(property: 'x', type: 'number'),
    new OA\Property(property: 'y', type: 'number'),
    new OA\Property(property: 'size', type: 'number'),
    new OA\Property(property: 'angle', type: 'number'),
    new OA\Property(property: 'text', type: 'string'),
])]
#[OA\Schema(schema: 'TracedLines', required: ['width', 'height', 'lines', 'curves', 'lettering', 'texts'], properties: [
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
    new OA\Property(property: 'lines', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'curves', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'lettering', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'texts', type: 'array', items: new OA\Items(ref: '#/components/schemas/TracedText')),
])]
#[OA\Schema(schema: 'Candidate', required: ['wall', 'from', 'to', 'width', 'rounded'], properties: [
    new OA\Property(property: 'wall', type: 'string'),
    new OA\Property(property: 'from', type: 'number'),
    new OA\Property(property: 'to', type: 'number'),
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'rounded', type: 'number'),
])]
#[OA\Schema(schema: 'OffMark', required: ['opening', 'sentence', 'by', 'args'], properties: [
    new OA\Property(property: 'opening', type: 'string'),
    new OA\Property(property: 'sentence', type: 'string'),
    new OA\Property(property: 'by', type: 'number'),
    new OA\Property(
        property: 'args',
        type: 'object',
        nullable: true,
        additionalProperties: true,
        description: 'Of the edit opening.change that moves it to its marks',
    ),
])]
#[OA\Schema(schema: 'Offered', required: ['lines', 'marks', 'undrawn', 'candidates', 'off'], properties: [
    new OA\Property(property: 'lines', type: 'integer'),
    new OA\Property(property: 'marks', type: 'integer'),
    new OA\Property(property: 'undrawn', type: 'integer', description: 'Openings in walls of which nothing is drawn'),
    new OA\Property(property: 'candidates', type: 'array', items: new OA\Items(ref: '#/components/schemas/Candidate')),
    new OA\Property(property: 'off', type: 'array', items: new OA\Items(ref: '#/components/schemas/OffMark')),
])]
#[OA\Schema(schema: 'Member', required: ['id', 'name', 'email', 'role', 'you'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'email', type: 'string', nullable: true),
    new OA\Property(property: 'role', type: 'string', enum: ['owner', 'editor', 'viewer']),
    new OA\Property(property: 'you', type: 'boolean'),
])]
#[OA\Schema(schema: 'WaitingInvitation', required: ['id', 'email', 'role', 'expiresAt'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'email', type: 'string'),
    new OA\Property(property: 'role', type: 'string', enum: ['owner', 'editor', 'viewer']),
    new OA\Property(property: 'expiresAt', type: 'string'),
])]
#[OA\Schema(schema: 'ReadOnlyLink', required: ['id', 'name', 'createdAt', 'usedAt'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'createdAt', type: 'string'),
    new OA\Property(property: 'usedAt', type: 'string', nullable: true),
])]
#[OA\Schema(schema: 'People', required: ['members', 'mayManage', 'invitations', 'links'], properties: [
    new OA\Property(property: 'members', type: 'array', items: new OA\Items(ref: '#/components/schemas/Member')),
    new OA\Property(property: 'mayManage', type: 'boolean'),
    new OA\Property(property: 'invitations', type: 'array', items: new OA\Items(ref: '#/components/schemas/WaitingInvitation')),
    new OA\Property(property: 'links', type: 'array', items: new OA\Items(ref: '#/components/schemas/ReadOnlyLink')),
])]
#[OA\Schema(schema: 'Here', required: ['id', 'name', 'role', 'place'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'role', type: 'string', enum: ['owner', 'editor', 'viewer']),
    new OA\Property(property: 'place', type: 'string'),
])]
#[OA\Schema(schema: 'Presence', required: ['number', 'role', 'here'], properties: [
    new OA\Property(property: 'number', type: 'integer'),
    new OA\Property(property: 'role', type: 'string', enum: ['owner', 'editor', 'viewer']),
    new OA\Property(property: 'here', type: 'array', items: new OA\Items(ref: '#/components/schemas/Here')),
])]
#[OA\Schema(schema: 'Letter', required: ['id', 'to', 'subject', 'body', 'at'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'to', type: 'string'),
    new OA\Property(property: 'subject', type: 'string'),
    new OA\Property(property: 'body', type: 'string'),
    new OA\Property(property: 'at', type: 'string'),
])]
#[OA\Schema(schema: 'Entrance', required: ['project', 'by', 'email', 'role', 'over', 'hasAccount'], properties: [
    new OA\Property(property: 'project', type: 'string'),
    new OA\Property(property: 'by', type: 'string'),
    new OA\Property(property: 'email', type: 'string'),
    new OA\Property(property: 'role', type: 'string', enum: ['owner', 'editor', 'viewer']),
    new OA\Property(property: 'over', type: 'string', nullable: true),
    new OA\Property(property: 'hasAccount', type: 'boolean'),
    new OA\Property(property: 'id', type: 'string', nullable: true),
])]
final class Papers
{
}
