<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Drawing;

use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Drawing\UnitElevation;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Tests\Support\Units;
use Isleward\Core\Unit\Solver;
use Isleward\Core\Unit\UnitTree;
use PHPUnit\Framework\TestCase;

/** Lines that meet at the hinge side, full outward, dashed inward (the trade's convention); a light of 1000 × 800 in a frame of 50. */
final class UnitElevationTest extends TestCase
{
    public function test_each_way_of_opening_has_its_lines(): void
    {
        // the light's box: 50 to 1050 across, 50 to 850 up; its middle (550, 450)
        $left = [1050, 50, 50, 450, 1050, 850];
        $top = [50, 50, 550, 850, 1050, 50];
        $bottom = [50, 850, 550, 50, 1050, 850];
        $expected = [
            'side-hung left outward' => [[$left, false]],
            'side-hung right inward' => [[[50, 50, 1050, 450, 50, 850], true]],
            'top-hung left outward' => [[$top, false]],
            'bottom-hung left inward' => [[$bottom, true]],
            'tilt-and-turn left inward' => [[$left, true], [$bottom, true]],
            'horizontal-pivot left inward' => [[[50, 450, 550, 50, 1050, 450], false], [[50, 450, 550, 850, 1050, 450], true]],
            'vertical-pivot left inward' => [[[550, 50, 50, 450, 550, 850], true], [[550, 50, 1050, 450, 550, 850], false]],
            'fixed left inward' => [],
        ];
        foreach ($expected as $case => $lines) {
            [$operation, $hinge, $opens] = explode(' ', $case);
            $root = ['operation' => $operation, 'hinge' => $hinge, 'opens' => $opens, 'sashFace' => 60, 'sashDepth' => 78, 'glass' => 28];
            $tree = UnitTree::from(new Fields(['frame' => ['jamb' => 50, 'head' => 50, 'sill' => 50, 'depth' => 70], 'root' => $root]));
            $drawn = array_values(
                array_filter(
                    UnitElevation::shapes(Solver::solve($tree, 1100, 900)),
                    static fn (Shape $s): bool => $s->layer === Layer::Operation,
                ),
            );
            self::assertEqualsWithDelta($lines, array_map(static fn (Shape $s): array => [$s->rings[0], $s->dashed], $drawn), 1e-9, $case);
        }
    }

    public function test_a_solid_infill_is_no_glass(): void
    {
        $frame = ['jamb' => 50, 'head' => 50, 'sill' => 50, 'depth' => 70];
        $solid = Solver::solve(
            UnitTree::from(new Fields(['frame' => $frame, 'root' => ['operation' => 'fixed', 'glass' => 40, 'solid' => true]])),
            1100,
            900,
        );
        self::assertSame([0.0, 1.0], [$solid->glassArea(), $solid->frameShare()]);
        self::assertEqualsWithDelta(1000 * 800, $solid->members[4]->contour->area(), 1e-9);
    }

    public function test_a_trim_is_drawn_on_the_sides_it_is_on_and_a_cill_outside_alone(): void
    {
        $frame = ['jamb' => 60, 'head' => 60, 'sill' => 60, 'depth' => 70];
        $drawn = static fn (array $more, bool $outside): int => count(UnitElevation::shapes(
            Units::solve(['frame' => $frame + $more, 'root' => ['operation' => 'fixed', 'glass' => 28]], 1200, 1400),
            $outside,
        ));
        $plain = $drawn([], true);
        self::assertSame($plain, $drawn([], false));
        foreach ([[true, false], [false, true], [true, true], [false, false]] as [$outside, $inside]) {
            $trim = ['trim' => ['face' => 80, 'proud' => 12, 'outside' => $outside, 'inside' => $inside]];
            self::assertSame($plain + ($outside ? 4 : 0), $drawn($trim, true), 'four pieces round it');
            self::assertSame($plain + ($inside ? 4 : 0), $drawn($trim, false));
        }
        $cill = ['cill' => ['projection' => 40, 'height' => 50, 'horns' => 30]];
        self::assertSame([$plain + 1, $plain], [$drawn($cill, true), $drawn($cill, false)]);
    }
}
