<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Tracing;

use Isleward\Core\Building\Bodies;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Tracing;
use Isleward\Core\Exchange\SvgReader;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Tests\Support\House;
use Isleward\Core\Tracing\Offered;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class TracingTest extends TestCase
{
    /**
     * @return iterable<string, array{string, list<float>, int}> the lines, y up from the lower left of a drawing 100 × 50, and how many
     *    chords of curves; by hand from SVG 1.1
     */
    public static function drawings(): iterable
    {
        yield 'a line, y turned up' => ['<line x1="0" y1="0" x2="10" y2="0"/>', [0, 50, 10, 50], 0];
        yield 'transforms, the inner first' => [
            '<g transform="translate(10,20) scale(2)"><g transform="rotate(90)"><line x2="5"/></g></g>',
            [10, 30, 10, 20],
            0,
        ];
        yield 'a path that goes on after M, closed' => ['<path d="M1 1 3 1v2z"/>', [1, 49, 3, 49, 3, 49, 3, 47, 3, 47, 1, 49], 0];
        yield 'relative, without spaces' => ['<path d="m1-1.5.5.5h-.5"/>', [1, 51.5, 1.5, 51, 1.5, 51, 1, 51], 0];
        yield 'a rectangle used twice' => [
            '<defs><rect id="r" width="2" height="1"/></defs><use href="#r" x="4"/>',
            [4, 50, 6, 50, 6, 50, 6, 49, 6, 49, 4, 49, 4, 49, 4, 50],
            0,
        ];
        yield 'an arc with flags run together' => ['<path d="M10 25a5 5 0 0110 0"/>', [], 1];
        yield 'letters of glyphs are seen only' => [
            '<defs><g id="glyph-0-1"><path d="M0 0L1 1"/></g></defs><use href="#glyph-0-1"/><line x2="1"/>',
            [0, 50, 1, 50],
            0,
        ];
        yield 'what is hidden is left out' => [
            '<g style="display:none"><line x2="9"/></g><clipPath><path d="M0 0h9"/></clipPath><line x2="1"/>',
            [0, 50, 1, 50],
            0,
        ];
    }

    /** @param  list<float>  $lines */
    #[DataProvider('drawings')]
    public function test_an_svg_is_read_as_lines(string $body, array $lines, int $curves): void
    {
        $vectors = SvgReader::read(
            '<?xml version="1.0"?><!DOCTYPE svg PUBLIC "-//W3C//DTD SVG 1.1//EN" "http://www.w3.org/Graphics/SVG/1.1/DTD/svg11.dtd"><svg xmlns="http://www.w3.org/2000/svg" width="100" height="50">'
                            .$body
                            .'</svg>',
        );
        self::assertEqualsWithDelta($lines, $vectors->lines, 1e-6);
        self::assertSame($curves > 0, $vectors->curves !== []);
        if ($curves > 0) {
            // the arc from (10, 25) to (20, 25) of radius 5 rises to 5 over its chord
            self::assertEqualsWithDelta(
                30.0,
                max(array_filter($vectors->curves, static fn (int $i): bool => $i % 2 === 1, ARRAY_FILTER_USE_KEY)),
                0.05,
            );
        }
    }

    public function test_what_could_do_harm_is_left_out_or_refused(): void
    {
        $svg = static fn (string $body): string => '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10">'.$body.'</svg>';
        $notes = SvgReader::read(
            $svg('<script>alert(1)</script><line x2="5" onclick="x()"/><use href="http://example.org/a.svg#b"/><image href="a.png"/>'),
        )->notes;
        self::assertSame(['Left out: 2 scripts.', 'Left out: 1 reference to outside.', 'Left out: 1 picture.'], $notes);
        foreach ([
            'svg.entities' => '<!DOCTYPE svg [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]>'.$svg('<text>&b;</text>'),
            'svg.too_deep' => $svg('<g id="a"><use href="#a"/></g>'),
            'svg.unreadable' => '<html><body/></html>',
            'svg.empty' => $svg('<rect width="0" height="5"/>'),
            'svg.no_size' => '<svg xmlns="http://www.w3.org/2000/svg"><line x2="5"/></svg>',
        ] as $reason => $content) {
            try {
                SvgReader::read($content);
                self::fail("$reason was read.");
            } catch (Refusal $refusal) {
                self::assertSame($reason, $refusal->reason);
            }
        }
    }

    /**
     * Worked by hand: two points 300 units apart that are known to be 7500 mm apart make a unit 25 mm; then turned by 90° about its first
     * point.
     */
    public function test_a_tracing_is_scaled_by_two_points_and_turned_to_fit(): void
    {
        $house = House::box();
        $id = $house->do(
            'tracing.keep',
            [
                'name' => 'Ground',
                'storeys' => [$house->storey(0)],
                'file' => md5('x').'.json',
                'width' => 800,
                'height' => 600,
                'x' => 100,
                'y' => 200,
                'scale' => 10,
            ],
        )->chosen[0];
        $tracing = static function () use ($house, $id): Tracing {
            $t = $house->design->kept(Kind::Tracing, $id);
            self::assertInstanceOf(Tracing::class, $t);

            return $t;
        };
        // unit points (10, 20) and (310, 20) lie at (200, 400) and (3200, 400)
        $house->do('tracing.place', ['id' => $id, 'a' => [200, 400], 'b' => [3200, 400], 'distance' => '7.5 m']);
        self::assertEqualsWithDelta(25.0, $tracing()->scale, 1e-9);
        self::assertEqualsWithDelta(
            [200.0, 400.0, 7700.0, 400.0],
            [$tracing()->inPlan(10, 20)->x, $tracing()->inPlan(10, 20)->y, $tracing()->inPlan(310, 20)->x, $tracing()->inPlan(310, 20)->y],
            1e-9,
        );
        $house->do('tracing.place', ['id' => $id, 'a' => [200, 400], 'to' => [0, 0], 'b' => [7700, 400], 'towards' => [0, 5000]]);
        self::assertEqualsWithDelta(
            [0.0, 0.0, 0.0, 7500.0],
            [$tracing()->inPlan(10, 20)->x, $tracing()->inPlan(10, 20)->y, $tracing()->inPlan(310, 20)->x, $tracing()->inPlan(310, 20)->y],
            1e-9,
        );
        self::assertEqualsWithDelta(
            [$tracing()->inPlan(310, 20)->x, $tracing()->inPlan(310, 20)->y],
            $tracing()->linesInPlan([310, 20]),
            1e-9,
        );
        self::assertTrue($house->refuses('tracing.place', ['id' => $id, 'a' => [5, 5], 'b' => [5, 5], 'distance' => 1000]));
        $house->do('tracing.keep', ['id' => $id, 'locked' => true]);
        self::assertTrue($house->refuses('tracing.place', ['id' => $id, 'a' => [0, 0], 'to' => [5, 5]]));
    }

    /**
     * A wall drawn with two openings and a window's pane in one: both are offered; one that is there 40 off its marks is told and moved.
     */
    public function test_openings_are_offered_between_marks_and_jambs_off_their_marks_are_told(): void
    {
        $house = House::box();
        // the south wall, 12000 long and 300 thick: faces broken at 2000–3200; drawn through with a pane at 5000–6500
        $lines = [
            [0, 0, 2000, 0], [300, 300, 2000, 300], [3200, 0, 12000, 0], [3200, 300, 11700, 300], [2000, 0, 2000, 300],
            [3200, 0, 3200, 300],
            [5000, 0, 5000, 300], [6500, 0, 6500, 300], [5000, 150, 6500, 150], [5000, 150, 6500, 150],
        ];
        $flat = array_map(floatval(...), array_merge(...$lines));
        $offered = static fn (): array => Offered::on($house->design, Bodies::of($house->design), $house->storey(0), $flat);
        self::assertSame(
            [[2000.0, 3200.0, 1135.0], [5000.0, 6500.0, 1585.0]],
            array_map(static fn (array $c): array => [$c['from'], $c['to'], $c['rounded']], $offered()['candidates']),
        );
        $change = $house->do(
            'opening.from-marks',
            [
                'storey' => $house->storey(0),
                'type' => $house->type('W-01')->id,
                'marks' => array_map(
                    static fn (array $c): array => array_intersect_key($c, ['host' => 1, 'from' => 1, 'to' => 1]),
                    $offered()['candidates'],
                ),
            ],
        );
        self::assertSame(
            [[2000.0, 1200.0], [5000.0, 1500.0]],
            array_map(static fn (string $id): array => [$house->placed($id)->left, $house->placed($id)->opening->width], $change->chosen),
        );
        self::assertSame([[], []], [$offered()['candidates'], $offered()['off']]);
        $house->do('opening.change', ['id' => $change->chosen[0], 'leftJamb' => 2040, 'width' => 1165]);
        $off = $offered()['off'];
        self::assertSame(['W-01: its left jamb lies 40 to the right of its mark.'], array_column($off, 'sentence'));
        $house->do('opening.change', $off[0]['args']);
        self::assertSame([2000.0, 1200.0], [$house->placed($change->chosen[0])->left, $house->placed($change->chosen[0])->opening->width]);
        $rounded = $house->try(
            'opening.from-marks',
            ['storey' => $house->storey(0), 'rounded' => true, 'marks' => [['host' => $house->wall()->id, 'from' => 8000, 'to' => 9203.4]]],
        );
        self::assertSame(['Rounded: 68.4 narrower than the marks are apart.'], $rounded->notes);
    }

    /** A curved wall drawn with an opening of either jambs: they are marked where they meet the outer face, and it stands on them. */
    public function test_marks_on_an_arc_are_read_where_they_meet_the_outer_face(): void
    {
        foreach (['parallel', 'radial'] as $jambs) {
            $house = House::box();
            $house->do('wall.bend', ['wall' => $house->wall()->id, 'radius' => 8000]);
            $args = ['left' => 2000, 'width' => 1200, 'height' => 1000, 'jambs' => $jambs];
            $there = $house->place($args);
            $placed = $house->placed($there->id);
            $surface = $house->body()->surface;
            $lines = [];
            $line = static function (float $u0, float $d0, float $u1, float $d1) use ($surface, &$lines): void {
                [$a, $b] = [$surface->inPlan($u0, $d0), $surface->inPlan($u1, $d1)];
                array_push($lines, $a->x, $a->y, $b->x, $b->y);
            };
            foreach ([0.0, 1200.0] as $x) {
                $u = static fn (float $depth): float => $placed->left + ($placed->cut?->along($x, $depth) ?? $x);
                $line($u(0.0), 0.0, $u(300.0), 300.0);
            }
            // the faces beside it, in short chords as drawings have them
            for ($u = 0.0; $u < $surface->length - 100; $u += 100) {
                if ($u + 100 <= $placed->left || $u >= $placed->right) {
                    $line($u, 0.0, $u + 100, 0.0);
                    $line($u, 300.0, $u + 100, 300.0);
                }
            }
            $offered = static fn (): array => Offered::on($house->design, Bodies::of($house->design), $house->storey(0), $lines);
            self::assertSame([], $offered()['off'], "$jambs: it stands on its marks");
            $house->do('opening.remove', ['ids' => [$there->id]]);
            $candidates = $offered()['candidates'];
            self::assertCount(1, $candidates, $jambs);
            self::assertEqualsWithDelta([$placed->left, $placed->right], [$candidates[0]['from'], $candidates[0]['to']], 0.01, $jambs);
            $made = $house->do('opening.from-marks', [
                'storey' => $house->storey(0),
                'marks' => [array_intersect_key($candidates[0], ['host' => 1, 'from' => 1, 'to' => 1])],
            ])->chosen[0];
            // the project cuts parallel jambs: the clear width between the marks is the chord between them
            self::assertEqualsWithDelta($surface->chordAt($placed->left, $placed->right), $house->placed($made)->opening->width, 0.01);
            $now = $house->placed($made);
            self::assertEqualsWithDelta([$placed->left, $placed->right], [$now->left, $now->right], 0.05, $jambs);
        }
    }
}
