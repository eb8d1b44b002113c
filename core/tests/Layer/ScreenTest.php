<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Layer;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Frontages;
use Isleward\Core\Drawing\Layer;
use Isleward\Core\Drawing\Shape;
use Isleward\Core\Drawing\Symbols;
use Isleward\Core\Geometry\Profile;
use Isleward\Core\Layer\FieldPieces;
use Isleward\Core\Layer\FieldsOn;
use Isleward\Core\Layer\Screen;
use Isleward\Core\Layer\ScreenFace;
use Isleward\Core\Layer\Screens;
use Isleward\Core\Layer\ScreensDrawn;
use Isleward\Core\Layer\ScreenSolid;
use Isleward\Core\Layer\ScreenStands;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Scene\Scene;
use Isleward\Core\Schedule\Row;
use Isleward\Core\Schedule\Source;
use Isleward\Core\Tests\Support\House;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Screens before a house of 12 000 × 8 000: areas and volumes by hand. */
final class ScreenTest extends TestCase
{
    private House $house;

    private string $south;

    protected function setUp(): void
    {
        $this->house = House::box(12000, 8000, 300, [3000, 3000]);
        $this->south = $this->house->wall()->id;
    }

    /** @param  array<string, mixed>  $args */
    private function screen(array $args = []): string
    {
        return $this->house->do('screen.add', $args + [
            'walls' => [$this->south], 'storey' => $this->house->storey(0), 'gap' => 150, 'thick' => 20, 'height' => 3000,
        ])->chosen[0];
    }

    /** @param  array<string, mixed>  $shape */
    private function cut(string $id, array $shape, bool $cut = true): void
    {
        $this->house->do('screen.draw', ['id' => $id, 'cut' => $cut, 'wall' => $this->south, 'shape' => $shape]);
    }

    private function stands(string $id): ScreenStands
    {
        return Screens::in($this->house->design)->of(Screens::screen($this->house->design, $id));
    }

    private function face(string $id): ScreenFace
    {
        return $this->stands($id)->faces[$this->south];
    }

    private static function volume(ScreenStands $stands): float
    {
        return array_sum(array_map(static fn (ScreenFace $f): float => $f->volume(), $stands->faces));
    }

    public function test_round_all_corners_it_is_the_ring_between_two_rectangles(): void
    {
        $id = $this->screen(['walls' => [], 'outline' => $this->house->wall()->outline]);
        self::assertCount(4, $this->stands($id)->faces);
        self::assertEqualsWithDelta((12340.0 * 8340.0 - 12300.0 * 8300.0) * 3000.0, self::volume($this->stands($id)), 1.0);
        $bodies = Bodies::of($this->house->design);
        $scene = Scene::of('test', $this->house->design, $bodies);
        $mesh = 0.0;
        foreach ($scene->parts as $part) {
            foreach ($part->element === $id ? $scene->geometries[$part->geometry]->meshes : [] as $one) {
                $mesh += $one->volume();
            }
        }
        self::assertEqualsWithDelta(self::volume($this->stands($id)), $mesh, 1.0);
    }

    /** @return iterable<string, array{list<array{int, int}>}> */
    public static function corners(): iterable
    {
        yield 'a triangle' => [[[0, 0], [9000, 0], [3000, 7000]]];
        yield 'a hollow corner' => [[[0, 0], [9000, 0], [9000, 9000], [5000, 9000], [5000, 4000], [0, 4000]]];
        yield 'six sides' => [[[2000, 0], [6000, 0], [8000, 3000], [6000, 6000], [2000, 6000], [0, 3000]]];
    }

