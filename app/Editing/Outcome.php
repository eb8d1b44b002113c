<?php

declare(strict_types=1);

namespace App\Editing;

use Isleward\Core\Building\Places;
use Isleward\Core\Design\Acceptance;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Kinds;
use Isleward\Core\Design\Layered;
use Isleward\Core\Design\Misfit;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Settings;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Design\Wall;
use OpenApi\Attributes as OA;

/** What an edit, an undo or a redo came to, as the client is told. */
#[OA\Schema(
    schema: 'Place', description: 'Where an opening stands or would stand', required: [
        'host',
        'storey',
        'left',
        'sillLevel',
        'width',
        'height',
        'span',
    ], properties: [
        new OA\Property(property: 'id', type: 'string'),
        new OA\Property(property: 'host', type: 'string'),
        new OA\Property(property: 'storey', type: 'string'),
        new OA\Property(property: 'left', type: 'number'),
        new OA\Property(property: 'sillLevel', type: 'number'),
        new OA\Property(property: 'width', type: 'number'),
        new OA\Property(property: 'height', type: 'number'),
        new OA\Property(property: 'span', type: 'number', description: 'From jamb to jamb along the outer face'),
    ])]
#[OA\Schema(schema: 'Misfit', required: ['element', 'sentence', 'place'], properties: [
    new OA\Property(property: 'element', type: 'string'),
    new OA\Property(property: 'sentence', type: 'string'),
    new OA\Property(property: 'place', anyOf: [new OA\Schema(ref: '#/components/schemas/Place'), new OA\Schema(type: 'null')]),
])]
#[OA\Schema(schema: 'Outcome', required: [
    'number',
    'changes',
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
    'curtains',
    'bands',
], properties: [
    new OA\Property(
        property: 'bands', type: 'array', description: 'How bands would stand before walls, when it is tried',
        items: new OA\Items(ref: '#/components/schemas/PlacedBand')),
    new OA\Property(
        property: 'curtains', type: 'array', description: 'How curtain walls would stand, from the left ends of their walls, when it is tried',
        items: new OA\Items(ref: '#/components/schemas/CurtainGrid')),
    new OA\Property(
        property: 'walls', type: 'array', description: 'How walls would stand, when it is tried', items: new OA\Items(
            required: ['id', 'fromX', 'fromY', 'toX', 'toY', 'rise', 'thickness', 'base', 'top'], properties: [
                new OA\Property(property: 'id', type: 'string'),
                new OA\Property(property: 'fromX', type: 'number'),
                new OA\Property(property: 'fromY', type: 'number'),
                new OA\Property(property: 'toX', type: 'number'),
                new OA\Property(property: 'toY', type: 'number'),
                new OA\Property(property: 'rise', type: 'number'),
                new OA\Property(property: 'thickness', type: 'number'),
                new OA\Property(property: 'base', type: 'string'),
                new OA\Property(property: 'top', type: 'string'),
            ], type: 'object')),
    new OA\Property(
        property: 'lines', type: 'array', description: 'Where setting-out lines would stand, when it is tried', items: new OA\Items(
            required: ['id', 'host', 'u', 'levels'], properties: [
                new OA\Property(property: 'id', type: 'string'),
                new OA\Property(property: 'host', type: 'string'),
                new OA\Property(property: 'u', type: 'number', nullable: true, description: 'From the wall’s left end'),
                new OA\Property(property: 'levels', type: 'array', items: new OA\Items(type: 'number')),
            ], type: 'object')),
    new OA\Property(property: 'wanted', type: 'integer', description: 'How many openings were asked for, when it is one of many'),
    new OA\Property(property: 'misfits', type: 'array', items: new OA\Items(ref: '#/components/schemas/Misfit')),
    new OA\Property(property: 'notes', type: 'array', description: 'To be said before it is done', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'number', type: 'integer'),
    new OA\Property(property: 'changes', type: 'integer', description: 'That stand then'),
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
final readonly class Outcome
{
    /**
     * @param  int  $changes  of the project that stand then
     * @param  list<array<string, mixed>>  $placed  where the openings it touched lie now
     * @param  list<array<string, mixed>>  $findings  about what was touched; only for a try
     * @param  array{list<string>, list<string>}  $also  walls and storeys of what has moved with it
     * @param  list<array<string, mixed>>  $lines  where the setting-out lines it touched would stand; only for a try
     * @param  list<string>  $said  to be said besides what the change has to say
     * @param  list<array<string, mixed>>  $standing  how the walls it touched would stand; only for a try
     * @param  list<array<string, mixed>>  $curtains  how the curtain walls it touched would stand; only for a try
     * @param  list<array<string, mixed>>  $bands  how the bands it touched would stand; only for a try
     */
    public function __construct(
        public int $number,
        public int $changes,
        public Change $change,
        public ?string $undo,
        public ?string $redo,
        public array $placed = [],
        public array $findings = [],
        public array $also = [[], []],
        public array $lines = [],
        public array $standing = [],
        public array $said = [],
        public array $curtains = [],
        public array $bands = [],
    ) {
    }

    /** Whether a stretch stands as it did, and only what was changed by hand on it is otherwise. */
    public static function isByHand(Operation $operation): bool
    {
        [$before, $after] = [$operation->before, $operation->after];

        return $before instanceof Wall && $after instanceof Wall && $before->curtain !== null && $after->curtain !== null
            && $before->withCurtain($before->curtain->withByHand([]), $before->thickness)->toArray()
                === $after->withCurtain($after->curtain->withByHand([]), $after->thickness)->toArray();
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $structure = $project = false;
        [$walls, $storeys] = array_map(array_flip(...), $this->also);
        foreach ($this->change->operations as $operation) {
            if (self::isByHand($operation)) {
                $walls[$operation->id] = $project = true; // its storeys, and what is in line with it, are among $also

                continue;
            }
            foreach ([$operation->before, $operation->after] as $element) {
                if ($element instanceof Opening) {
                    $walls[$element->host] = true;
                    $storeys[$element->storey] = true;
                } elseif ($element instanceof Acceptance) {
                    $walls[$element->host] = true;
                } elseif ($element !== null) {
                    $project = true;
                    // of a unit type only those are made that hold it, of a band those it stands before: they are among $also
                    $structure = $structure
                                            || $element instanceof Settings
                                            || (Kinds::of($element->kind())->bearing && ! $element instanceof UnitType
                                                && ! $element instanceof Layered);
                }
            }
        }

        return [
            'number' => $this->number, 'changes' => $this->changes,
            'summary' => $this->change->summary,
            'chosen' => $this->change->chosen,
            'touched' => [
                'structure' => $structure,
                'project' => $project,
                'walls' => array_keys($walls),
                'storeys' => array_keys($storeys),
            ],
            'removed' => array_values(array_map(
                static fn ($o): string => $o->id,
                array_filter($this->change->operations, static fn ($o): bool => $o->after === null && $o->kind === Kind::Opening),
            )),
            'undo' => $this->undo,
            'redo' => $this->redo,
            'placed' => $this->placed,
            'findings' => $this->findings,
            'wanted' => $this->change->wanted,
            'misfits' => array_map(static fn (Misfit $m): array => $m->toArray(), $this->change->misfits),
            'notes' => [...$this->change->notes, ...$this->said],
            'lines' => $this->lines,
            'walls' => $this->standing,
            'curtains' => $this->curtains,
            'bands' => $this->bands,
        ];
    }

    /** @return list<array<string, mixed>> where the openings that a change touched stand after it, so many at the most */
    public static function places(Design $after, Change $change, int $most): array
    {
        $openings = [];
        foreach ($change->operations as $operation) {
            if ($operation->after instanceof Opening) {
                $openings[] = $operation->after;
                if (count($openings) === $most) {
                    break;
                }
            }
        }

        return array_map(
            static fn (Opening $o): array => ['id' => $o->id] + Places::in($after)->of($o)->spot()->toArray(),
            $openings,
        );
    }
}
