<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Edit;

use Isleward\Core\Design\UnitType;
use Isleward\Core\Exchange\TypesJson;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Tests\Support\House;
use Isleward\Core\Tests\Support\Units;
use Isleward\Core\Unit\UnitTree;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Unit types of a project: changed with what they fill, removed, made their own, taken along and brought in. */
final class TypesTest extends TestCase
{
    public function test_openings_follow_their_type_and_those_it_no_longer_fits_are_told(): void
    {
        $house = House::box();
        $type = $house->type('W-03');
        $a = $house->place(['left' => 1000, 'type' => $type->id])->id;
        $b = $house->place(['left' => 2600, 'type' => $type->id])->id; // 400 further on
        $c = $house->place(['left' => 6000, 'type' => $type->id, 'width' => 1500])->id;
        $tried = $house->try('type.change', ['id' => $type->id, 'width' => 1700]);
        self::assertSame(
            [$b],
            array_values(array_unique(array_map(static fn ($m): string => $m->element, $tried->misfits))),
            'the first runs into the second',
        );
        self::assertMatchesRegularExpression('/^Changed W-03 in \d openings$/', $tried->summary);

        $house->do('type.change', ['id' => $type->id, 'width' => 1700, 'fit' => 'fitting']);
        self::assertSame(
            [1700.0, 1200.0, 1500.0],
            array_map(static fn (string $id): float => $house->design->opening($id)->width, [$a, $b, $c]),
        );
        self::assertNotSame($type->id, $house->design->opening($b)->type, 'the misfit keeps the unit it had as a type of its own');
        self::assertSame(1200.0, $house->design->type((string) $house->design->opening($b)->type)->width);

        // only its make: all three follow
        $house->do('type.change', ['id' => $type->id, 'tree' => Units::stock('W-29')]);
        self::assertEquals(UnitTree::from(new Fields(Units::stock('W-29'))), $house->design->type($type->id)->tree());
        $this->expectExceptionMessageMatches('/leave|room/');
        $house->do(
            'type.change',
            ['id' => $type->id, 'tree' => ['frame' => ['jamb' => 900, 'head' => 50, 'sill' => 50, 'depth' => 70], 'root' => Units::GLASS]],
        );
    }

    public function test_a_type_in_use_is_not_removed_unless_another_takes_its_place(): void
    {
        $house = House::box();
        [$window, $other] = [$house->type('W-01'), $house->type('W-02')];
        $id = $house->place(['left' => 1000, 'type' => $window->id])->id;
        try {
            $house->do('type.remove', ['id' => $window->id]);
            self::fail('It was removed.');
        } catch (Refusal $refusal) {
            self::assertMatchesRegularExpression('/W-01.+1 opening/u', $refusal->getMessage());
        }
        $house->do('type.remove', ['id' => $window->id, 'instead' => $other->id]);
        self::assertSame($other->id, $house->design->opening($id)->type);
        self::assertArrayNotHasKey($window->id, $house->design->types);
    }

    public function test_types_made_to_fit_are_known_and_cleared_together_when_they_fill_nothing(): void
    {
        $house = House::box();
        $ids = array_map(
            static fn (int $i): string => $house->place(['left' => 700 + $i * 1700, 'width' => 1000 + $i, 'height' => 1300])->id, [0, 1, 2],
        );
        $before = array_keys($house->design->types);
        $house->do('opening.fill', ['ids' => $ids, 'window' => $house->type('W-02')->id]);
        $made = array_values(array_diff(array_keys($house->design->types), $before));
        self::assertCount(3, $made);
        $fit = array_keys(array_filter($house->design->types, static fn (UnitType $t): bool => $t->isMadeToFit()));
        self::assertEqualsCanonicalizing($made, $fit);
        // one that is in use is not cleared, nor any other with it
        $house->do('opening.empty', ['ids' => array_slice($ids, 0, 2)]);
        $was = $house->design;
        self::assertTrue($house->refuses('type.clear', ['ids' => $made]));
        self::assertTrue($house->refuses('type.clear', ['ids' => []]));
        self::assertSame($was, $house->design);
        $change = $house->do('type.clear', ['ids' => array_slice($made, 0, 2)]);
        self::assertSame('Removed 2 types from the rack', $change->summary);
        self::assertSame([$made[2]], array_values(array_intersect($made, array_keys($house->design->types))));
        self::assertEquals($was->types, $house->design->after($change->inverse(''))->types);
    }