    /**
     * However the corners turn, the sheet is what lies between its outline moved out by gap and thickness and by the gap: areas by the
     * shoelace formula over corners worked out here.
     *
     * @param  list<array{int, int}>  $points
     */
    #[DataProvider('corners')]
    public function test_corners_of_any_angle_are_mitred(array $points): void
    {
        $storey = $this->house->storey(0);
        $this->house->do('outline.draw', [
            'points' => array_map(static fn (array $p): array => [$p[0] + 30000, $p[1]], $points), 'closed' => true, 'base' => $storey,
            'top' => $storey, 'thickness' => 300, 'name' => 'Tower',
        ]);
        $outline = (string) array_key_last($this->house->design->outlines);
        $id = $this->screen(['walls' => [], 'outline' => $outline, 'gap' => 120, 'thick' => 40]);
        $area = static function (float $out) use ($points): float {
            $n = count($points);
            $ring = [];
            foreach ($points as $i => [$x, $y]) {
                [$ax, $ay] = $points[($i + $n - 1) % $n];
                [$bx, $by] = $points[($i + 1) % $n];
                // outward of counter-clockwise sides lies to their right
                [$l, $m] = [hypot($x - $ax, $y - $ay), hypot($bx - $x, $by - $y)];
                [$nx, $ny, $mx, $my] = [($y - $ay) / $l, ($ax - $x) / $l, ($by - $y) / $m, ($x - $bx) / $m];
                $k = $out / (1 + $nx * $mx + $ny * $my);
                $ring[] = [$x + $k * ($nx + $mx), $y + $k * ($ny + $my)];
            }
            $sum = 0.0;
            foreach ($ring as $i => [$x, $y]) {
                [$bx, $by] = $ring[($i + 1) % $n];
                $sum += $x * $by - $y * $bx;
            }

            return $sum / 2;
        };
        self::assertEqualsWithDelta(($area(160.0) - $area(120.0)) * 3000.0, self::volume($this->stands($id)), 100.0);
    }

    /** Before an arc of radius 9 000: a ring sector. */
    public function test_before_an_arc_it_is_bent(): void
    {
        $wall = $this->house->wall(1)->id;
        $this->house->do('wall.bend', ['wall' => $wall, 'radius' => 9000]);
        $id = $this->screen(['walls' => [$wall]]);
        $angle = 2 * asin(4000.0 / 9000.0);
        self::assertEqualsWithDelta($angle / 2 * (9170.0 ** 2 - 9150.0 ** 2) * 3000.0, self::volume($this->stands($id)), 10.0);
    }

    /** @return iterable<string, array{float}> how far the arc bulges outward over its chord of 8 000 */
    public static function rises(): iterable
    {
        yield 'flat' => [400.0];
        yield 'steep' => [2500.0];
        yield 'hollow' => [-900.0];
    }

    /**
     * Round a house one wall of which is an arc that meets its neighbours at an angle: what lies between two outlines, each of three
     * straight sides and a circle moved outward, which meet where the circle cuts the level of the side. Their areas here: a rectangle and
     * a segment.
     */
    #[DataProvider('rises')]
    public function test_where_an_arc_meets_a_wall_at_an_angle_it_is_mitred(float $rise): void
    {
        $this->house->do('wall.bend', ['wall' => $this->house->wall(1)->id, 'rise' => $rise]);
        $id = $this->screen(['walls' => [], 'outline' => $this->house->wall()->outline, 'gap' => 120, 'thick' => 40]);
        $radius = 4000.0 ** 2 / (2 * abs($rise)) + abs($rise) / 2;
        $side = $rise > 0 ? 1.0 : -1.0;
        $area = static function (float $out) use ($radius, $rise, $side): float {
            [$r, $half] = [$radius + $side * $out, 4000.0 + $out];
            $chord = 12000.0 + $rise - $side * $radius + $side * sqrt($r ** 2 - $half ** 2);
            $turn = 2 * asin($half / $r);

            return ($chord + $out) * 2 * $half + $side * $r ** 2 / 2 * ($turn - sin($turn));
        };
        self::assertEqualsWithDelta(($area(160.0) - $area(120.0)) * 3000.0, self::volume($this->stands($id)), 100.0);
        // each piece is a closed mesh, and they hold as much together
        $mesh = 0.0;
        foreach ($this->stands($id)->faces as $face) {
            foreach (ScreenSolid::of($face) as $solid) {
                $mesh += $solid->mesh(0.05)->volume();
            }
        }
        self::assertEqualsWithDelta(1.0, $mesh / (($area(160.0) - $area(120.0)) * 3000.0), 5e-4);
    }

