<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\AlignedTo;
use Isleward\Core\Design\Bend;
use Isleward\Core\Design\Edge;
use Isleward\Core\Design\Face;
use Isleward\Core\Design\Jamb;
use Isleward\Core\Design\Jambs;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\LineAxis;
use Isleward\Core\Design\Point;
use Isleward\Core\Design\Reference;
use Isleward\Core\Design\SillDatum;
use Isleward\Core\Layer\BattensBy;
use Isleward\Core\Layer\BattenShape;
use Isleward\Core\Layer\Corners;
use Isleward\Core\Layer\FloorEdge;
use Isleward\Core\Layer\Law\Driven;
use Isleward\Core\Layer\Law\LawKind;
use Isleward\Core\Layer\LeftOver;
use Isleward\Core\Layer\Quantity;
use Isleward\Core\Layer\Remainder;
use Isleward\Core\Layer\ScreenForm;
use Isleward\Core\Layer\SectionShape;
use Isleward\Core\Layer\SpacedBy;
use Isleward\Core\Layer\Stand;
use Isleward\Core\Measure\Argument as A;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Units;

/** What every edit may be asked with; what else comes is refused, so that a slip of a name does not pass unseen. */
final class Arguments
{
    /** @var array<string, array<string, A>>|null */
    private static ?array $all = null;

    /** @return array<string, array<string, A>> by the edit's name */
    public static function all(): array
    {
        return self::$all ??= [
            ...self::ofBuilding(), ...self::ofLines(), ...self::ofOpenings(), ...self::ofMany(), ...self::ofTypes(),
            ...self::ofGrids(), ...self::ofBands(), ...self::ofScreens(), ...self::ofKept(),
        ];
    }

    /** @return array<string, A>|null */
    private static function of(string $edit): ?array
    {
        if (self::$all !== null) {
            return self::$all[$edit] ?? null;
        }
        // one edit is asked for at a time: only those it stands among are made
        $first = match (strstr($edit, '.', true)) {
            'band', 'field', 'floor-band', 'roof', 'layer' => self::ofBands(...),
            'screen' => self::ofScreens(...),
            'curtain', 'grid' => self::ofGrids(...),
            'type' => self::ofTypes(...),
            'line' => self::ofLines(...),
            'wall', 'outline', 'storey', 'settings' => self::ofBuilding(...),
            default => self::ofOpenings(...),
        };
        foreach ([
            $first, self::ofOpenings(...), self::ofMany(...), self::ofLines(...), self::ofTypes(...),
            self::ofGrids(...), self::ofBands(...), self::ofScreens(...), self::ofBuilding(...), self::ofKept(...),
        ] as $group) {
            $said = $group();
            if (isset($said[$edit])) {
                return $said[$edit];
            }
        }

        return null;
    }

    /** @throws Refusal when there is an argument that the edit has not */
    public static function require(string $edit, Fields $args): void
    {
        $known = self::of($edit) ?? throw new \LogicException("The arguments of $edit are not said.");
        foreach (array_keys($args->all()) as $name) {
            if (! isset($known[$name])) {
                throw Refusal::because(
                    'edit.argument',
                    sprintf('%s has no “%s”; it has %s.', $edit, mb_substr((string) $name, 0, 40), implode(', ', array_keys($known))),
                    details: ['field' => mb_substr((string) $name, 0, 40), 'known' => array_keys($known)],
                );
            }
        }
    }

