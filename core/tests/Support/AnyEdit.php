<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Support;

use Isleward\Core\Design\Kind;
use Isleward\Core\Edit\Edits;
use Isleward\Core\Layer\Band;
use Isleward\Core\Layer\Field;
use Isleward\Core\Layer\FloorBand;
use Isleward\Core\Layer\Screen;
use Isleward\Core\Roof\Roof;
use Isleward\Core\Roof\Roofs;

/** Edits as chance has them, of every name there is, for laws that hold over all of them. */
final class AnyEdit
{
    /** @return array{string, array<string, mixed>} one of all the edits there are, or one of that name, with arguments that may do */
    public static function random(House $house, ?string $name = null): array
    {
        $design = $house->design;
        $pick = static fn (array $of): mixed => $of === [] ? null : array_values($of)[mt_rand(0, count($of) - 1)];
        $some = static fn (array $of, int $most): array => array_values(
            array_unique(array_filter(array_map(static fn (): ?string => $pick($of)?->id, range(1, $most)))),
        );
        $storey = $pick($design->storeys->all)->id;
        $wall = $pick($design->walls)?->id;
        $opening = $pick($design->openings)?->id ?? 'op-none';
        $openings = $some($design->openings, 4);
        $grid = $pick($design->grids)?->id() ?? 'gt-none';
        $curtains = array_filter([...$design->walls, ...$design->openings], static fn ($e): bool => $e->curtain !== null);
        $curtain = $pick($curtains)?->id ?? $wall;
        $edit = $name ?? (mt_rand(0, 3) === 0 ? $pick(['opening.place', 'opening.change']) : $pick(Edits::names()));
        $along = static fn (): array => match ($r = $pick(['left', 'right', 'middle', 'fraction', 'point', 'line', 'opening'])) {
            'fraction' => ['from' => $r, 'value' => mt_rand(0, 100) / 100],
            'point' => ['from' => $r, 'at' => mt_rand(0, 9000), 'value' => mt_rand(-300, 300) / 7],
            'line' => ['from' => $r, 'ref' => $pick($design->lines)?->id, 'value' => mt_rand(-900, 900) / 7],
            'opening' => [
                'from' => $r,
                'ref' => $opening,
                'point' => $pick(['left', 'centre', 'right']),
                'value' => mt_rand(-2000, 4000) / 7,
            ],
            default => ['from' => $r, 'value' => mt_rand(0, 12000) / 7, 'face' => $pick(['outer', 'inner'])],
        };
        $sill = static fn (): array => match ($r = $pick(['floor', 'floor', 'foot', 'datum', 'line', 'opening'])) {
            'line' => ['from' => $r, 'ref' => $pick($design->lines)?->id, 'height' => 10, 'edge' => $pick(['sill', 'head'])],
            'opening' => [
                'from' => $r,
                'ref' => $opening,
                'point' => $pick(['sill', 'head']),
                'edge' => $pick(['sill', 'head']),
                'height' => mt_rand(-90, 90) / 7,
            ],
            default => ['from' => $r, 'height' => mt_rand(0, 2000) / 3],
        };
        $of = static fn (string $class, string $none): string => $pick(
            array_filter($design->layers, static fn ($l): bool => $l instanceof $class),
        )?->id() ?? $none;
        // mostly one that something was drawn on already
        $drawn = array_filter($design->layers, static fn ($l): bool => $l instanceof Screen && count($l->parts) > 1);
        $screen = (mt_rand(0, 4) > 0 ? $pick($drawn)?->id() : null) ?? $of(Screen::class, 'sn-none');
        // what was drawn before one wall
        $parts = [];
        foreach (($design->layers[$screen] ?? null)->parts ?? [] as $part) {
            $parts[$part->wall ?? ''][] = $part->n;
        }
        unset($parts['']);
        $parts = $pick($parts) ?? [7];
        $stood = $design->layers[$screen] ?? null;
        $front = $stood instanceof Screen ? $pick($stood->walls) ?? $pick($design->wallsOf($stood->outline))?->id : $wall;
        $bands = static fn (int $most): array => $some(
            array_filter($design->layers, static fn ($l): bool => $l instanceof Band || $l instanceof FloorBand), $most,
        );
        [$band, $floor, $roof] = [$of(Band::class, 'ba-none'), $of(FloorBand::class, 'fb-none'), $of(Roof::class, 'rf-none')];
        // mostly one that has rooflights already
        $lit = array_filter($design->layers, static fn ($l): bool => $l instanceof Roof && $l->lights !== []);
        $roof = (mt_rand(0, 2) === 0 ? $pick($lit)?->id : null) ?? $roof;
        $laid = ($design->layers[$roof] ?? null) instanceof Roof ? $design->layers[$roof] : null;
        $sought = $laid !== null && str_starts_with($edit, 'roof.light') ? Roofs::in($design)->find($laid) : null;
        $slope = $pick($sought?->slopes() ?? [])->wall ?? 'wa-none';
        $lamp = $pick($laid->lights ?? [])->n ?? 9;
        $lit = array_filter($design->types, static fn ($t): bool => in_array($t->mark, ['W-01', 'W-13', 'W-21'], true));
        $fixed = $pick($lit)?->id;
        $law = static fn (): array|int => $pick([
            mt_rand(20, 400),
            ['kind' => 'ramp', 'from' => mt_rand(30, 300), 'to' => mt_rand(30, 900)],
            ['kind' => 'wave', 'from' => mt_rand(30, 300) / 7, 'to' => 900, 'waves' => mt_rand(1, 9) / 2, 'phase' => mt_rand(0, 99)],
            ['kind' => 'drawn', 'points' => [[0, 50], [mt_rand(10, 90) / 100, mt_rand(50, 900)], [1, 300]],
                'smooth' => (bool) mt_rand(0, 1)],
            ['kind' => 'seeded', 'from' => 50, 'to' => 500, 'seed' => mt_rand(0, 99)],
        ]);
        $kept = static fn (Kind $kind, string $none = 'none'): string => $pick(
            array_filter($design->kept, static fn ($k): bool => $k->kind() === $kind),
        )?->id() ?? $none;
        $fit = ['fit' => $pick(['all', 'fitting', 'fitting'])];

        // what is done to a screen and its cut-outs needs them: they come first where there are none
        $edit = match (true) {
            ! str_starts_with($edit, 'screen.') || $edit === 'screen.add' => $edit,
            $screen === 'sn-none' => mt_rand(0, 9) > 0 ? 'screen.add' : $edit,
            in_array($edit, ['screen.change', 'screen.draw', 'screen.remove'], true) || $parts !== [7] => $edit,
            default => mt_rand(0, 9) > 0 ? 'screen.draw' : $edit,
        };
        // rooflights need a roof, and those that are taken out need to be there
        $edit = match (true) {
            ! str_starts_with($edit, 'roof.light') || mt_rand(0, 9) === 0 => $edit,
            $slope === 'wa-none' => 'roof.add',
            default => $edit === 'roof.light-remove' && $laid?->lights === [] ? 'roof.light' : $edit,
        };

        return [$edit, match ($edit) {
            'settings.change' => [
                'cornerMargin' => mt_rand(0, 300),
                'north' => mt_rand(0, 359),
                'units' => $pick(['mm', 'm', 'ft-in']),
                'nib' => mt_rand(0, 300),
                'module' => $pick([null, ['length' => 200, 'height' => 100, 'joint' => 8]]),
                'slab' => mt_rand(100, 400),
                'setting' => mt_rand(0, 50),
                'layerRules' => ['covered' => mt_rand(1, 100) / 100, 'apart' => mt_rand(0, 90)],
            ],
            'storey.insert' => [
                'above' => mt_rand(0, 3) === 0 ? null : $storey,
                'name' => 'N'.mt_rand(),
                'height' => mt_rand(24, 48) * 100 + 0.1,
            ],
            'storey.change' => ['id' => $storey, 'name' => 'R'.mt_rand(), 'height' => mt_rand(24, 48) * 100],
            'storey.remove' => ['id' => $storey, 'withContents' => count($design->storeys->all) > 4],
            'outline.draw' => mt_rand(0, 1) === 0
                ? [
                    'rectangle' => ['x' => mt_rand(0, 50) * 1000, 'width' => mt_rand(3, 30) * 1000, 'depth' => 7000 / 3],
                    'thickness' => mt_rand(100, 400),
                    'base' => $storey,
                    'top' => $storey,
                ]
                : [
                    'points' => [[$x = mt_rand(1, 11) * 1000, 200], [$x, 7800]],
                    'closed' => false,
                    'inner' => true,
                    'thickness' => 100,
                    'base' => $storey,
                    'top' => $storey,
                ],
            'outline.change' => ['id' => $pick($design->outlines)?->id] + $pick([['name' => 'O'.mt_rand()], ['slab' => $pick([null,
                150])]]),
            'outline.turn' => ['id' => $pick($design->outlines)?->id],
            'outline.remove' => ['id' => $pick($design->outlines)?->id, 'withContents' => count($design->outlines) > 3],
            'wall.bend' => ['wall' => $wall, 'rise' => $pick([0, mt_rand(-400, 900), mt_rand(100, 2000)])]
                + $pick([[], ['keeps' => $pick(['rise', 'radius', 'angle', 'length'])]]),
            'outline.round' => ['outline' => $design->walls[$wall]->outline ?? '', 'radius' => mt_rand(1, 12) * 100]
                + $pick([[], ['walls' => [$wall]]]),
            'outline.recess' => ['wall' => $wall, 'from' => 0, 'to' => mt_rand(5, 40) * 100, 'depth' => mt_rand(3, 12) * 100],
            'wall.change' => ['walls' => [$wall], 'thickness' => mt_rand(100, 500), 'top' => $storey],
            'wall.move' => ['wall' => $wall, 'by' => mt_rand(-900, 900) / 7],
            'wall.turn' => ['wall' => $wall, 'degrees' => mt_rand(-60, 60) / 7, 'about' => $pick(['left', 'middle', 'right'])],
            'wall.stack' => ['walls' => [$wall], 'from' => $design->walls[$wall]->base ?? $storey, 'storeys' => [$storey]] + $fit,
            'line.add' => ['host' => $wall] + $pick(
                [
                    ['axis' => 'upright', 'rule' => $along()],
                    ['axis' => 'level', 'rule' => ['edge' => 'sill'] + $sill(), 'storey' => $pick([null, $storey])],
                    ['axis' => 'upright', 'parts' => mt_rand(2, 4)],
                    ['axis' => 'upright', 'percentages' => [12.5, 99]],
                ],
            ),
            'line.across' => ['id' => $pick($design->lines)?->id ?? 'li-none', 'side' => $pick(['left', 'right'])],
            'line.change' => ['id' => $pick($design->lines)?->id ?? 'li-none', 'by' => mt_rand(-700, 700) / 7, 'name' => 'M'.mt_rand()],
            'line.remove' => ['ids' => $some($design->lines, 2), 'keepFigures' => true],
            'opening.place' => [
                'host' => $wall,
                'storey' => $storey,
                'type' => $pick([...array_values($design->types), null])?->id,
                'position' => $along() + ['to' => $pick(['near', 'far', 'centre'])],
                'sill' => $sill(),
            ],
            'opening.change-each' => ['changes' => array_map(static fn (string $id): array => [
                'id' => $id, 'by' => ['u' => mt_rand(-300, 300) / 7],
            ], $openings)] + $fit,
            'opening.change' => mt_rand(0, 3) === 0
                            ? [
                                'ids' => $openings,
                                'width' => $pick(['+10', '-10', '900']),
                                'keep' => $pick(['sill', 'head']),
                                'head' => '+5',
                            ] + $fit
                            : ['id' => $opening] + $pick([
                                ['by' => ['u' => mt_rand(-500, 500) / 3]], ['by' => ['v' => 10]], ['width' => mt_rand(600, 2000)],
                                ['head' => 2400],
                                ['facesOut' => false], ['mirrored' => true],
                                ['setback' => mt_rand(0, 200)], ['measure' => $along() + ['to' => 'centre']], ['measureSill' => $sill()],
                                ['type' => null],
                                ['ajar' => $pick([null, 0.25, 1.0])],
                            ]),
            'opening.remove' => ['ids' => array_slice($openings, 0, 2), 'keepFigures' => true],
            'opening.repeat' => ['ids' => [$opening]] + $pick(
                [
                    ['pitch' => mt_rand(-3000, 3000), 'count' => mt_rand(1, 4)],
                    ['by' => 'ends', 'count' => mt_rand(1, 4)],
                    ['by' => 'fit', 'pier' => mt_rand(900, 3000)],
                ],
            ) + $fit,
            'opening.space' => ['ids' => $openings, 'between' => $pick(['outer', 'ends']), 'by' => $pick(['gaps', 'centres'])] + $fit,
            'opening.copy' => ['ids' => array_slice($openings, 0, 2)] + $pick(
                [
                    ['walls' => $some($design->walls, 2)],
                    ['walls' => 'opposite'],
                    [
                        'pick' => ['opening' => $openings[0] ?? 'op-none', 'point' => 'centre'],
                        'put' => ['host' => $wall, 'storey' => $storey, 'from' => 'middle', 'value' => 0],
                    ],
                ],
            ) + $fit,
            'opening.stack' => ['ids' => array_slice($openings, 0, 2), 'storeys' => $pick([[$storey], 'all'])] + $fit,
            'opening.mirror' => [
                'ids' => $openings,
                'about' => $pick(['middle', 'outline']),
                'copy' => (bool) mt_rand(0, 1),
                'along' => (bool) mt_rand(0, 1),
            ] + $fit,
            'opening.align' => [
                'ids' => $openings,
                'edge' => $pick(['head', 'sill', 'left', 'right', 'centre']),
                'to' => $pick(['below', $openings[0] ?? 'below']),
                'hold' => (bool) mt_rand(0, 1),
            ] + $fit,
            'opening.carry' => [
                'from' => $opening,
                'ids' => $openings,
                'settings' => $pick([['type', 'width'], ['sill', 'head'], ['height', 'facing', 'handing'], ['setback', 'shape'], ['ajar']]),
            ] + $fit,
            'opening.fill' => [
                'ids' => array_keys($design->openings) ?: ['op-none'],
                'door' => $pick($design->types)->id,
                'window' => $pick($design->types)->id,
            ],
            'opening.empty' => ['ids' => $openings],
            'type.change' => ['id' => $pick($design->types)?->id, 'fit' => $pick(['all', 'fitting'])] + $pick(
                [['name' => 'renamed '.mt_rand()], ['width' => mt_rand(600, 3000), 'height' => mt_rand(600, 3000)],
                    ['tree' => $pick($design->types)?->tree()->toArray()],
                    ['tree' => [
                        'outline' => ['kind' => 'arch', 'form' => 'semicircular'],
                    ] + ($pick($design->types)?->tree()->toArray() ?? [])]]),
            'type.remove' => ['id' => $pick($design->types)?->id, 'instead' => $pick([null, $pick($design->types)?->id])],
            // not those that rooflights are made of
            'type.clear' => ['ids' => [$pick(array_diff_key($design->types, $lit))->id ?? 'ty-none']],
            'type.import' => [
                'document' => json_decode(\Isleward\Core\Exchange\TypesJson::write($design->settings, [$pick($design->types)]), true),
            ],
            'opening.own-type' => ['ids' => [$opening]],
            'set.keep' => ['name' => 'S'.mt_rand(), 'members' => [...$openings, $wall]],
            'given.keep' => [
                'name' => 'G'.mt_rand(),
                'file' => md5((string) mt_rand()).'.json',
                'sheet' => 0,
                'header' => $pick([null, 2]),
                'columns' => [
                    ['role' => 'mark'],
                    ['role' => 'width', 'unit' => $pick(['mm', 'ft'])],
                    ['role' => 'on-storey', 'storey' => $storey],
                ],
            ],
            'given.remove' => ['id' => $kept(Kind::Given)],
            'layout.keep' => [
                'source' => 'openings',
                'name' => 'L'.mt_rand(),
                'columns' => [['key' => 'mark', 'name' => $pick([null, 'Ref'])]],
                'merge' => (bool) mt_rand(0, 1),
            ] + $pick([[], ['id' => $kept(Kind::Layout)]]),
            'layout.remove' => ['id' => $kept(Kind::Layout)],
            'section.keep' => [
                'name' => 'X'.mt_rand(),
                'fromX' => mt_rand(-900, 900) / 7,
                'fromY' => -1000,
                'toX' => mt_rand(0, 9000),
                'toY' => 9000,
            ],
            'section.remove' => ['id' => $kept(Kind::Section)],
            'sheet.keep' => [
                'name' => 'T',
                'number' => 'A'.mt_rand(),
                'paper' => $pick(['A3', 'ANSI-D']),
                'items' => [['kind' => 'plan', 'ref' => $storey, 'scale' => $pick([50, 96]), 'x' => mt_rand(0, 900) / 7, 'y' => 20]],
            ],
            'sheet.remove' => ['id' => $kept(Kind::Sheet)],
            'tracing.keep' => [
                'name' => 'T'.mt_rand(),
                'storeys' => [$storey],
                'file' => md5('x').$pick(['.json', '.png']),
                'width' => 800,
                'height' => 600.5,
                'x' => 0,
                'y' => mt_rand(-900, 900) / 7,
                'scale' => mt_rand(1, 900) / 7,
                'locked' => mt_rand(0, 3) === 0,
            ],
            'tracing.remove' => ['id' => $kept(Kind::Tracing)],
            'tracing.place' => ['id' => $kept(Kind::Tracing), 'a' => [mt_rand(0, 900) / 7, 10]] + $pick(
                [
                    ['b' => [2000, 20], 'distance' => '3.2 m'],
                    ['to' => [100, 200.5]],
                    ['to' => [100, 200.5], 'b' => [3000, 40], 'towards' => [mt_rand(0, 900) / 7, 9000]],
                ],
            ),
            'picture.keep' => ['name' => 'P'.mt_rand(), 'file' => md5('x').'.png'],
            'picture.remove' => ['id' => $kept(Kind::Picture)],
            'opening.from-marks' => [
                'storey' => $storey,
                'marks' => [['host' => $wall, 'from' => $from = mt_rand(0, 60000) / 7, 'to' => $from + mt_rand(300, 2000)]],
                'rounded' => (bool) mt_rand(0, 1),
                'type' => $pick([null, $pick($design->types)?->id]),
            ],
            'opening.number' => [
                'text' => $pick(['{storey}.{n}', '{type}/{n}', '']),
                'order' => $pick(['storey', 'along']),
                'start' => mt_rand(0, 9),
            ] + $pick([[], ['ids' => $openings], ['keep' => true]]),
            'type.from-lines' => [
                'fit' => 'fitting',
                'lines' => [[
                    'mark' => 'G-'.mt_rand(0, 999),
                    'kind' => $pick(['pair of doors', 'fixed', 'tilt and turn', 'xyz']),
                    'width' => 900.5,
                    'height' => mt_rand(500, 2500),
                    'sill' => $pick([null, 100]),
                ]],
            ],
            'set.remove' => ['id' => $kept(Kind::Set, 'se-none')],
            'finding.accept' => mt_rand(0, 2) === 0 ? ['note' => 'all', 'all' => [
                ['host' => $wall, 'finding' => 'opening.overlap '.$opening, 'figure' => 3],
                ['host' => $wall, 'finding' => 'x y', 'figure' => 4],
            ]] : ['host' => $wall, 'finding' => 'opening.overlap '.$opening, 'figure' => mt_rand(0, 100) / 3, 'note' => 'n'],
            'finding.reopen' => ['id' => $pick($design->acceptances)?->id ?? 'ac-none'],
            'type.add' => ['mark' => 'T-'.mt_rand()] + \Isleward\Core\Unit\Stock::types()[mt_rand(0, 11)],
            'grid.add' => ['name' => 'grid '.mt_rand()] + GridSample::values(
                $pick([[], ['bays' => ['by' => 'greatest', 'size' => mt_rand(5, 20) * 100]]]),
            ),
            'grid.change' => ['id' => $grid] + $pick([
                ['name' => 'renamed '.mt_rand()],
                ['fit' => 'fitting'] + GridSample::values(['bays' => ['by' => 'count', 'count' => mt_rand(1, 9)]]),
                ['corner' => ['kind' => 'glass', 'joint' => mt_rand(0, 20)]],
            ]),
            'grid.remove' => ['id' => $grid, 'instead' => $pick([null, $pick($design->grids)?->id()])],
            'grid.own' => ['ids' => [$curtain]],
            'curtain.set' => ['walls' => [$wall]] + $pick([
                ['grid' => $grid, 'withContents' => (bool) mt_rand(0, 1)],
                ['grid' => $grid, 'withContents' => true, 'base' => $storey, 'top' => $storey],
                ['grid' => null, 'thickness' => 300],
                ['footFrom' => $pick(['floor', 'datum'])],
                ['lean' => mt_rand(-20, 20), 'foot' => mt_rand(0, 300), 'square' => mt_rand(0, 1) === 1],
                ['bays' => $pick([null, ['walls' => $some($design->walls, 3), 'to' => $pick(['lines', 'sides', 'middles', 'grid'])]])],
                ['rows' => ['walls' => $some($design->walls, 9), 'to' => $pick(['lines', 'sides', 'middles', 'grid'])]],
            ]),
            'band.add' => ['storey' => $storey] + $pick([
                ['walls' => [$wall]],
                ['outline' => $design->walls[$wall]->outline ?? 'ou-none',
                    'spaced' => ['size' => 400, 'corners' => $pick(['on', 'through'])]],
                ['circle' => ['x' => mt_rand(0, 20000), 'y' => -9000, 'radius' => mt_rand(1000, 4000)],
                    'spaced' => ['by' => 'count', 'count' => 12]],
                ['points' => [[0, -5000], ['x' => 9000, 'y' => -5000, 'rise' => 900]], 'stand' => 'lying', 'laws' => ['reach' => $law()]],
            ]),
            'band.change' => ['ids' => [$band]] + $pick([
                ['gap' => mt_rand(0, 600), 'foot' => mt_rand(-300, 900) / 7],
                ['laws' => [$pick(['reach', 'thickness', 'length']) => $law()]],
                ['spaced' => ['size' => mt_rand(150, 900), 'corners' => $pick(['clear', 'on', 'through']), 'clear' => mt_rand(0, 400)]],
                ['walls' => [$wall]],
                ['shape' => $pick(['round', 'ellipse', 'flat']), 'stand' => $pick(['standing', 'lying', 'reaching'])],
            ]),
            'field.fill' => $pick([['opening' => $opening], ['wall' => $wall, 'storey' => $design->walls[$wall]->base ?? $storey,
                'region' => [[300, 300], [1500, 300], [1200, 1500]]]]) + ['angle' => mt_rand(0, 179), 'wide' => mt_rand(20, 60)],
            'field.change' => ['id' => $of(Field::class, 'fl-none')] + $pick([
                ['turn' => mt_rand(0, 60), 'deep' => mt_rand(20, 90)], ['angle' => $pick([0, 90, 33])],
                ['shape' => $pick(['flat', 'round', 'tee', 'ellipse'])],
                ['frameWide' => $pick([0, 30])],
                ['turnLaw' => $pick([null, ['kind' => 'ramp', 'from' => -30, 'to' => mt_rand(0, 60)]])],
                ['screen' => $screen, 'cut' => $pick($parts)], ['screen' => $screen],
                ['battens' => ['by' => $pick(['fit', 'gap', 'count']), 'size' => mt_rand(40, 90), 'count' => mt_rand(1, 9)]],
            ]),
            'field.copy' => ['id' => $of(Field::class, 'fl-none')] + $pick([['openings' => [$opening]], ['cuts' => [$pick($parts)]]]),
            'field.remove' => ['ids' => [$of(Field::class, 'fl-none')]],
            'layer.carry' => $pick([
                ['id' => $of(Field::class, 'fl-none'), 'to' => [$of(Field::class, 'fl-none')]],
                ['id' => $band, 'to' => [$of(Band::class, 'ba-none')]],
                ['id' => $screen, 'to' => [$of(Screen::class, 'sc-none')]],
            ]),
            'floor-band.add' => ['storey' => $design->storeys->all[0]->id, 'top' => $storey] + $pick([
                ['outline' => $design->walls[$wall]->outline ?? 'ou-none', 'out' => mt_rand(-200, 700) / 3],
                ['circle' => ['x' => 0, 'y' => -9000, 'radius' => mt_rand(2000, 4000)], 'depth' => null, 'edge' => 'rounded'],
            ]),
            'floor-band.change' => ['id' => $floor] + $pick([
                ['height' => mt_rand(100, 400), 'level' => mt_rand(-100, 100) / 7], ['out' => $law()], ['depth' => $pick([null, 300, 500])],
                ['edge' => $pick(['square', 'chamfered', 'rounded']), 'edgeSize' => mt_rand(10, 60)],
                ['inner' => (bool) mt_rand(0, 1)], ['withoutHole' => mt_rand(0, 2)],
                ['hole' => ['rectangle' => ['x' => mt_rand(500, 6000), 'y' => mt_rand(500, 4000), 'width' => 900, 'depth' => 1200]]],
            ]),
            'floor-band.remove' => ['ids' => [$floor]],
            'roof.add' => ['outline' => $design->walls[$wall]->outline ?? 'ou-none', 'storey' => $storey, 'pitch' => mt_rand(5, 60)],
            'roof.change' => ['id' => $roof] + $pick([
                ['pitch' => $pick(['9 : 12', 22.5, 40])], ['overhang' => mt_rand(0, 700), 'thick' => mt_rand(100, 400)],
                ['level' => mt_rand(-500, 500) / 7], ['edge' => ['wall' => $wall, 'pitch' => $pick([null, 20, 50])]],
                ['edge' => ['wall' => $wall, 'gable' => (bool) mt_rand(0, 1), 'open' => mt_rand(0, 4) === 0]],
                ['edge' => ['wall' => $wall, 'gable' => true, 'hip' => mt_rand(300, 2500)]], ['within' => (bool) mt_rand(0, 1)],
                ['along' => (bool) mt_rand(0, 1)], ['cut' => $pick(['upright', 'square', 'level'])],
                ['also' => $pick([[], $some($design->outlines, 1)])],
                ['through' => $pick([[], $some($design->outlines, 1)])], ['eaves' => mt_rand(0, 9000)], ['ridge' => mt_rand(4000, 16000)],
            ]),
            'roof.remove' => ['ids' => [$roof]],
            'roof.light' => ['id' => $roof] + $pick([
                ['type' => $fixed, 'wall' => $slope, 'from' => 'middle', 'up' => 'middle', 'width' => mt_rand(300, 900), 'height' => 400],
                ['type' => $fixed, 'wall' => $slope, 'from' => 'middle', 'along' => mt_rand(-900, 900), 'width' => 300, 'height' => 300],
                ['type' => $pick($design->types)?->id, 'at' => ['x' => mt_rand(0, 18000), 'y' => mt_rand(0, 11000)]],
                ['n' => $lamp, 'from' => $pick(['left', 'middle', 'right']), 'up' => $pick(['eaves', 'middle', 'ridge'])],
                ['n' => $lamp, 'along' => mt_rand(0, 9000) / 7, 'rise' => mt_rand(0, 3000) / 7, 'level' => (bool) mt_rand(0, 1)],
                ['copy' => $lamp], ['n' => $lamp, 'count' => mt_rand(1, 4), 'gap' => mt_rand(0, 500)],
            ]),
            'roof.light-remove' => ['id' => $roof, 'ns' => [$lamp]],
            'wall.edge' => ['walls' => [$wall]] + $pick([
                ['head' => ['roof' => $roof]], ['foot' => ['roof' => $roof]], ['head' => null],
                ['foot' => null, 'head' => ['roof' => $roof]],
                ['head' => ['points' => [
                    ['along' => mt_rand(0, 3000), 'over' => mt_rand(-400, 900)],
                    ['along' => mt_rand(3000, 6000), 'over' => mt_rand(-400, 900)],
                ]]],
            ]),
            'band.remove' => ['ids' => [$band]],
            'band.pin' => ['id' => $band, 'pieces' => [mt_rand(0, 30)]]
                + $pick([['reach' => mt_rand(50, 500) / 3], ['out' => true], ['release' => true]]),
            'band.draw' => ['id' => $band, 'of' => $pick(['reach', 'thickness', 'turn'])] + $pick([
                ['kind' => $pick(['constant', 'ramp', 'wave', 'bump', 'steps', 'drawn', 'seeded', 'combined'])],
                ['at' => mt_rand(0, 99) / 100, 'value' => mt_rand(20, 600)],
                ['handle' => $pick(['from', 'to', 'value', 'point 1', 'crest 0', 'crown']), 'at' => 0.3, 'value' => mt_rand(20, 600)],
            ]),
            'screen.add' => [
                'storey' => $storey, 'gap' => mt_rand(0, 600), 'thick' => mt_rand(10, 60), 'height' => mt_rand(900, 4000),
            ] + $pick([
                ['walls' => [$wall]], ['outline' => $design->walls[$wall]->outline ?? 'ou-none', 'edges' => true],
            ]),
            'screen.change' => ['id' => $screen] + $pick([
                ['gap' => mt_rand(0, 2000) / 7], ['thick' => mt_rand(10, 50)], ['edges' => (bool) mt_rand(0, 1), 'reveals' => true],
                ['walls' => [$wall]], ['storey' => $storey],
            ]),
            'screen.draw' => ['id' => $screen, 'cut' => mt_rand(0, 3) > 0, 'wall' => $front ?? $wall] + $pick([
                ['shape' => ['form' => 'rectangle', 'u' => mt_rand(0, 4000) / 3, 'v' => mt_rand(0, 700), 'width' => mt_rand(200, 900),
                    'height' => mt_rand(200, 400), 'radius' => mt_rand(0, 100)]],
                ['shape' => ['form' => 'round', 'u' => mt_rand(0, 4000), 'v' => mt_rand(0, 500), 'width' => mt_rand(200, 500)]],
                ['shape' => ['form' => 'openings', 'around' => [$opening], 'grow' => mt_rand(0, 200)]],
                ['n' => mt_rand(1, 4), 'shape' => ['grow' => mt_rand(-20, 90)]],
                ['n' => $pick($parts), 'type' => $pick($design->types)?->id, 'mirrored' => (bool) mt_rand(0, 1)],
                ['shape' => ['form' => 'rectangle', 'width' => mt_rand(200, 900), 'height' => mt_rand(200, 400)],
                    'position' => $along() + ['to' => $pick(['near', 'far', 'centre'])], 'sill' => $sill()],
                ['n' => $pick($parts), 'measure' => ['to' => 'centre'] + $pick([$along(), ['from' => 'middle'], ['from' => 'right']])],
                ['n' => $pick($parts), 'measureSill' => $pick([$sill(), ['from' => 'datum', 'edge' => 'head']])],
                ['n' => $pick($parts)] + $pick([['value' => mt_rand(0, 900)], ['sillHeight' => mt_rand(0, 900)], ['position' => null]]),
            ]),
            'screen.move' => ['id' => $screen, 'parts' => [$pick($parts)], 'du' => mt_rand(-300, 300) / 7],
            'screen.copy' => ['id' => $screen, 'parts' => [$pick($parts)]]
                + $pick([['du' => mt_rand(-90, 200), 'times' => 1], ['storeys' => [$storey]], ['to' => $front ?? $wall, 'dv' => 90]]),
            'screen.mirror' => [
                'id' => $screen, 'parts' => [$pick($parts)], 'about' => mt_rand(500, 2500), 'keep' => (bool) mt_rand(0, 1),
            ],
            'screen.space' => [
                'id' => $screen, 'parts' => $parts, 'by' => $pick(['gaps', 'centres']), 'ends' => mt_rand(0, 3) > 0,
            ],
            'screen.take-out' => ['id' => $screen, 'parts' => [$pick($parts)]],
            'screen.remove' => ['ids' => [$screen]],
            'band.carry' => ['id' => $band, 'shift' => mt_rand(-50, 50), 'mirrored' => (bool) mt_rand(0, 1)]
                + $pick([['to' => [$of(Band::class, 'ba-none')]], ['storeys' => [$storey], 'scale' => mt_rand(1, 30) / 10]]),
            'band.move' => ['ids' => $arranged = $pick([$bands(1), $bands(2)])] + $pick([
                ['up' => mt_rand(-600, 600) / 7], ['up' => 10, 'out' => mt_rand(-50, 300)],
                ['level' => $pick(['feet', 'middles', 'heads']), 'to' => $arranged[0] ?? 'ba-none'],
            ]),
            'band.copy' => ['ids' => $bands(1), 'times' => mt_rand(1, 3), 'shift' => $pick([0, 25])]
                + $pick([['up' => mt_rand(100, 900)], ['out' => mt_rand(0, 300)]]),
            'band.space' => ['ids' => $bands(4), 'by' => $pick(['gaps', 'centres']), 'ends' => (bool) mt_rand(0, 1)],
            'band.mirror' => ['ids' => $bands(1)],
            'curtain.before' => [
                'walls' => mt_rand(0, 1) === 0 ? [$wall] : array_keys(array_filter(
                    $design->walls,
                    static fn ($w): bool => $w->outline === ($design->walls[$wall]->outline ?? ''),
                )),
                'grid' => $grid, 'offset' => mt_rand(100, 900),
            ],
            'curtain.hand' => ['ids' => [$curtain]] + $pick([
                ['lines' => [['axis' => 'upright', 'done' => 'moved', 'line' => '1', 'from' => 'before', 'at' => mt_rand(3, 9) * 100]]],
                ['lines' => [['axis' => 'level', 'done' => 'added', 'at' => mt_rand(3, 9) * 100]]],
                ['members' => [['axis' => 'level', 'line' => '1', 'from' => '0', 'profile' => null]]],
                ['infills' => [['left' => '0', 'foot' => '0', 'infill' => ['kind' => 'void']]]],
                ['divide' => [[
                    'left' => '0', 'foot' => '0', 'axis' => $pick(['level', 'upright']), 'through' => $pick(['part', 'stretch', 'run']),
                ]]],
                ['mirror' => ['places' => [0]]],
                ['resetAll' => true],
            ]),
            'opening.curtain' => ['ids' => array_slice($openings, 0, 2), 'grid' => $grid] + $fit,
            default => throw new \LogicException("The random run knows nothing to try with $edit."),
        }];
    }
}