    public function test_cut_outs_are_taken_whatever_they_touch(): void
    {
        $id = $this->screen();
        $whole = 12000.0 * 3000.0;
        self::assertEqualsWithDelta($whole, $this->face($id)->area(), 1e-3);
        $this->cut($id, ['form' => 'rectangle', 'u' => 1000, 'v' => 500, 'width' => 1500, 'height' => 800]);
        $this->cut($id, ['form' => 'round', 'u' => 4000, 'v' => 1000, 'width' => 900]);
        // a slot: a rectangle rounded by half its height
        $this->cut($id, ['form' => 'rectangle', 'u' => 6000, 'v' => 1000, 'width' => 1200, 'height' => 300, 'radius' => 150]);
        $left = $whole - 1500.0 * 800.0 - M_PI * 450.0 ** 2 - (900.0 * 300.0 + M_PI * 150.0 ** 2);
        self::assertEqualsWithDelta($left, $this->face($id)->area(), 1e-3);
        // one joins the first two: a strip between them, of which they have taken parts already
        $this->cut($id, ['form' => 'rectangle', 'u' => 2000, 'v' => 1100, 'width' => 2450, 'height' => 100]);
        self::assertCount(2, $this->face($id)->region[0]->holes);
        $chord = static fn (float $y): float => 450.0 * 450.0 * acos($y / 450.0) - $y * sqrt(450.0 ** 2 - $y ** 2);
        // of the round one, half of what lies between 350 and 250 under its middle
        $left -= 2450.0 * 100.0 - 500.0 * 100.0 - ($chord(250.0) - $chord(350.0)) / 2;
        self::assertEqualsWithDelta($left, $this->face($id)->area(), 0.01);
        // over its edge; and one right through parts it in two
        $this->cut($id, ['form' => 'rectangle', 'u' => 11500, 'v' => 2500, 'width' => 800, 'height' => 800]);
        $left -= 500.0 * 500.0;
        $this->cut($id, ['form' => 'rectangle', 'u' => 9000, 'v' => -100, 'width' => 250, 'height' => 3500]);
        self::assertEqualsWithDelta($left - 250.0 * 3000.0, $this->face($id)->area(), 0.01);
        self::assertCount(2, $this->face($id)->region);
        self::assertEqualsWithDelta(($left - 250.0 * 3000.0) * 20.0, $this->face($id)->volume(), 1.0);
    }

    public function test_a_drawn_shape_has_arcs_and_rounded_corners_and_grows(): void
    {
        $id = $this->screen();
        // a half circle on a square of 1 000, then all of it 100 wider
        $this->cut($id, ['form' => 'polygon', 'points' => [[2000, 500], [3000, 500], [3000, 1500, 500], [2000, 1500]]]);
        $area = fn (): float => 12000.0 * 3000.0 - $this->face($id)->area();
        self::assertEqualsWithDelta(1e6 + M_PI * 500.0 ** 2 / 2, $area(), 1e-3);
        $this->house->do('screen.draw', ['id' => $id, 'n' => 2, 'shape' => ['grow' => 100]]);
        self::assertEqualsWithDelta(1200.0 * 1100.0 + M_PI * 600.0 ** 2 / 2, $area(), 1e-3);
        // drawn clockwise it is the same
        $this->house->do('screen.draw', ['id' => $id, 'n' => 2, 'shape' => [
            'grow' => 0, 'points' => [[2000, 1500, -500], [3000, 1500], [3000, 500], [2000, 500]],
        ]]);
        self::assertEqualsWithDelta(1e6 + M_PI * 500.0 ** 2 / 2, $area(), 1e-3);
        $this->house->do('screen.draw', ['id' => $id, 'n' => 2, 'shape' => [
            'points' => [[2000, 500], [3000, 500], [3000, 1500], [2000, 1500]], 'radius' => 200,
        ]]);
        self::assertEqualsWithDelta(1e6 - (4.0 - M_PI) * 200.0 ** 2, $area(), 1e-3);
    }

    public function test_pieces_are_added_to_one_another_and_what_comes_later_fills_what_was_cut(): void
    {
        $id = $this->screen();
        $this->cut($id, ['form' => 'rectangle', 'u' => 1000, 'v' => 1000, 'width' => 2000, 'height' => 1000]);
        // over the cut-out, and 500 over the head
        $this->cut($id, ['form' => 'rectangle', 'u' => 1500, 'v' => 1500, 'width' => 500, 'height' => 2000], false);
        self::assertEqualsWithDelta(36e6 - 2e6 + 500.0 * 500.0 + 500.0 * 500.0, $this->face($id)->area(), 1e-3);
        $this->house->do('screen.take-out', ['id' => $id, 'parts' => [2, 3]]);
        self::assertEqualsWithDelta(36e6, $this->face($id)->area(), 1e-3);
    }