    /** @return array<string, array<string, A>> */
    private static function ofBuilding(): array
    {
        $arc = [
            'rise' => A::length(), 'radius' => A::length(), 'angle' => A::number()->says('degrees'), 'length' => A::length(),
            'major' => A::flag()->says('the longer way round'),
        ];
        $corner = A::object([
            'x' => A::length(), 'y' => A::length(), 'through' => A::point(), 'tangent' => A::flag(),
        ] + $arc);

        $edge = A::object([
            'roof' => A::text(),
            'points' => A::list(A::object(['along' => A::length()->required(), 'over' => A::length()->required()]), 1),
        ]);

        return [
            'settings.change' => [
                'name' => A::text(), 'units' => A::choice(Units::class), 'cornerMargin' => A::length(), 'baseLevel' => A::length(),
                'north' => A::number(), 'nib' => A::length(),
                'module' => A::object(['length' => A::length(), 'height' => A::length(), 'joint' => A::length()])->orNull(),
                'finishes' => A::list(A::open('a finish')), 'unitRules' => A::open('limits of units'), 'slab' => A::length(),
                'setting' => A::length(), 'jambs' => A::choice(Jambs::class),
                'curtainRules' => A::open('limits and bars of curtain walls'),
                'layerRules' => A::open('limits of fins, battens and screens'),
            ],
            'storey.insert' => [
                'name' => A::text()->required(), 'height' => A::length()->required(), 'above' => A::text()->orNull(),
            ],
            'storey.change' => ['id' => A::text()->required(), 'name' => A::text(), 'height' => A::length()],
            'storey.remove' => ['id' => A::text()->required(), 'withContents' => A::flag()],
            'outline.draw' => [
                'points' => A::list(A::either(A::point(), $corner)),
                'closing' => A::object($arc + ['through' => A::point(), 'tangent' => A::flag()]),
                'rectangle' => A::object([
                    'x' => A::length(), 'y' => A::length(), 'width' => A::length()->required(), 'depth' => A::length()->required(),
                    'radius' => A::length(),
                ]),
                'circle' => A::object(['x' => A::length(), 'y' => A::length(), 'radius' => A::length()->required()]),
                'thickness' => A::length(), 'base' => A::text()->required(), 'top' => A::text()->required(),
                'grid' => A::text()->orNull(), 'lean' => A::number(), 'foot' => A::length(), 'height' => A::length()->orNull(),
                'faceted' => A::flag(), 'closed' => A::flag(), 'inner' => A::flag(), 'name' => A::text()->orNull(),
                'line' => A::choice(['face', 'centre']),
                'outside' => A::choice(['left', 'right']),
            ],
            'outline.change' => ['id' => A::text()->required(), 'name' => A::text(), 'slab' => A::length()->orNull()],
            'outline.turn' => ['id' => A::text()->required()],
            'outline.remove' => ['id' => A::text()->required(), 'withContents' => A::flag()],
            'outline.round' => ['outline' => A::text()->required(), 'radius' => A::length()->required(), 'walls' => A::ids()],
            'outline.recess' => [
                'wall' => A::text()->required(), 'from' => A::length()->required(), 'to' => A::length()->required(),
                'depth' => A::length()->required(),
            ],
            'wall.change' => ['walls' => A::ids()->required(), 'thickness' => A::length(), 'base' => A::text(), 'top' => A::text()],
            'wall.edge' => ['walls' => A::ids()->required(), 'head' => $edge->orNull(), 'foot' => $edge->orNull()],
            'wall.move' => ['wall' => A::text()->required(), 'by' => A::length()->required()],
            'wall.turn' => [
                'wall' => A::text()->required(), 'degrees' => A::number()->required(), 'about' => A::choice(['left', 'middle', 'right']),
            ],
            'wall.stack' => [
                'walls' => A::ids()->required(), 'from' => A::text()->required(), 'storeys' => A::ids()->required(), ...self::fit(),
            ],
            'wall.bend' => [
                'wall' => A::text()->required(), ...$arc, 'chord' => A::length(), 'outward' => A::flag(), 'keeps' => A::choice(Bend::class),
                'through' => A::object(['x' => A::length()->required(), 'y' => A::length()->required()]),
            ],
        ];
    }

    /** @return array<string, array<string, A>> */
    private static function ofLines(): array
    {
        $rule = A::either(A::object(self::along()), A::object(self::level()));

        return [
            'line.add' => [
                'host' => A::text()->required(), 'storey' => A::text()->orNull(), 'axis' => A::choice(LineAxis::class), 'name' => A::text(),
                'rule' => $rule, 'parts' => A::count(), 'percentages' => A::list(A::length()), 'between' => A::ids(),
            ],
            'line.across' => ['id' => A::text()->required(), 'side' => A::choice(['left', 'right'])->required()],
            'line.change' => [
                'id' => A::text()->required(), 'name' => A::text(), 'storey' => A::text()->orNull(), 'rule' => $rule,
                'value' => A::length(), 'by' => A::length(),
            ],
            'line.remove' => ['ids' => A::ids(), 'all' => A::flag(), 'keepFigures' => A::flag()],
        ];
    }

