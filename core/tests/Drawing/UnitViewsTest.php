<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Drawing;

use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Drawing\UnitElevation;
use Isleward\Core\Drawing\UnitPlan;
use Isleward\Core\Drawing\UnitSection;
use Isleward\Core\Tests\Support\Units;
use PHPUnit\Framework\TestCase;

/** Plan, section and elevation of units as they stand open, their coordinates worked by hand. */
final class UnitViewsTest extends TestCase
{
    private const DOOR = [
        'operation' => 'hinged-door',
        'hinge' => 'left',
        'opens' => 'inward',
        'sashFace' => 95,
        'sashDepth' => 70,
        'glazing' => [6, 16, 6],
    ];

    /**
     * A leaf 900 wide as deep as its frame: shut it is shown open at 90° with the path of its edge; half open it stands at 45° about the
     * inner face.
     */
    public function test_a_door_in_plan(): void
    {
        $unit = Units::bare(self::DOOR, 900, 2100);
        $arcs = self::of(UnitPlan::shapes($unit, 0.0, true), Layer::Swing);
        self::assertCount(1, $arcs);
        self::assertEqualsWithDelta(
            [0.0, 70.0, 900.0, 0.0, M_PI_2],
            $arcs[0]->rings[0],
            1e-9,
            'about the left jamb at the inner face, inward',
        );
        $far = self::reach(UnitPlan::shapes($unit, 0.0, true, 0.5), static fn (float $x, float $z): float => $z);
        self::assertEqualsWithDelta(70 + 900 * M_SQRT1_2, $far, 1e-6);
        // facing in, it is turned about the middle of the opening and the wall: its hinge on the right, opening the other way
        $arcs = self::of(UnitPlan::shapes($unit, 20.0, false), Layer::Swing);
        self::assertEqualsWithDelta([900.0, 20.0], array_slice($arcs[0]->rings[0], 0, 2), 1e-9);
    }

    public function test_a_tilted_and_a_slid_light_in_section_and_plan(): void
    {
        $hung = Units::bare(['operation' => 'top-hung', 'opens' => 'outward', 'reach' => 60] + Units::SASH, 900, 1000);
        $out = -self::reach(UnitSection::shapes($hung, 450.0, 0.0, 0.5), static fn (float $z, float $y): float => -$z);
        // turned by 30° about the head of its outer face, which lies 1 behind the frame's (68 in 70 deep)
        self::assertEqualsWithDelta(1 - 1000 * sin(M_PI / 6), $out, 1e-6);
        $slid = Units::bare(['operation' => 'sliding', 'leaves' => ['fixed', 'left']] + Units::SASH, 1800, 1400);
        $glass = static fn (float $ajar): array => array_map(
            static fn (Shape $s): array => [min(self::every($s->rings[0], 0)), max(self::every($s->rings[0], 0))],
            self::of(UnitPlan::shapes($slid, 0.0, true, $ajar), Layer::Glass),
        );
        $leaf = (1800 + 60) / 2;
        self::assertEqualsWithDelta([[60.0, $leaf - 60], [1800 - $leaf + 60, 1740.0]], $glass(0.0), 1e-6);
        self::assertEqualsWithDelta([[60.0, $leaf - 60], [60.0, $leaf - 60]], $glass(1.0), 1e-6, 'wholly open it stands behind the other');
    }

    /** Full where it opens towards the viewer, dashed where away: so the same light from outside and from inside. */
    public function test_opening_lines_tell_the_side_and_the_hinge(): void
    {
        $unit = Units::bare(self::DOOR, 900, 2100);
        foreach ([[true, true], [false, false]] as [$fromOutside, $dashed]) {
            [$line] = self::of(UnitElevation::shapes($unit, $fromOutside), Layer::Operation);
            self::assertSame($dashed, $line->dashed);
            self::assertEqualsWithDelta(
                [900.0, 0.0, 0.0, 1050.0, 900.0, 2100.0],
                $line->rings[0],
                1e-9,
                'the lines meet at the hinge side',
            );
        }
        self::assertCount(
            2,
            self::of(UnitElevation::shapes(Units::bare(['operation' => 'tilt-and-turn'] + self::DOOR, 900, 1400)), Layer::Operation),
        );
        self::assertCount(
            4,
            self::of(
                UnitElevation::shapes(Units::bare(['operation' => 'vertical-sliding', 'moving' => 'both'] + Units::SASH, 900, 1700)),
                Layer::Operation,
            ),
            'an arrow on each sash',
        );
    }

    /** @param  list<Shape>  $shapes @return list<Shape> */
    private static function of(array $shapes, Layer $layer): array
    {
        return array_values(array_filter($shapes, static fn (Shape $s): bool => $s->layer === $layer));
    }

    /** @param  list<Shape>  $shapes @param  \Closure(float, float): float  $measure */
    private static function reach(array $shapes, \Closure $measure): float
    {
        $most = -INF;
        foreach ($shapes as $shape) {
            for ($i = 0, $n = $shape->kind === 'area' ? count($shape->rings[0]) : 0; $i < $n; $i += 2) {
                $most = max($most, $measure($shape->rings[0][$i], $shape->rings[0][$i + 1]));
            }
        }

        return $most;
    }

    /** @param  list<float>  $ring @return non-empty-list<float> */
    private static function every(array $ring, int $first): array
    {
        $out = [];
        for ($i = $first, $n = count($ring); $i < $n; $i += 2) {
            $out[] = $ring[$i];
        }

        return $out === [] ? [0.0] : $out;
    }
}
