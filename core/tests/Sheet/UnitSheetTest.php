<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Sheet;

use Isleward\Core\Bench\Dimensions;
use Isleward\Core\Building\Solved;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Units as Measure;
use Isleward\Core\Sheet\Paper;
use Isleward\Core\Sheet\UnitSheet;
use Isleward\Core\Tests\Support\House;
use Isleward\Core\Tests\Support\OnPaper;
use PHPUnit\Framework\TestCase;

/** Sheets of unit types. */
final class UnitSheetTest extends TestCase
{
    /** Every ready type on every paper is well-formed, within its paper, and shows each of its dimensions in the project's units. */
    public function test_every_type_on_every_paper(): void
    {
        foreach ([Measure::Millimetre, Measure::FeetInches] as $units) {
            $house = House::box(units: $units);
            foreach ($house->design->types as $type) {
                $unit = Solved::of($type, $type->width, $type->height);
                foreach ([Paper::A4, Paper::A3, Paper::AnsiB] as $paper) {
                    $pages = UnitSheet::pages($type, $house->design->settings, ['Quay' => 2, 'Charts' => 5], $paper, '25 November 2026');
                    $texts = OnPaper::texts($pages, $paper, $type->mark);
                    foreach (Dimensions::of($unit) as $d) {
                        if ($d['axis'] !== 'angle') {
                            self::assertIsFloat($d['value']);
                            self::assertContains(Length::format($d['value'], $units), $texts, $type->mark);
                        }
                    }
                    foreach (["$type->mark $type->name", '7', 'Altogether', $type->mark.' 1 of '.count($pages)] as $there) {
                        self::assertContains($there, $texts, $type->mark);
                    }
                }
            }
        }
    }

    /** The scale is the largest of the usual ones at which all three drawings fit: a larger sheet takes a larger one. */
    public function test_the_scale_follows_the_paper(): void
    {
        $house = House::box();
        $scale = static function (Paper $paper) use ($house): float {
            $svg = UnitSheet::pages($house->type('D-18'), $house->design->settings, [], $paper, '25 November 2026')[0];
            self::assertSame(1, preg_match('/>1:(\d+)<\/text>/', $svg, $m));
            self::assertSame(
                3,
                substr_count($svg, sprintf('scale(%s)', rtrim(number_format(1 / (float) $m[1], 8, '.', ''), '0'))),
                'elevation, section and plan at one scale',
            );

            return (float) $m[1];
        };
        self::assertSame([50.0, 25.0, 20.0, 10.0], [$scale(Paper::A4), $scale(Paper::A3), $scale(Paper::A2), $scale(Paper::A1)]);
    }
}