    /** @return array<string, A> how something is measured another way, where it lies */
    private static function measured(): array
    {
        return [
            'measure' => A::object([
                'from' => A::choice(Reference::class), 'ref' => A::text()->orNull(), 'point' => A::choice(Point::class),
                'at' => A::length(), 'face' => A::choice(Face::class), 'to' => A::choice(Jamb::class), 'value' => A::length(),
            ]),
            'measureSill' => A::object([
                'from' => A::choice(SillDatum::class), 'ref' => A::text()->orNull(), 'point' => A::choice(Edge::class),
                'edge' => A::choice(Edge::class), 'height' => A::length(),
            ]),
        ];
    }

    /** @return array<string, array<string, A>> */
    private static function ofOpenings(): array
    {
        $position = A::object(self::along() + ['to' => A::choice(Jamb::class)]);
        $sill = A::object(self::level());
        $look = [
            'facesOut' => A::flag(), 'mirrored' => A::flag(), 'setback' => A::length(), 'jambs' => A::choice(Jambs::class)->orNull(),
        ];
        $chosen = ['ids' => A::ids()->required()];

        $change = [
            'storey' => A::text(), 'type' => A::text()->orNull(), 'width' => A::length(), 'height' => A::length(), 'position' => $position,
            'sill' => $sill, ...$look, 'ajar' => A::number()->orNull(), 'sillHeight' => A::length(), 'value' => A::length(),
            'head' => A::length(), 'keep' => A::choice(['sill', 'head']), 'sillFrom' => A::choice(SillDatum::class), ...self::measured(),
            'leftJamb' => A::length(), 'sillLevel' => A::length(), 'by' => A::object(['u' => A::length(), 'v' => A::length()]),
            'nib' => A::object(['side' => A::choice(['left', 'right'])->required(), 'width' => A::length()->required()]),
        ];

        return [
            'opening.place' => [
                'host' => A::text()->required(), 'storey' => A::text()->required(), 'type' => A::text()->orNull(),
                'grid' => A::text()->orNull(), 'width' => A::length(),
                'height' => A::length(), 'shape' => A::list(A::number())->orNull(), 'position' => $position->required(), 'sill' => $sill,
                'headAt' => A::length(), ...$look,
            ],
            'opening.change' => ['id' => A::text(), 'ids' => A::ids(), ...$change, ...self::fit()],
            'opening.change-each' => [
                'changes' => A::list(A::object(['id' => A::text()->required(), ...$change]), 1)->required(), ...self::fit(),
            ],
            'opening.remove' => $chosen + ['keepFigures' => A::flag()],
            'opening.fill' => $chosen + ['door' => A::text()->orNull(), 'window' => A::text()->orNull(), ...self::fit()],
            'opening.empty' => $chosen + self::fit(),
            'opening.curtain' => $chosen + ['grid' => A::text()->required(), ...self::alignments(), ...self::fit()],
            'opening.own-type' => $chosen,
            'opening.number' => [
                'ids' => A::ids(), 'text' => A::text()->required(), 'start' => A::count(), 'digits' => A::count(),
                'order' => A::choice(['storey', 'along']), 'keep' => A::flag(),
            ],
            'opening.from-marks' => [
                'storey' => A::text()->required(), 'type' => A::text()->orNull(), 'height' => A::length(), 'sill' => A::length(),
                'rounded' => A::flag(),
                'marks' => A::list(A::object([
                    'host' => A::text()->required(), 'from' => A::length()->required(), 'to' => A::length()->required(),
                ]))->required(),
                ...self::fit(),
            ],
            'finding.accept' => [
                'host' => A::text(), 'finding' => A::text(), 'figure' => A::number(), 'note' => A::text(), 'all' => A::list(A::object([
                    'host' => A::text()->required(), 'finding' => A::text()->required(), 'figure' => A::number()->required(),
                ]), 1),
            ],
            'finding.reopen' => ['id' => A::text()->required()],
        ];
    }

