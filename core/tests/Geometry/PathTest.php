<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Geometry;

use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\InvalidPath;
use Isleward\Core\Geometry\Vec2;
use PHPUnit\Framework\TestCase;

final class PathTest extends TestCase
{
    /**
     * Circular segment: r = c²/(8h) + h/2, arc = 2 r asin(c/2r); c = 2000, h = 500 gives 1250 and 2318.2 (handbook formula, from memory).
     */
    public function test_an_arc_over_a_chord_has_the_handbook_radius_and_length(): void
    {
        $arc = Curve::overChord(new Vec2(0, 0), new Vec2(2000, 0), 500);
        self::assertEqualsWithDelta(1250.0, $arc->rx, 1e-9);
        self::assertEqualsWithDelta(2318.2, $arc->length(), 0.05);
        self::assertTrue($arc->start()->isAt(new Vec2(0, 0)));
        self::assertTrue($arc->end()->isAt(new Vec2(2000, 0)));
        self::assertTrue($arc->pointAt($arc->length() / 2)->isAt(new Vec2(1000, -500)), 'a positive rise bulges to the right');
    }

    public function test_an_offset_arc_keeps_its_centre_and_changes_its_length_with_its_radius(): void
    {
        $arc = Curve::overChord(new Vec2(0, 0), new Vec2(2000, 0), 500);
        $inner = $arc->offset(300);
        self::assertEqualsWithDelta(950.0, $inner->rx, 1e-9);
        self::assertEqualsWithDelta($arc->length() * 950 / 1250, $inner->length(), 1e-9);
        $this->expectException(InvalidPath::class);
        $arc->offset(1300);
    }

    public function test_chords_leave_an_arc_by_no_more_than_the_sagitta(): void
    {
        $arc = Curve::overChord(new Vec2(0, 0), new Vec2(8000, 0), 1500);
        $points = array_map(static fn (array $p): Vec2 => new Vec2(...$p), array_chunk([$arc->x0, $arc->y0, ...$arc->chords(2.0)], 2));
        self::assertGreaterThan(4, count($points));
        for ($i = 1; $i < count($points); $i++) {
            $middle = $points[$i - 1]->plus($points[$i])->times(0.5);
            self::assertLessThanOrEqual(2.0 + 1e-9, $arc->rx - $middle->distanceTo($arc->centre()));
        }
    }

    public function test_what_is_no_path_is_refused(): void
    {
        foreach ([
            static fn () => Curve::line(new Vec2(1, 1), new Vec2(1, 1)),
            static fn () => Curve::overChord(new Vec2(0, 0), new Vec2(10, 0), 0.0),
            static fn () => Curve::line(new Vec2(0, 0), new Vec2(10, 0))->pointAt(11),
        ] as $i => $make) {
            try {
                $make();
                self::fail("Case $i was accepted.");
            } catch (InvalidPath $refusal) {
                self::assertStringStartsWith('path.', $refusal->reason);
            }
        }
    }
}
