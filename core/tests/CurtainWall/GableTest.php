<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\CurtainWall;

use Isleward\Core\Building\Bodies;
use Isleward\Core\CurtainWall\FlatStretch;
use Isleward\Core\CurtainWall\GridMember;
use Isleward\Core\CurtainWall\PathStretch;
use Isleward\Core\CurtainWall\Run;
use Isleward\Core\CurtainWall\RunMember;
use Isleward\Core\CurtainWall\RunPane;
use Isleward\Core\CurtainWall\RunPath;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\CurtainWall\UprightCut;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Solid;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Roof\Roofs;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Curtain walls whose heads run up slopes: glazed gables. */
final class GableTest extends TestCase
{
    /**
     * @param  list<array{float, float}>  $head
     * @param  array<string, mixed>  $rules
     */
    private static function gable(array $head, array $rules = []): Run
    {
        $last = $head[count($head) - 1];

        return Run::along(
            RunPath::of([new PathStretch(Curve::line(new Vec2(0.0, 0.0), new Vec2($last[0], 0.0)), head: [$head])], []),
            Sample::rules($rules), 0.0, max(array_column($head, 1)),
        );
    }

    /** 6000 wide, 3000 high at its eaves and 5000 at its ridge: two slopes of atan(2 / 3), 3605.6 long each. */
    public function test_a_gable_by_hand(): void
    {
        $run = self::gable([[0.0, 3000.0], [3000.0, 5000.0], [6000.0, 3000.0]]);
        self::assertEqualsWithDelta(24e6, $run->faceArea(), 1e-3);
        $heads = array_values(array_filter($run->members(), static fn (RunMember $m): bool => $m->what === 'head'));
        self::assertCount(2, $heads);
        foreach ($heads as $head) {
            // its outer edge is the longer: upright at the foot, mitred at the ridge; 50 across the slope
            $slope = hypot(3000.0, 2000.0);
            self::assertEqualsWithDelta($slope + 50.0 * 2 / 3, $head->length, 1e-6);
            self::assertEqualsWithDelta($slope * 50.0 * 150.0, $head->volume(), 1.0);
        }
        // both are cut at atan(2 / 3) to upright, one end of each at the ridge
        $angle = rad2deg(atan(2 / 3));
        foreach ($heads as $head) {
            self::assertEqualsWithDelta([90.0 - $angle, 90.0 - $angle], [$head->ends[0][0], $head->ends[1][0]], 1e-6);
        }
        // the mullion at 3000 less than half a bay off the ridge: under the member there, which hangs down 50 / cos
        $mullions = array_filter($run->members(), static fn (RunMember $m): bool => $m->of instanceof GridMember
            && $m->of->role->isUpright() && abs($m->of->axis() - 2400.0) < 1e-6);
        $top = max(array_map(static fn (RunMember $m): float => max(array_map(
            static fn (Solid $s): float => max(array_column(array_chunk($s->mesh(0.1)->positions, 3), 2)), $m->solids(),
        )), $mullions));
        self::assertEqualsWithDelta(3000.0 + 2425.0 * 2 / 3 - 50.0 * hypot(3.0, 2.0) / 3, $top, 1e-6);
    }

    /** Whatever the head: what is seen fills the face, and what stands is that by its depth. */
    #[DataProvider('seeds')]
    public function test_members_and_infills_fill_the_face_under_any_head(int $seed): void
    {
        mt_srand($seed);
        $head = [[0.0, (float) mt_rand(1500, 4000)]];
        $slopes = [];
        for ($i = mt_rand(1, 5); $i > 0; $i--) {
            $slopes[] = mt_rand(-900, 900) / 1000;
        }
        rsort($slopes);
        foreach ($slopes as $slope) {
            [$u, $v] = $head[count($head) - 1];
            $on = (float) mt_rand(700, 2600);
            $head[] = [$u + $on, $v + $slope * $on];
        }
        if (min(array_column($head, 1)) < 400.0) {
            $head = array_map(static fn (array $p): array => [$p[0], $p[1] + 3000.0], $head);
        }
        $run = self::gable($head, ['rows' => ['by' => 'module', 'size' => 900.0], 'bays' => ['by' => 'count', 'count' => mt_rand(1, 7)]]);
        $drawn = $run->stretches[0]->drawn();
        $sum = static fn (array $of): float => array_sum(array_map(static fn (array $one): float => $one[1]->area(), $of));
        $area = 0.0;
        for ($i = 1, $n = count($head); $i < $n; $i++) {
            $area += ($head[$i][0] - $head[$i - 1][0]) * ($head[$i][1] + $head[$i - 1][1]) / 2;
        }
        self::assertEqualsWithDelta($area, $run->faceArea(), 1.0);
        // pieces of less than a square millimetre are none
        self::assertEqualsWithDelta($area, $sum($drawn->members) + $sum($drawn->cells), 50.0);
        $volume = array_sum(array_map(static fn (RunMember $m): float => $m->volume(), $run->members()));
        self::assertEqualsWithDelta($sum($drawn->members) * 150.0, $volume, 20000.0);
        $panes = array_sum(array_map(
            static fn (RunPane $p): float => array_sum(array_map(static fn (Solid $s): float => $s->volume(), $p->pieces)), $run->panes(),
        ));
        self::assertEqualsWithDelta($sum($drawn->cells) * 28.0, $panes, 5000.0);
    }