    /** @return array<string, array<string, A>> what is done to many */
    private static function ofMany(): array
    {
        $chosen = ['ids' => A::ids()->required()];

        return array_map(static fn (array $args): array => $chosen + $args + self::fit(), [
            'opening.repeat' => [
                'by' => A::choice(['pitch', 'ends', 'fit']), 'count' => A::count(), 'pitch' => A::length(), 'pier' => A::length(),
            ],
            'opening.space' => [
                'between' => A::choice(['outer', 'ends', 'lines']), 'by' => A::choice(['gaps', 'centres']), 'lines' => A::ids(),
            ],
            'opening.copy' => [
                'walls' => A::either(A::ids(), A::choice(['opposite'])), 'fromLeft' => A::flag(),
                'pick' => A::object(['opening' => A::text()->required(), 'point' => A::choice(Point::class)->required()]),
                'put' => A::object(['host' => A::text()->required(), 'storey' => A::text()->orNull()] + self::along()),
            ],
            'opening.stack' => ['storeys' => A::either(A::ids(), A::choice(['all']))],
            'opening.mirror' => [
                'about' => A::choice(['middle', 'line', 'outline']), 'line' => A::text(), 'copy' => A::flag(), 'along' => A::flag(),
            ],
            'opening.align' => [
                'edge' => A::choice(['head', 'sill', 'left', 'right', 'centre'])->required(),
                'to' => A::text()->required()->says('“below”, an opening or a line'), 'hold' => A::flag(),
            ],
            'opening.carry' => [
                'from' => A::text()->required(), 'settings' => A::list(A::choice(OpeningCarry::SETTINGS))->required(),
            ],
        ]);
    }

    /** @return array<string, array<string, A>> */
    private static function ofTypes(): array
    {
        $made = [
            'mark' => A::text(), 'name' => A::text(), 'width' => A::length(), 'height' => A::length(), 'sill' => A::length(),
            'tree' => A::open('the unit’s make, as docs/schemas has it'),
        ];

        return [
            'type.add' => $made,
            'type.change' => ['id' => A::text()->required(), ...$made, ...self::fit()],
            'type.remove' => ['id' => A::text()->required(), 'instead' => A::text()->orNull()],
            'type.clear' => ['ids' => A::ids()->required()],
            'type.import' => ['document' => A::open('a file of unit types')->required(), 'marks' => A::ids()],
            'type.from-lines' => [
                'lines' => A::list(A::object([
                    'mark' => A::text()->required(), 'kind' => A::text()->orNull(), 'width' => A::length()->orNull(),
                    'height' => A::length()->orNull(), 'sill' => A::length()->orNull(),
                ]))->required(),
                'likes' => A::open('kind → mark of a ready type'), ...self::fit(),
            ],
        ];
    }