    /** A half circle over 1 000 whose crown touches the head, and a circle that touches the foot: nothing more than they are is taken. */
    public function test_arcs_that_touch_an_edge_take_what_they_are(): void
    {
        $id = $this->screen();
        $this->cut($id, ['form' => 'polygon', 'points' => [[2000, 1500], [3000, 1500], [3000, 2500, 500], [2000, 2500]]]);
        self::assertEqualsWithDelta(36e6 - 1e6 - M_PI * 500.0 ** 2 / 2, $this->face($id)->area(), 1e-3);
        $this->cut($id, ['form' => 'round', 'u' => 5000, 'v' => 0, 'width' => 800]);
        self::assertEqualsWithDelta(36e6 - 1e6 - M_PI * (500.0 ** 2 / 2 + 400.0 ** 2), $this->face($id)->area(), 1e-3);
        $this->cut($id, ['form' => 'round', 'u' => 5800, 'v' => 0, 'width' => 800]);
        self::assertEqualsWithDelta(36e6 - 1e6 - M_PI * (500.0 ** 2 / 2 + 2 * 400.0 ** 2), $this->face($id)->area(), 1e-3);
    }

    public function test_battens_fill_a_cut_out_and_follow_it(): void
    {
        $id = $this->screen();
        $this->cut($id, ['form' => 'rectangle', 'u' => 1000, 'v' => 500, 'width' => 1000, 'height' => 600]);
        $field = $this->house->do('field.fill', [
            'screen' => $id, 'cut' => 2, 'angle' => 90, 'wide' => 40, 'deep' => 20, 'frameWide' => 30, 'frameDeep' => 25,
            'battens' => ['by' => 'fit', 'size' => 40],
        ])->chosen[0];
        $pieces = fn (): FieldPieces => FieldsOn::in($this->house->design)->of(FieldsOn::field($this->house->design, $field));
        // within the frame 540 up: floor((540 − 40) / 80) = 6, each 940 long
        self::assertCount(6, $pieces()->pieces);
        self::assertEqualsWithDelta(array_fill(0, 6, 940.0), $pieces()->lengths, 1e-6);
        self::assertEqualsWithDelta(1000.0 * 600.0 - 940.0 * 540.0, $pieces()->frame?->area(), 1e-6);
        self::assertSame(150.0, $pieces()->field->out, 'in the plane of the sheet');
        $this->house->do('screen.move', ['id' => $id, 'parts' => [2], 'du' => 300]);
        self::assertEqualsWithDelta(1300.0, $pieces()->region->bounds()[0], 1e-6);
        $this->house->do('screen.take-out', ['id' => $id, 'parts' => [2]]);
        self::assertStringContainsString('is not there any more', (string) FieldsOn::in($this->house->design)->why(
            FieldsOn::field($this->house->design, $field),
        ));
    }

    public function test_battens_lie_over_all_of_a_screen_and_follow_it(): void
    {
        $id = $this->screen(['foot' => 200, 'height' => 2600]);
        $this->cut($id, ['form' => 'rectangle', 'u' => 4000, 'v' => 500, 'width' => 1000, 'height' => 600]);
        $battens = ['by' => 'pitch', 'size' => 500];
        $field = $this->house->do('field.fill', ['screen' => $id, 'angle' => 0, 'wide' => 50, 'battens' => $battens]);
        $pieces = fn (): FieldPieces => FieldsOn::in($this->house->design)->of(FieldsOn::field($this->house->design, $field->chosen[0]));
        self::assertEqualsWithDelta([0.0, 200.0, 12000.0, 2800.0], $pieces()->region->bounds(), 1e-6);
        self::assertEqualsWithDelta([2600.0], array_values(array_unique($pieces()->lengths)), 1e-6, 'over the cut-out they run on');
        self::assertSame(170.0, $pieces()->field->out, 'on its front');
        $this->house->do('screen.draw', ['id' => $id, 'n' => 1, 'shape' => ['height' => 1800]]);
        self::assertEqualsWithDelta([1800.0], array_values(array_unique($pieces()->lengths)), 1e-6);
        // cut through from side to side there are two pieces of it
        $this->cut($id, ['form' => 'rectangle', 'u' => 2000, 'v' => 0, 'width' => 100, 'height' => 2500]);
        self::assertStringContainsString('in 2 pieces', (string) FieldsOn::in($this->house->design)->why(
            FieldsOn::field($this->house->design, $field->chosen[0]),
        ));
    }