    public function test_a_unit_becomes_a_type_of_its_own_and_names_keep_their_size(): void
    {
        $house = House::box();
        $type = $house->do(
            'type.add',
            [
                'mark' => '',
                'name' => 'show light 900 × 1450',
                'width' => 900,
                'height' => 1450,
                'sill' => 900,
                'tree' => Units::stock('W-01'),
            ],
        )->chosen[0];
        self::assertMatchesRegularExpression('/^W-\d\d$/', $house->design->type($type)->mark, 'the next free mark');
        $a = $house->place(['left' => 1000, 'type' => $type])->id;
        $b = $house->place(['left' => 3000, 'type' => $type, 'width' => 1100])->id;
        $own = $house->do('opening.own-type', ['ids' => [$b]])->chosen;
        self::assertSame([$b], $own);
        $made = $house->design->type((string) $house->design->opening($b)->type);
        self::assertSame($type, $house->design->opening($a)->type);
        self::assertMatchesRegularExpression('/^show light 1\s?100 × 1\s?450$/u', $made->name);
        $house->do('type.change', ['id' => $made->id, 'height' => 1300]);
        self::assertMatchesRegularExpression('/1\s?100 × 1\s?300$/u', $house->design->type($made->id)->name);
        self::assertSame(1300.0, $house->design->opening($b)->height);
        self::assertTrue($house->refuses('opening.own-type', ['ids' => [$a, $b]]), 'of two types');
    }

    /** Law: what is written is read back as it was, finishes and all. */
    public function test_a_document_of_types_brings_the_same_types(): void
    {
        $house = House::box();
        mt_srand(99);
        for ($i = 0; $i < 40; $i++) {
            $unit = Units::random(true);
            $house->do(
                'type.add',
                [
                    'mark' => "R-$i",
                    'name' => "random $i",
                    'width' => $unit->width,
                    'height' => $unit->height,
                    'sill' => 0,
                    'tree' => ['finishes' => ['sash' => 'slate']] + $unit->tree->toArray(),
                ],
            );
        }
        $document = json_decode(TypesJson::write($house->design->settings, $house->design->types), true, 64, JSON_THROW_ON_ERROR);
        $other = new House;
        $other->do('settings.change', ['finishes' => []]);
        $other->do('type.import', ['document' => $document]);
        $plain = static fn (UnitType $t): array => array_diff_key($t->toArray(), ['id' => 1, 'position' => 1]);
        self::assertEquals(array_map($plain, array_values($house->design->types)), array_map($plain, array_values($other->design->types)));
        self::assertEquals($house->design->settings->finish('slate'), $other->design->settings->finish('slate'));
        // again: every mark is taken, so each becomes another, and that is told
        $again = $other->do('type.import', ['document' => $document, 'marks' => ['R-1', 'W-01']]);
        self::assertCount(2, $again->notes);
        self::assertMatchesRegularExpression(
            '/^R-1 is taken here and becomes R-\d+\.$/',
            implode('', preg_grep('/R-1 /', $again->notes) ?: []),
        );
    }

    #[DataProvider('documents')]
    public function test_foreign_and_broken_documents_are_refused_whole(mixed $document, string $message): void
    {
        $house = new House;
        try {
            $house->do('type.import', ['document' => $document]);
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertMatchesRegularExpression($message, $refusal->getMessage());
        }
        self::assertSame([], $house->design->types);
    }

    /** @return iterable<string, array{mixed, string}> */
    public static function documents(): iterable
    {
        $type = static fn (array $tree): array => ['format' => 'isleward-unit-types', 'version' => 1, 'types' => [
            [
                'mark' => 'A',
                'name' => 'good',
                'width' => 900,
                'height' => 900,
                'sill' => 0,
                'tree' => ['frame' => ['jamb' => 50, 'head' => 50, 'sill' => 50, 'depth' => 70], 'root' => Units::GLASS],
            ],
            ['mark' => 'B', 'name' => 'bad', 'width' => 900, 'height' => 900, 'sill' => 0, 'tree' => $tree],
        ]];
        $frame = ['jamb' => 50, 'head' => 50, 'sill' => 50, 'depth' => 70];
        $endless = Units::GLASS;
        for ($i = 0; $i < 25; $i++) {
            $endless = ['axis' => 'rows', 'face' => 10, 'parts' => [['node' => $endless], ['node' => Units::GLASS]]];
        }
        yield 'of another kind' => [['type' => 'FeatureCollection', 'features' => []], '/no document of unit types/'];
        yield 'of another version' => [
            ['format' => 'isleward-unit-types', 'version' => 9, 'types' => []],
            '/version 9; version 1 is read/',
        ];
        yield 'empty' => [['format' => 'isleward-unit-types', 'version' => 1, 'types' => []], '/no unit type in this document/'];
        yield 'a reference to itself' => [
            $type(['frame' => $frame, 'root' => ['$ref' => '#/types/0/tree/root']]),
            '/Type 2, B, of this document cannot be read.+Nothing was brought in/',
        ];
        yield 'divided without end' => [$type(['frame' => $frame, 'root' => $endless]), '/20 deep at the most.+Nothing was brought in/'];
        yield 'a sash larger than its light' => [
            $type([
                'frame' => $frame,
                'root' => [
                    'operation' => 'side-hung',
                    'hinge' => 'left',
                    'opens' => 'inward',
                    'sashFace' => 500,
                    'sashDepth' => 68,
                    'glass' => 6,
                ],
            ]),
            '/Type 2, B/',
        ];
        yield 'figures that are none' => [$type(['frame' => ['jamb' => 'wide'] + $frame, 'root' => Units::GLASS]), '/Type 2, B/'];
    }
}
