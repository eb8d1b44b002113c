<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Bench;

use Isleward\Core\Bench\Dimensions;
use Isleward\Core\Bench\Draft;
use Isleward\Core\Bench\Steps;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Units as Measure;
use Isleward\Core\Tests\Support\Units;
use Isleward\Core\Unit\SolvedUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Steps at the bench: what they make, that they come back to where they began, and what they refuse. */
final class StepsTest extends TestCase
{
    private const HEAD = [['length' => 650, 'rise' => 0], ['length' => 1500, 'rise' => 420], ['share' => 1, 'rise' => 0]];

    /** A front 3900 wide, 2850 high at its low end, under a head that rises 420 over 1500: then by its angle, and back. */
    public function test_a_rise_becomes_an_angle_and_everything_follows(): void
    {
        $draft = Units::made(3900, 2850, [
            ['outline', ['outline' => ['kind' => 'profile', 'head' => self::HEAD, 'sill' => []]]],
            ['cut', ['path' => '', 'side' => 'below', 'size' => 2250]],
            ['divide', ['path' => '1', 'axis' => 'columns', 'sizes' => [650, 1500, null]]],
            ['divide', ['path' => '0', 'axis' => 'columns', 'sizes' => [650, 1500, 750, null]]],
        ]);
        self::assertSame(3270.0, $draft->height, 'the low end stays where it was');
        $steep = self::then($draft, 'stretch', ['side' => 'head', 'index' => 1, 'angle' => '22°']);
        self::assertEqualsWithDelta(2850 + 1500 * tan(deg2rad(22)), $steep->height, 1e-9);
        self::assertEqualsWithDelta(2250.0, self::boxes($steep->solved())['0.0'][3] + 55 / 2, 1e-9, 'the transom stays');
        $back = self::then($steep, 'stretch', ['side' => 'head', 'index' => 1, 'rise' => 420]);
        self::assertEqualsWithDelta($draft->height, $back->height, 1e-9);
        self::assertEqualsWithDelta(self::boxes($draft->solved()), self::boxes($back->solved()), 1e-9);
    }

    /** Law: steps that undo each other leave every light where it was. */
    public function test_steps_that_undo_each_other(): void
    {
        mt_srand(8821);
        for ($i = 0; $i < 60; $i++) {
            $unit = Units::random();
            $draft = Draft::from(new Fields(['width' => $unit->width, 'height' => $unit->height, 'tree' => $unit->tree->toArray()]));
            $before = self::boxes($unit);
            $other = $unit->tree->toCentres ? 'faces' : 'centres';
            $same = static fn (Draft $d, string $what) => self::assertEqualsWithDelta(
                $before,
                self::boxes($d->solved()),
                1e-6,
                "unit $i: $what",
            );
            // none in two pieces under a valley
            if (count($unit->divisions) === count(array_unique(array_map(static fn ($d): string => $d->path, $unit->divisions)))) {
                $same(self::then($draft, 'measure', ['to' => $other]), 'measured another way');
                $same(
                    self::then(
                        self::then($draft, 'measure', ['to' => $other]),
                        'measure',
                        ['to' => $unit->tree->toCentres ? 'centres' : 'faces'],
                    ),
                    'and back',
                );
            }
            $same(self::then(self::then($draft, 'mirror', []), 'mirror', []), 'mirrored twice');
            $path = $unit->lights[0]->path;
            try {
                $cut = self::then($draft, 'cut', ['path' => $path, 'side' => 'left', 'fraction' => 0.4]);
            } catch (Refusal) {
                continue; // too small to cut
            }
            $prefix = $path === '' ? '' : "$path.";
            $same(self::then($cut, 'join', ['paths' => ["{$prefix}0", "{$prefix}1"]]), 'cut and joined');
            $same(self::then($cut, 'undivide', ['path' => $path]), 'cut and undivided');
        }
    }