    public function test_a_unit_fills_a_cut_out_exactly_and_is_in_every_view(): void
    {
        $id = $this->screen();
        $this->cut($id, ['form' => 'rectangle', 'u' => 1000, 'v' => 300, 'width' => 1100, 'height' => 1400]);
        $type = $this->house->type('W-03');
        $this->house->do('screen.draw', ['id' => $id, 'n' => 2, 'type' => $type->id]);
        $unit = $this->face($id)->units[0];
        self::assertEqualsWithDelta([1100.0, 1400.0], [$unit->unit->outline->width(), $unit->unit->outline->height()], 1e-6);
        self::assertEqualsWithDelta([1000.0, 300.0], [$unit->u, $unit->level], 1e-6);
        // its copy has it too, its mirror image mirrored
        $this->house->do('screen.mirror', ['id' => $id, 'parts' => [2], 'about' => 6000, 'keep' => true]);
        self::assertTrue(Screens::screen($this->house->design, $id)->part(3)->mirrored);
        $design = $this->house->design;
        $bodies = Bodies::of($design);
        $parts = array_filter(
            Scene::of('test', $design, [$bodies[$this->south]])->parts,
            static fn ($p): bool => str_starts_with($p->geometry, 'screen unit'),
        );
        self::assertCount(2, $parts);
        $glass = static fn (array $shapes): int => count(array_filter($shapes, static fn (Shape $s): bool => $s->layer === Layer::Glass));
        self::assertGreaterThan(1, $glass((new ScreensDrawn)->elevation($design, $bodies[$this->south], new Symbols)));
        $plan = (new ScreensDrawn)->plan($design, $bodies[$this->south], $this->house->storey(0), 180.0)[$id];
        self::assertGreaterThan(1, $glass($plan));
        // in plan before the wall, whose face lies at y = 0: its glass within the depth of the unit behind the screen's front
        foreach ($plan as $shape) {
            foreach ($shape->layer === Layer::Glass ? $shape->rings : [] as $ring) {
                $ys = array_filter($ring, static fn (int $i): bool => $i % 2 === 1, ARRAY_FILTER_USE_KEY);
                self::assertLessThan(0.0, max($ys));
                self::assertGreaterThan(-171.0, min($ys));
            }
        }
        // too small for it is refused, and so is a round one
        try {
            $this->house->do('screen.draw', ['id' => $id, 'n' => 2, 'shape' => ['width' => 60]]);
            self::fail('It was made smaller than its unit.');
        } catch (Refusal $refusal) {
            self::assertSame('screen.unit_no_room', $refusal->reason);
        }
        $this->expectExceptionMessage('rectangle with sharp corners');
        $this->house->do('screen.draw', ['id' => $id, 'n' => 2, 'shape' => ['radius' => 40]]);
    }

    public function test_a_cut_out_round_openings_follows_them(): void
    {
        $opening = $this->house->place(['left' => 3000, 'width' => 1200, 'height' => 1500]);
        $other = $this->house->place(['left' => 4400, 'width' => 1200, 'height' => 1500]);
        $id = $this->screen();
        $this->house->do('screen.draw', ['id' => $id, 'cut' => true, 'shape' => [
            'form' => 'openings', 'around' => [$opening->id, $other->id], 'grow' => 60,
        ]]);
        // each 1 320 × 1 620, clear of each other by 80
        self::assertCount(2, $this->face($id)->region[0]->holes);
        self::assertEqualsWithDelta(36e6 - 2 * 1320.0 * 1620.0, $this->face($id)->area(), 1e-3);
        $this->house->do('screen.draw', ['id' => $id, 'n' => 2, 'shape' => ['grow' => 150]]);
        self::assertEqualsWithDelta(36e6 - (1500.0 * 2 - 100.0) * 1800.0, $this->face($id)->area(), 1e-3);
        $this->house->do('opening.change', ['id' => $other->id, 'width' => 900]);
        self::assertNotEqualsWithDelta(36e6 - (1500.0 * 2 - 100.0) * 1800.0, $this->face($id)->area(), 1.0);
    }