    /** @return array<string, array<string, A>> */
    private static function ofGrids(): array
    {
        $made = [
            'mark' => A::text(), 'name' => A::text(), 'corner' => A::open('what stands at corners, as docs/schemas has it'),
            'rules' => A::open('the rules of the grid, as docs/schemas has them'),
        ];
        $places = A::list(A::count());
        $figures = ['u' => A::length(), 'v' => A::length()];
        $changes = static fn (string $what): A => A::list(A::open($what));

        return [
            'grid.add' => $made,
            'grid.change' => ['id' => A::text()->required(), ...$made, ...self::fit()],
            'grid.remove' => ['id' => A::text()->required(), 'instead' => A::text()->orNull()],
            'grid.own' => ['ids' => A::ids()->required()],
            'curtain.set' => [
                'walls' => A::ids()->required(), 'grid' => A::text()->orNull(), 'lean' => A::number()->says('degrees from upright, inward'),
                'foot' => A::length(), 'footFrom' => A::choice(['floor', 'datum']), 'height' => A::length()->orNull(),
                'faceted' => A::flag(), 'square' => A::flag(),
                'corner' => A::open('what stands at their left end')->orNull(), 'base' => A::text(), 'top' => A::text(),
                'thickness' => A::length(), 'withContents' => A::flag(), ...self::alignments(),
            ],
            'curtain.before' => [
                'walls' => A::ids()->required(), 'grid' => A::text()->required(), 'offset' => A::length()->required(),
                'base' => A::text(), 'top' => A::text(), 'name' => A::text(),
            ],
            'curtain.hand' => [
                'ids' => A::ids()->required(), 'resetAll' => A::flag(),
                'reset' => A::list(A::object([
                    'of' => A::choice(['lines', 'members', 'infills', 'free'])->required(), 'places' => $places->required(),
                ])),
                'lines' => A::list(A::object([
                    'axis' => A::choice(['upright', 'level'])->required(), 'done' => A::choice(['added', 'moved', 'removed'])->required(),
                    'line' => A::text()->says('none for one that is added'), 'from' => A::choice(['start', 'end', 'before', 'after']),
                    'at' => A::length(), 'within' => A::text()->says('the crossing line at which the one bay or row begins')->orNull(),
                    'beside' => A::text()->says('the line that an added one lies before or after')->orNull(), 'element' => A::text(),
                ])),
                'members' => $changes('a member with another profile, or none'),
                'infills' => $changes('a cell with another infill'), 'free' => $changes('a free member'),
                'move' => A::object(['places' => $places->required(), ...$figures, 'copy' => A::flag()]),
                'mirror' => A::object(['places' => $places->required(), 'u' => A::length()]),
                'join' => A::list(A::object([
                    'left' => A::text()->required(), 'foot' => A::text()->required(), 'element' => A::text(),
                ])),
                'divide' => A::list(A::object([
                    'left' => A::text()->required(), 'foot' => A::text()->required(), 'axis' => A::choice(['level', 'upright']),
                    'element' => A::text(), 'at' => A::length(), 'through' => A::choice(['part', 'stretch', 'run']),
                ])),
            ],
        ];
    }

    /** @return array<string, A> what the lines of a curtain wall are in line with; null for as its type sets them out */
    private static function alignments(): array
    {
        $to = ['walls' => A::ids()->required(), 'to' => A::choice(array_column(AlignedTo::cases(), 'value'))->required()];

        return ['bays' => A::object($to)->orNull(), 'rows' => A::object($to)->orNull()];
    }

