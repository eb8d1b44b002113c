<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Sheet;

use Isleward\Core\CurtainWall\GridType;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Units;
use Isleward\Core\Sheet\GridSheet;
use Isleward\Core\Sheet\Paper;
use Isleward\Core\Tests\Support\GridSample;
use Isleward\Core\Tests\Support\House;
use Isleward\Core\Tests\Support\OnPaper;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Sheets of grid types. */
final class GridSheetTest extends TestCase
{
    /** @param  array<string, mixed>  $rules */
    private static function type(House $house, array $rules): GridType
    {
        $id = $house->do('grid.add', ['name' => 'test'] + GridSample::values($rules))->chosen[0];

        return Runs::type($house->design, $id);
    }

    /** @return iterable<string, array{array<string, mixed>, list<float>}> rules, and sizes that a chain of them has */
    public static function kinds(): iterable
    {
        yield 'module' => [['bays' => ['by' => 'module', 'size' => 1200]], [1200.0, 6000.0]];
        yield 'a list that adds up' => [
            ['bays' => ['by' => 'sizes', 'sizes' => [700, 1900, 650], 'after' => 'nothing']], [700.0, 1900.0, 650.0, 3250.0],
        ];
        yield 'rows by storey' => [
            ['rows' => ['by' => 'sizes', 'sizes' => [900, 2200], 'after' => 'rest', 'perStorey' => true]], [900.0, 2200.0, 500.0, 7200.0],
        ];
        yield 'joints only' => [['profiles' => array_fill_keys(['mullion', 'left', 'right', 'head', 'foot', 'transom'], null),
            'joint' => 16, 'cover' => 0], [1500.0, 7500.0]];
    }

    /**
     * @param  array<string, mixed>  $rules
     * @param  list<float>  $sizes
     */
    #[DataProvider('kinds')]
    public function test_every_line_of_its_stretch_is_dimensioned_on_every_paper(array $rules, array $sizes): void
    {
        foreach ([Units::Millimetre, Units::FeetInches] as $units) {
            $house = House::box(units: $units);
            $type = self::type($house, $rules);
            foreach (Paper::cases() as $paper) {
                $pages = GridSheet::pages($type, $house->design, [['Prow', '2 stretches']], $paper, '26 November 2026');
                $texts = OnPaper::texts($pages, $paper, $type->mark());
                foreach ($sizes as $size) {
                    self::assertContains(Length::format($size, $units), $texts);
                }
                foreach (['Prow', '2 stretches', 'Its infills', $type->mark().' 1 of '.count($pages)] as $there) {
                    self::assertContains($there, $texts);
                }
            }
        }
    }

    public function test_its_details_are_cut_at_one_to_five_where_the_paper_has_room(): void
    {
        $house = House::box();
        $type = self::type($house, []);
        $scales = static fn (Paper $paper): string => preg_match(
            '/>(1:\d+, 1:\d+)<\/text>/',
            GridSheet::pages($type, $house->design, [], $paper, '26 November 2026')[0],
            $m,
        ) === 1 ? $m[1] : 'none';
        self::assertStringEndsWith(', 1:5', $scales(Paper::A3));
        self::assertStringEndsWith(', 1:10', $scales(Paper::A4));
        self::assertGreaterThan((int) substr($scales(Paper::A1), 2), (int) substr($scales(Paper::A4), 2), 'a larger sheet, a larger scale');
    }

    public function test_one_whose_rules_fit_no_usual_size_says_so_and_is_told_all_the_same(): void
    {
        $house = House::box();
        $type = self::type($house, [
            'bays' => ['by' => 'sizes', 'sizes' => [700, 1900], 'after' => 'nothing'],
            'rows' => ['by' => 'sizes', 'sizes' => [9100, 8700], 'after' => 'rest'],
        ]);
        $texts = OnPaper::texts(GridSheet::pages($type, $house->design, [], Paper::A3, '26 November 2026'), Paper::A3, 'none fits');
        self::assertContains('No size is known that its rules fit, so no stretch of it is drawn.', $texts);
        self::assertContains('In no place', $texts);
    }
}