    /** @return list<array{int}> */
    public static function seeds(): array
    {
        return array_map(static fn (int $seed): array => [$seed], range(1, 40));
    }

    public function test_a_valley_and_a_step_are_refused_with_the_place(): void
    {
        foreach ([
            [[0.0, 4000.0], [2000.0, 3000.0], [6000.0, 4500.0]], [[0.0, 3000.0], [2000.0, 3000.0], [2000.0, 3600.0], [6000.0, 3600.0]],
        ] as $head) {
            try {
                self::gable($head);
                self::fail('It was taken.');
            } catch (Refusal $refusal) {
                self::assertSame('run.head_valley', $refusal->reason);
            }
        }
    }

    public function test_a_glazed_gable_runs_up_to_its_roof_and_follows_it(): void
    {
        $house = House::box(8000, 6000, 300, [3000]);
        $design = fn () => $house->design;
        $gable = $house->wall(1);
        $grid = $house->do('grid.add', [
            'mark' => 'CW-1', 'name' => 'gable', 'rules' => Sample::rules()->toArray(),
        ])->chosen[0] ?? array_key_first($design()->grids);
        $house->do('curtain.set', ['walls' => [$gable->id], 'grid' => $grid]);
        [$roof] = $house->do('roof.add', [
            'outline' => $gable->outline, 'storey' => $house->storey(0), 'pitch' => 40, 'overhang' => 300,
        ])->chosen;
        foreach ([1, 3] as $i) {
            $house->do('roof.change', ['id' => $roof, 'edge' => ['wall' => $house->wall($i)->id, 'gable' => true]]);
        }
        $level = Runs::in($design())->of($gable->id)->run->faceArea();
        $change = $house->do('wall.edge', ['walls' => [$gable->id], 'head' => ['roof' => $roof]]);
        $standing = Runs::in($design())->of($gable->id);
        $body = Bodies::one($design(), $design()->wall($gable->id));
        self::assertGreaterThan($level + 3e6, $standing->run->faceArea());
        // nothing of it reaches into the roof, and its head is nowhere farther under it than its depth makes it
        $cover = Roofs::in($design())->cover(Roofs::roof($design(), $roof), false) ?? self::fail('The roof has an underside.');
        $least = INF;
        foreach ($standing->run->members() as $member) {
            foreach ($member->solids() as $solid) {
                foreach (array_chunk($solid->mesh(0.1)->positions, 3) as [$x, $y, $z]) {
                    $under = $cover->at($body->surface, new Vec2($x, $y));
                    $least = min($least, ($under ?? INF) - $z);
                }
            }
        }
        self::assertEqualsWithDelta(0.0, $least, 0.05);
        // a section cut near the ridge is higher than one at the eaves
        $stretch = $standing->run->stretches[0];
        self::assertInstanceOf(FlatStretch::class, $stretch);
        $high = fn (float $u): float => max(array_merge(...array_map(
            static fn ($s): array => array_filter($s->rings[0], static fn (int $i): bool => $i % 2 === 1, ARRAY_FILTER_USE_KEY),
            UprightCut::of($design(), $stretch, $u, 0.0),
        )));
        self::assertEqualsWithDelta(tan(deg2rad(40)) * 1000.0, $high(2500.0) - $high(1500.0), 0.5);
        // it follows a steeper pitch; and comes back
        $house->do('roof.change', ['id' => $roof, 'pitch' => 45]);
        self::assertGreaterThan($standing->run->faceArea(), Runs::in($design())->of($gable->id)->run->faceArea());
        $house->do('wall.edge', ['walls' => [$gable->id], 'head' => null]);
        self::assertEqualsWithDelta($level, Runs::in($design())->of($gable->id)->run->faceArea(), 1e-6);
        self::assertSame([$gable->id], $change->chosen);
        // what leans or stands on a roof does not
        self::assertTrue($house->refuses('wall.edge', ['walls' => [$gable->id], 'foot' => ['roof' => $roof]]));
        $house->do('curtain.set', ['walls' => [$gable->id], 'lean' => 5]);
        self::assertTrue($house->refuses('wall.edge', ['walls' => [$gable->id], 'head' => ['roof' => $roof]]));
    }
}