    /** Sheet of 20, 150 before the wall: back from its edges, from a cut-out 1 000 × 500, and to another screen behind it. */
    public function test_returns_run_back_to_what_is_behind(): void
    {
        $id = $this->screen(['edges' => true, 'reveals' => true]);
        $this->cut($id, ['form' => 'rectangle', 'u' => 1000, 'v' => 500, 'width' => 1000, 'height' => 500]);
        $sheet = (36e6 - 500e3) * 20.0;
        $edges = 12000.0 * 3000.0 - 11960.0 * 2960.0;
        $reveal = 1040.0 * 540.0 - 1000.0 * 500.0;
        self::assertEqualsWithDelta($sheet + ($edges + $reveal) * 150.0, $this->face($id)->volume(), 1.0);
        $this->screen(['gap' => 0, 'thick' => 50]);
        self::assertEqualsWithDelta($sheet + ($edges + $reveal) * 100.0, $this->face($id)->volume(), 1.0);
        // nearer than twice its thickness: the reveals are one there
        $this->cut($id, ['form' => 'rectangle', 'u' => 2030, 'v' => 500, 'width' => 1000, 'height' => 500]);
        $both = (2030.0 + 40.0) * 540.0 - 2 * 500e3;
        self::assertEqualsWithDelta($sheet - 500e3 * 20.0 + ($edges + $both) * 100.0, $this->face($id)->volume(), 1.0);
    }

    public function test_what_turns_a_corner_has_no_return_there(): void
    {
        $id = $this->screen(['walls' => [], 'outline' => $this->house->wall()->outline, 'edges' => true]);
        $sheet = (12340.0 * 8340.0 - 12300.0 * 8300.0) * 3000.0;
        // head and foot only, 20 high each, from the wall out to the sheet, mitred at the corners
        $returns = 0.0;
        foreach ($this->stands($id)->faces as $face) {
            $returns += array_sum(array_map(static fn (Profile $p): float => $p->area(), $face->returns()));
        }
        self::assertEqualsWithDelta(2 * 20.0 * 2 * (12340.0 + 8340.0), $returns, 1.0);
        self::assertGreaterThan($sheet, self::volume($this->stands($id)));
    }

    public function test_cut_outs_are_copied_stacked_mirrored_and_spaced(): void
    {
        $id = $this->screen(['height' => 6000]);
        $this->cut($id, ['form' => 'rectangle', 'u' => 500, 'v' => 800, 'width' => 600, 'height' => 400]);
        $u = fn (): array => array_map(
            static fn (array $p): array => [$p['shape']['u'], $p['shape']['v']],
            array_slice(Screens::screen($this->house->design, $id)->toArray()['parts'], 1),
        );
        $this->house->do('screen.copy', ['id' => $id, 'parts' => [2], 'du' => 900, 'times' => 2]);
        self::assertSame([[500.0, 800.0], [1400.0, 800.0], [2300.0, 800.0]], $u());
        $this->house->do('screen.copy', ['id' => $id, 'parts' => [4], 'storeys' => [$this->house->storey(1)]]);
        self::assertSame([2300.0, 3800.0], $u()[3]);
        $this->house->do('screen.mirror', ['id' => $id, 'parts' => [5], 'about' => 6000, 'keep' => true]);
        self::assertSame([9100.0, 3800.0], $u()[4]);
        // 600 wide each, from 500 to 2 900: gaps of 300; between the ends (12 000 − 1 800) / 4
        $this->house->do('screen.move', ['id' => $id, 'parts' => [3], 'du' => 100]);
        $this->house->do('screen.space', ['id' => $id, 'parts' => [2, 3, 4], 'by' => 'gaps']);
        self::assertSame([500.0, 1400.0, 2300.0], array_column(array_slice($u(), 0, 3), 0));
        $this->house->do('screen.space', ['id' => $id, 'parts' => [2, 3, 4], 'by' => 'gaps', 'ends' => true]);
        self::assertEqualsWithDelta([2550.0, 5700.0, 8850.0], array_column(array_slice($u(), 0, 3), 0), 1e-9);
        self::assertSame(1.0, round($this->face($id)->area() / (72e6 - 5 * 240e3), 9));
    }