    /** @return array<string, array<string, A>> */
    private static function ofBands(): array
    {
        $law = A::either(A::length(), A::open('a law: its kind and its figures, as docs/guide.md has them'));
        $laws = $figures = [];
        foreach (Quantity::cases() as $quantity) {
            $laws[$quantity->value] = $law;
            $figures[$quantity->value] = $quantity->driven() === Driven::Length ? A::length() : A::number()->says('degrees');
        }
        $drawn = array_intersect_key(
            self::ofBuilding()['outline.draw'],
            ['points' => 1, 'rectangle' => 1, 'circle' => 1, 'closed' => 1, 'closing' => 1],
        );
        $band = [
            'name' => A::text(), 'outline' => A::text()->orNull(), 'walls' => A::list(A::text()), ...$drawn, 'gap' => A::length(),
            'storey' => A::text(), 'foot' => A::length(), 'stand' => A::choice(Stand::class), 'shape' => A::choice(SectionShape::class),
            'profile' => A::list(A::list(A::number()))->says('corners of a drawn section, as shares of its thickness and reach'),
            'spaced' => A::object([
                'by' => A::choice(SpacedBy::class), 'size' => A::length(), 'count' => A::count(), 'start' => A::length(),
                'end' => A::length(), 'remainder' => A::choice(Remainder::class), 'corners' => A::choice(Corners::class),
                'clear' => A::length(),
            ]),
            'laws' => A::object($laws), 'finish' => A::text()->orNull(),
        ];
        $field = [
            'name' => A::text(), 'opening' => A::text()->orNull(), 'wall' => A::text(), 'storey' => A::text(),
            'region' => A::list(A::list(A::length())), 'angle' => A::number()->says('degrees from upright'),
            'screen' => A::text(), 'cut' => A::count(), 'cell' => A::text()->says('“cell 2 1”, of the opening or the wall'),
            'shape' => A::choice(BattenShape::class), 'web' => A::length(), 'profile' => A::list(A::list(A::number())),
            'frameWide' => A::length(), 'frameDeep' => A::length(),
            'wide' => A::length(), 'deep' => A::length(), 'turn' => A::number()->says('degrees'),
            'turnLaw' => A::open('a law from the first batten to the last: its kind and its figures')->orNull(), 'out' => A::length(),
            'battens' => A::object([
                'by' => A::choice(BattensBy::class), 'size' => A::length(), 'count' => A::count(), 'ends' => A::flag(),
                'left' => A::choice(LeftOver::class),
            ]),
            'finish' => A::text()->orNull(),
        ];
        $floor = [
            'name' => A::text(), 'outline' => A::text()->orNull(), ...$drawn, 'storey' => A::text(),
            'top' => A::text()->says('the last storey it stands on'), 'level' => A::length(), 'height' => A::length(),
            'depth' => A::length()->orNull(), 'out' => $law, 'edge' => A::choice(FloorEdge::class), 'edgeSize' => A::length(),
            'inner' => A::flag()->says('it follows the inner faces of the walls'),
            'hole' => A::object(array_diff_key($drawn, ['closed' => 1])),
            'withoutHole' => A::count()->says('number of the opening in the slab that closes, from 0'),
            'profile' => A::list(A::list(A::number()))->says('of a drawn edge: inward and down, as shares of its height'),
            'finish' => A::text()->orNull(),
        ];

        $pitch = A::either(A::number(), A::text());
        $edge = [
            'wall' => A::text()->required(), 'gable' => A::flag(), 'pitch' => $pitch->orNull(), 'overhang' => A::length()->orNull(),
            'halfHip' => A::flag()->says('a half hip that begins half way up its gable'),
            'open' => A::flag()->says('of a gable: no wall is to close it'),
            'hip' => A::length()->orNull()->says('of a gable: how far over the eaves a half hip begins'),
        ];
        $roof = [
            'name' => A::text(), 'outline' => A::text(), 'also' => A::ids()->says('outlines that it lies over besides'),
            'through' => A::ids()->says('outlines that stand up through it: it is cut round them'),
            'storey' => A::text(), 'level' => A::length(),
            'pitch' => $pitch->says('degrees, or rise over run: “9 : 12”'), 'overhang' => A::length(), 'thick' => A::length(),
            'along' => A::flag()->says('the overhang is measured along the slope'),
            'eaves' => A::length()->says('level of the underside of its eaves, for its level'),
            'ridge' => A::length()->says('level of its highest line, for its pitch'),
            'cut' => A::text()->says('its eaves: upright, square or level'),
            'within' => A::flag()->says('between its walls, which stand up round it as parapets'),
            'edges' => A::list(A::object($edge)), 'edge' => A::object($edge)->says('what is otherwise over one wall'),
            'finish' => A::text()->orNull(),
        ];

        return [
            'band.add' => [...$band, 'storey' => A::text()->required()],
            'band.change' => [
                'ids' => A::ids()->required(), ...$band, 'turned' => A::flag()->says('a line of its own is run the other way'),
            ],
            'band.remove' => ['ids' => A::ids()->required()],
            'field.fill' => $field,
            'field.change' => ['id' => A::text()->required(), ...$field],
            'field.copy' => [
                'id' => A::text()->required(), 'openings' => A::ids(), 'cuts' => A::list(A::count()), 'cells' => A::list(A::text()),
            ],
            'field.remove' => ['ids' => A::ids()->required()],
            'layer.carry' => ['id' => A::text()->required(), 'to' => A::ids()->required()],
            'floor-band.add' => $floor,
            'floor-band.change' => ['id' => A::text()->required(), ...$floor],
            'floor-band.remove' => ['ids' => A::ids()->required()],
            'roof.add' => [...$roof, 'outline' => A::text()->required()],
            'roof.change' => ['id' => A::text()->required(), ...$roof],
            'roof.remove' => ['ids' => A::ids()->required()],
            'roof.light' => [
                'id' => A::text()->required()->says('the roof'), 'n' => A::count()->says('the rooflight that is changed'),
                'copy' => A::count()->says('the rooflight that is placed once more'), 'wall' => A::text()->says('that its face lies over'),
                'at' => A::object(['x' => A::number()->required(), 'y' => A::number()->required()])
                    ->says('what its middle lies over in plan'),
                'type' => A::text(), 'width' => A::length(), 'height' => A::length()->says('up the slope'),
                'from' => A::text()->says('left, middle or right: of its face, seen from outside'), 'along' => A::length(),
                'up' => A::text()->says('eaves, middle or ridge'), 'rise' => A::length(),
                'level' => A::flag()->says('rise is measured level'),
                'proud' => A::length(), 'count' => A::count(), 'gap' => A::length(),
            ],
            'roof.light-remove' => ['id' => A::text()->required(), 'ns' => A::list(A::count(), 1)->required()],
            'band.pin' => [
                'id' => A::text()->required(), 'pieces' => A::list(A::count(), 1)->required(), 'out' => A::flag(), 'release' => A::flag(),
                ...$figures,
            ],
            'band.draw' => [
                'id' => A::text()->required(), 'of' => A::choice(Quantity::class)->required(), 'kind' => A::choice(LawKind::class),
                'handle' => A::text(), 'at' => A::number()->says('share of the run, 0 to 1'), 'value' => A::length(), 'remove' => A::flag(),
            ],
            'band.carry' => [
                'id' => A::text()->required(), 'to' => A::list(A::text()), 'storeys' => A::list(A::text()),
                'which' => A::list(A::choice(Quantity::class)), 'shift' => A::number()->says('% of the run, for each more'),
                'mirrored' => A::flag(), 'scale' => A::number(),
            ],
            'band.move' => [
                'ids' => A::ids()->required(), 'up' => A::length(), 'out' => A::length(),
                'level' => A::choice(BandLevel::class)->says('what is brought to that of the one it is brought to'),
                'to' => A::text()->says('the band whose level the others are brought to'),
            ],
            'band.copy' => [
                'ids' => A::ids()->required(), 'times' => A::count(), 'up' => A::length(), 'out' => A::length(),
                'shift' => A::number()->says('of the laws, % of the run, for each more'),
            ],
            'band.space' => [
                'ids' => A::ids()->required(), 'by' => A::choice(['gaps', 'centres'])->required(),
                'ends' => A::flag()->says('over the storeys they stand on'),
            ],
            'band.mirror' => ['ids' => A::ids()->required()],
        ];
    }