    public function test_dividers_move_equalise_and_turn(): void
    {
        $draft = Units::made(2400, 1800, [['divide', ['path' => '', 'axis' => 'columns', 'sizes' => [500, 900, null]]]]);
        $moved = self::then($draft, 'move', ['path' => '', 'index' => 0, 'to' => 700]);
        self::assertEqualsWithDelta(
            [700.0, 1400.0],
            self::centres($moved),
            1e-9,
            'the other divider stays: what is typed beside it gives way',
        );
        self::assertEqualsWithDelta([800.0, 1600.0], self::centres(self::then($moved, 'equalise', ['path' => ''])), 1e-9);
        self::assertEqualsWithDelta([500.0, 1700.0], self::centres(self::then($draft, 'part', ['path' => '1', 'size' => 1200])), 1e-9);
        $rest = self::then($draft, 'part', ['path' => '2', 'size' => 600]);
        self::assertEqualsWithDelta([500.0, 1400.0], [self::centres($rest)[0], 2400 - 600 - 400.0], 1e-9);

        $grid = Units::made(
            2400,
            1800,
            [
                ['divide', ['path' => '', 'axis' => 'rows', 'sizes' => [600, null]]],
                ['divide', ['path' => '0', 'axis' => 'columns', 'count' => 3]],
                ['divide', ['path' => '1', 'axis' => 'columns', 'count' => 3]],
            ],
        );
        $turned = self::then($grid, 'turn', ['path' => '']);
        self::assertSame('columns', $turned->node('')['axis']);
        $boxes = static function (Draft $d): array {
            $all = array_values(self::boxes($d->solved()));
            sort($all);

            return $all;
        };
        self::assertEqualsWithDelta($boxes($grid), $boxes($turned), 1e-9);
    }

    /** Every figure on the drawing, typed again as it stands, changes nothing. */
    public function test_every_dimension_sends_back_what_it_shows(): void
    {
        foreach (['D-18', 'W-43', 'W-41', 'W-07', 'G-01'] as $mark) {
            $type = array_column(\Isleward\Core\Unit\Stock::types(), null, 'mark')[$mark];
            $draft = Draft::from(new Fields(['width' => $type['width'], 'height' => $type['height'], 'tree' => $type['tree']]));
            $before = self::boxes($draft->solved());
            foreach (Dimensions::of($draft->solved()) as $d) {
                if ($d['kind'] === 'between') {
                    continue; // it follows from others and has no field
                }
                self::assertIsString($d['field']);
                self::assertIsString($d['step']);
                $args = (array) $d['args'];
                [$group, $name] = [...explode('.', $d['field']), null];
                $args = $name === null
                                    ? [$group => $d['value']] + $args
                                    : [$group => [$name => $d['value']] + (is_array($args[$group] ?? null) ? $args[$group] : [])] + $args;
                $again = self::then($draft, $d['step'], $args);
                self::assertEqualsWithDelta($before, self::boxes($again->solved()), 1e-6, "$mark: ".json_encode($d));
            }
        }
    }

    /** @param  array<string, mixed>  $args */
    #[DataProvider('refused')]
    public function test_what_cannot_be_built_is_refused_with_figures(string $step, array $args, string $message): void
    {
        $draft = Units::made(1800, 1500, [['divide', ['path' => '', 'axis' => 'columns', 'sizes' => [600, null]]]]);
        try {
            self::then($draft, $step, $args);
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertMatchesRegularExpression($message, $refusal->getMessage());
        }
    }