    public function test_schedules_tell_the_screen_and_its_cut_outs(): void
    {
        $id = $this->screen(['name' => 'Wind screen', 'edges' => true]);
        $this->cut($id, ['form' => 'round', 'u' => 4000, 'v' => 1000, 'width' => 900]);
        $bodies = Bodies::of($this->house->design);
        $frontages = Frontages::of($this->house->design, $bodies);
        $rows = fn (string $of): array => Source::of($of, $this->house->design, $bodies, $frontages)->rows;
        $value = static fn (Row $r, string ...$keys): array => array_map(static fn (string $k): mixed => $r->value($k), $keys);
        self::assertSame(['Wind screen', 12000.0, 1], $value($rows('screens')[0], 'screen', 'width', 'cuts'));
        self::assertEqualsWithDelta(36e6 - M_PI * 450.0 ** 2, $rows('screens')[0]->figure('area'), 1.0);
        // its edges closed back: 20 less all round, 150 deep, over 20
        self::assertEqualsWithDelta((36e6 - 11960.0 * 2960.0) * 150.0 / 20.0, $rows('screens')[0]->figure('returns'), 1.0);
        self::assertSame([2, 'round, 900', 900.0], $value($rows('cut-outs')[0], 'number', 'shape', 'width'));
        self::assertEqualsWithDelta(M_PI * 900.0, $rows('cut-outs')[0]->figure('edge'), 1e-6);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function wrong(): iterable
    {
        $shape = static fn (array $shape): array => ['cut' => true, 'shape' => $shape];
        $box = ['form' => 'rectangle', 'u' => 1000, 'v' => 500, 'width' => 800, 'height' => 400];
        yield 'outside' => [$shape(['v' => 5000] + $box), 'screen.outside', 'outside it'];
        yield 'crossing itself' => [
            $shape(['form' => 'polygon', 'points' => [[0, 0], [1000, 1000], [1000, 0], [0, 1000]]]), 'screen.crosses', 'crosses itself',
        ];
        yield 'of two corners' => [$shape(['form' => 'polygon', 'points' => [[0, 0], [1000, 1000]]]), 'screen.points', '2 were given'];
        yield 'of no width' => [$shape(['width' => 0] + $box), 'size.too_small', 'at least 1'];
        yield 'rounded too far' => [$shape(['radius' => 300] + $box), 'screen.radius', 'by 200 at the most'];
        yield 'shrunk to nothing' => [$shape(['grow' => -200] + $box), 'screen.grow', 'leave nothing'];
        yield 'round nothing' => [$shape(['form' => 'openings', 'around' => []]), 'screen.around', 'choose some'];
        yield 'all of it' => [
            $shape(['form' => 'rectangle', 'u' => -100, 'v' => -100, 'width' => 13000, 'height' => 4000]), 'screen.nothing', 'Nothing of',
        ];
    }

    /** @param  array<string, mixed>  $args */
    #[DataProvider('wrong')]
    public function test_what_cannot_be_cut_out_is_refused_with_figures(array $args, string $reason, string $says): void
    {
        $id = $this->screen();
        try {
            $this->house->do('screen.draw', ['id' => $id, 'wall' => $this->south] + $args);
            self::fail('It was cut out.');
        } catch (Refusal $refusal) {
            self::assertSame($reason, $refusal->reason);
            self::assertStringContainsString($says, str_replace(["\u{2063}", "\u{202f}"], '', $refusal->getMessage()));
        }
        self::assertCount(1, Screens::screen($this->house->design, $id)->parts);
    }

    public function test_a_screen_less_than_nothing_before_its_wall_is_refused(): void
    {
        $this->expectExceptionMessage('stands before its walls, or against them');
        $this->screen(['gap' => -5]);
    }

    public function test_it_is_read_back_as_it_was(): void
    {
        $id = $this->screen();
        $this->cut($id, ['form' => 'polygon', 'points' => [[2000, 500], [3000, 500], [3000, 1500, 500], [2000, 1500]], 'radius' => 20]);
        $screen = Screens::screen($this->house->design, $id);
        self::assertEquals($screen, Screen::from(new \Isleward\Core\Measure\Fields($screen->toArray())));
    }
}