    /** @return array<string, array<string, A>> */
    private static function ofScreens(): array
    {
        $screen = [
            'name' => A::text(), 'storey' => A::text(), 'gap' => A::length(), 'thick' => A::length(), 'edges' => A::flag(),
            'reveals' => A::flag(), 'finish' => A::text()->orNull(), 'walls' => A::list(A::text()),
        ];
        $shape = A::object([
            'form' => A::choice(ScreenForm::class), 'u' => A::length(), 'v' => A::length(), 'width' => A::length(), 'height' => A::length(),
            'points' => A::list(A::list(A::length()))->says('of a drawn one: u, v, and the rise of the side that leads on from there'),
            'radius' => A::length(), 'grow' => A::length(), 'around' => A::ids(),
        ]);
        $parts = ['id' => A::text()->required(), 'parts' => A::list(A::count(), 1)->required()];

        return [
            'screen.add' => [
                ...$screen, 'outline' => A::text(), 'foot' => A::length(), 'height' => A::length(), 'storey' => A::text()->required(),
            ],
            'screen.change' => ['id' => A::text()->required(), ...$screen],
            'screen.draw' => [
                'id' => A::text()->required(), 'n' => A::count()->says('of the piece or cut-out that is changed'), 'cut' => A::flag(),
                'wall' => A::text(), 'shape' => $shape, 'type' => A::text()->says('of the unit that fills a cut-out')->orNull(),
                'mirrored' => A::flag(),
                'position' => A::object(self::along() + ['to' => A::choice(Jamb::class)])->orNull(),
                'sill' => A::object(self::level())->orNull(), ...self::measured(),
                'value' => A::length()->says('the figure of its place along the wall'),
                'sillHeight' => A::length()->says('the figure of its level'),
            ],
            'screen.move' => $parts + ['du' => A::length(), 'dv' => A::length()],
            'screen.copy' => $parts + [
                'du' => A::length(), 'dv' => A::length(), 'times' => A::count(), 'storeys' => A::ids(), 'to' => A::text(),
            ],
            'screen.mirror' => $parts + ['about' => A::length()->required(), 'keep' => A::flag()],
            'screen.space' => $parts + ['by' => A::choice(['gaps', 'centres'])->required(), 'up' => A::flag(), 'ends' => A::flag()],
            'screen.take-out' => $parts,
            'screen.remove' => ['ids' => A::ids()->required()],
        ];
    }