    public function test_a_refusal_is_said_in_the_units_of_the_project(): void
    {
        try {
            Units::made("6'", "5'", [['frame', ['values' => ['jamb' => "3' 6\""]]]], Measure::FeetInches);
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertSame('Frame jambs of 7\' 0" together leave no room in a unit 6\' 0" wide.', $refusal->said(Measure::FeetInches));
            self::assertMatchesRegularExpression(
                '/^Frame jambs of 2\s133\.6 together leave no room in a unit 1\s828\.8 wide\.$/u',
                $refusal->getMessage(),
            );
        }
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        yield 'fixed sizes over the total' => [
            'divide',
            ['path' => '1', 'axis' => 'rows', 'sizes' => [900, 800]],
            '/take 1\s700 and 1\s500 is there/u',
        ];
        yield 'a division that leaves no room' => [
            'divide',
            ['path' => '1', 'axis' => 'columns', 'count' => 40],
            '/would be -?[\d.]+ wide clear: its dividers leave no room|dividers leave no room/u',
        ];
        yield 'a part smaller than its divider' => ['part', ['path' => '0', 'size' => 60], '/Part 1 of this division would be/u'];
        yield 'an arch flatter than its rule' => [
            'outline',
            ['outline' => ['kind' => 'arch', 'form' => 'segmental', 'rise' => 10]],
            '/1\s800 wide must rise [\d.]+ at least; 10 was given/u',
        ];
        yield 'a rise of nothing' => [
            'outline',
            ['outline' => ['kind' => 'arch', 'form' => 'segmental', 'rise' => -40]],
            '/rise of an arch must be more than nothing; [−-]40 was given/u',
        ];
        yield 'a pointed arch under half its width' => [
            'outline',
            ['outline' => ['kind' => 'arch', 'form' => 'pointed', 'rise' => 800]],
            '/more than half its width, here 900; 800 was given/u',
        ];
        yield 'a frame wider than half the unit' => [
            'frame',
            ['values' => ['jamb' => 900]],
            '/jambs of 1\s800 together leave no room in a unit 1\s800 wide/u',
        ];
        yield 'stretches longer than the width' => [
            'outline',
            ['outline' => [
                'kind' => 'profile',
                'head' => [['length' => 1200, 'rise' => 0], ['length' => 900, 'rise' => 100], ['share' => 1, 'rise' => 0]],
                'sill' => [],
            ]],
            '/2\s100.+1\s800/u',
        ];
        yield 'a head that falls to the sill' => [
            'outline',
            ['outline' => [
                'kind' => 'profile',
                'head' => [['length' => 900, 'rise' => -1500], ['share' => 1, 'rise' => 1500]],
                'sill' => [],
            ]],
            '/the head would lie/u',
        ];
        yield 'a sash that takes up its light' => [
            'light',
            ['paths' => ['0'], 'values' => ['operation' => 'side-hung', 'sashFace' => 280]],
            '/leaves? no room|no room/u',
        ];
        yield 'a blade thicker than deep' => [
            'light',
            ['paths' => ['0'], 'values' => ['operation' => 'louvre', 'louvre' => ['chord' => 40, 'thickness' => 50]]],
            '/40 deep cannot be 50 thick/u',
        ];
        yield 'a louvre without room for a blade' => [
            'light',
            ['paths' => ['0'], 'values' => ['operation' => 'louvre', 'louvre' => ['chord' => 1700, 'angle' => 90]]],
            '/Not one blade/u',
        ];
        yield 'a sliding light none of whose leaves slides' => [
            'light',
            ['paths' => ['0', '1'], 'values' => ['operation' => 'sliding', 'leaves' => ['fixed', 'fixed']]],
            '/must slide/u',
        ];
        yield 'two lights that are no neighbours' => ['join', ['paths' => ['0', '0']], '/next to each other/u'];
        yield 'an angle that is no slope' => ['stretch', ['side' => 'head', 'index' => 0, 'angle' => '95°'], '/no such|angle/u'];
        yield 'a step nobody knows' => ['bevel', [], '/no step at the bench/u'];
    }

    /** @param  array<string, mixed>  $args */
    private static function then(Draft $draft, string $step, array $args): Draft
    {
        return Steps::take($draft, $step, new Fields($args));
    }

    /** @return array<string, array{float, float, float, float}> clear box of every light by its path */
    private static function boxes(SolvedUnit $unit): array
    {
        $boxes = [];
        foreach ($unit->lights as $light) {
            $boxes[$light->path.(isset($boxes[$light->path]) ? ' '.count($boxes) : '')] = $light->contour->bounds();
        }
        ksort($boxes);

        return $boxes;
    }

    /** @return list<float> centre lines of the dividers of the whole unit */
    private static function centres(Draft $draft): array
    {
        $parts = $draft->solvedDivision('')->parts;

        return array_map(static fn (int $i): float => ($parts[$i]['to'] + $parts[$i + 1]['from']) / 2, range(0, count($parts) - 2));
    }
}