    /** @return array<string, array<string, A>> what is kept under names */
    private static function ofKept(): array
    {
        $point = static fn (): A => A::list(A::number(), 2);
        $edits = [
            'tracing.place' => [
                'id' => A::text()->required(), 'a' => $point()->required(), 'b' => $point(), 'to' => $point(), 'towards' => $point(),
                'distance' => A::length(),
            ],
        ];
        foreach ([
            [Kind::Set, [
                'members' => A::ids(),
                'parts' => A::list(A::object(['element' => A::text()->required(), 'part' => A::text()->required()])),
            ]],
            [Kind::Given, [
                'file' => A::text(), 'sheet' => A::number(), 'header' => A::number()->orNull(),
                'columns' => A::list(A::object([
                    'role' => A::text()->required(), 'unit' => A::text()->orNull(), 'storey' => A::text()->orNull(),
                ])),
            ]],
            [Kind::Layout, [
                'source' => A::text(), 'columns' => A::list(A::object(['key' => A::text()->required(), 'name' => A::text()->orNull()])),
                'merge' => A::flag(), 'groups' => A::ids(),
                'sort' => A::list(A::object(['key' => A::text()->required(), 'down' => A::flag()])),
                'filters' => A::list(A::object([
                    'key' => A::text()->required(), 'test' => A::text()->required(), 'value' => A::text()->required(),
                ])),
                'totals' => A::flag(),
            ]],
            [Kind::Section, ['fromX' => A::length(), 'fromY' => A::length(), 'toX' => A::length(), 'toY' => A::length()]],
            [Kind::Sheet, ['number' => A::text(), 'paper' => A::text(), 'items' => A::list(A::open('what stands on it'))]],
            [Kind::Tracing, [
                'storeys' => A::ids(), 'file' => A::text(), 'width' => A::length(), 'height' => A::length(), 'x' => A::length(),
                'y' => A::length(), 'scale' => A::number(), 'angle' => A::number(), 'opacity' => A::number(), 'locked' => A::flag(),
            ]],
            [Kind::Picture, ['file' => A::text()]],
        ] as [$kind, $args]) {
            $edits["$kind->value.keep"] = ['id' => A::text(), 'name' => A::text(), ...$args];
            $edits["$kind->value.remove"] = ['id' => A::text()->required()];
        }

        return $edits;
    }

    /** @return array<string, A> {@see \Isleward\Core\Design\Along} */
    private static function along(): array
    {
        return [
            'from' => A::choice(Reference::class)->required(), 'value' => A::length(), 'ref' => A::text()->orNull(),
            'point' => A::choice(Point::class), 'at' => A::length(), 'face' => A::choice(Face::class),
        ];
    }

    /** @return array<string, A> {@see \Isleward\Core\Design\SillRule} */
    private static function level(): array
    {
        return [
            'from' => A::choice(SillDatum::class)->required(), 'height' => A::length()->required(), 'ref' => A::text()->orNull(),
            'point' => A::choice(Edge::class), 'edge' => A::choice(Edge::class),
        ];
    }

    /** @return array<string, A> */
    private static function fit(): array
    {
        return ['fit' => A::choice(['all', 'fitting'])];
    }
}
