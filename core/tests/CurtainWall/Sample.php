<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\CurtainWall;

use Isleward\Core\CurtainWall\Axis;
use Isleward\Core\CurtainWall\ByHand;
use Isleward\Core\CurtainWall\Corner;
use Isleward\Core\CurtainWall\Grid;
use Isleward\Core\CurtainWall\GridRules;
use Isleward\Core\CurtainWall\GridSolver;
use Isleward\Core\CurtainWall\PathStretch;
use Isleward\Core\CurtainWall\Role;
use Isleward\Core\CurtainWall\Run;
use Isleward\Core\CurtainWall\RunPath;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Grids for the tests. */
final class Sample
{
    /**
     * @param  array<string, mixed>  $with  in place of what else would be: bays and rows of 1 200, members 50 × 150
     * @param  array<string, array<string, mixed>|null>  $profiles
     */
    public static function rules(array $with = [], array $profiles = []): GridRules
    {
        return GridRules::from(new Fields($with + [
            'bays' => ['by' => 'module', 'size' => 1200.0],
            'rows' => ['by' => 'module', 'size' => 1200.0],
            'profiles' => $profiles + array_fill_keys(
                array_column(Role::cases(), 'value'),
                ['shape' => 'rectangle', 'face' => 50.0, 'depth' => 150.0],
            ),
            'infills' => [['where' => 'everywhere', 'infill' => ['kind' => 'vision', 'layers' => [6.0, 16.0, 6.0]]]],
        ]));
    }

    /** No members, and joints of nothing: glass is all there is. */
    public static function glassOnly(): GridRules
    {
        return self::rules([], array_fill_keys(array_column(Role::cases(), 'value'), null));
    }

    /**
     * Two stretches of one length, 2 400 high, with so many degrees between them on the inside, that lean inward by so many.
     *
     * @param  array{float, float}  $leans
     * @param  list<ByHand>  $byHand
     */
    public static function two(
        float $angle,
        array $leans,
        Corner $corner,
        float $length = 6000.0,
        ?GridRules $rules = null,
        array $byHand = [],
        bool $square = false,
    ): Run {
        $turn = deg2rad(180.0 - $angle);

        return Run::along(
            RunPath::of([
                new PathStretch(Curve::line(new Vec2(-$length, 0.0), new Vec2(0.0, 0.0)), deg2rad($leans[0]), square: $square),
                new PathStretch(
                    Curve::line(new Vec2(0.0, 0.0), new Vec2($length * cos($turn), $length * sin($turn))),
                    deg2rad($leans[1]),
                    square: $square,
                ),
            ], [$corner]),
            $rules ?? self::rules(['rows' => ['by' => 'count', 'count' => 2]]),
            300.0,
            2400.0,
            [],
            $byHand,
        );
    }

    /** Any rules, over any face, with anything changed by hand that can be. */
    public static function any(int $seed): Grid
    {
        mt_srand($seed);
        $profile = static fn (): ?array => mt_rand(0, 5) === 0 ? null : [
            'shape' => ['rectangle', 'tee', 'round'][mt_rand(0, 2)],
            'face' => (float) mt_rand(30, 140), 'depth' => (float) mt_rand(60, 200),
            'flange' => 10.0, 'web' => 12.0,
        ];
        $order = array_column(Role::cases(), 'value');
        shuffle($order);
        $rules = self::rules(
            [
                'bays' => [
                    'by' => 'module', 'size' => (float) mt_rand(500, 1600), 'remainder' => ['start', 'both', 'shared'][mt_rand(0, 2)],
                ],
                'rows' => ['by' => 'count', 'count' => mt_rand(1, 6)], 'order' => $order, 'joint' => (float) mt_rand(0, 20),
                'mitre' => $seed % 3 === 0,
            ],
            array_map(static fn (): ?array => $profile(), array_fill_keys($order, null)),
        );
        $changes = [];
        for ($i = mt_rand(0, 9); $i > 0; $i--) {
            $change = [
                'axis' => [Axis::Upright, Axis::Level][mt_rand(0, 1)]->value, 'line' => ['0', '1', '2', '3', 'end'][mt_rand(0, 4)],
                'from' => ['0', '1', '2'][mt_rand(0, 2)],
            ];
            $changes[] = mt_rand(0, 1) === 0 ? $change : $change + ['profile' => $profile()];
        }
        $lines = self::anyLines();
        for (; ; array_pop($changes)) {
            try {
                $hand = ByHand::from(new Fields(['members' => $changes, 'lines' => $lines]));

                return GridSolver::solve($rules, 6430.0, 4210.0, [0.0, 3600.0], $hand);
            } catch (Refusal) {
                // what cannot be (an end that nothing holds, a cell too small) is undone, the latest first
                if ($changes === [] && $lines !== []) {
                    $lines = [];
                } elseif ($changes === []) {
                    return self::any($seed + 1000); // rules that leave slivers
                }
            }
        }
    }

    /** @return list<array<string, mixed>> lines that stand in one bay or row only, or do not stand in one */
    private static function anyLines(): array
    {
        $lines = [];
        for ($i = mt_rand(-2, 4); $i > 0; $i--) {
            $done = ['added', 'added', 'moved', 'removed'][mt_rand(0, 3)];
            $lines[] = [
                'axis' => ['upright', 'level'][mt_rand(0, 1)], 'done' => $done,
                'line' => $done === 'added' ? '+'.$i : (string) mt_rand(1, 2),
                'from' => ['start', 'end', 'before', 'after'][mt_rand(0, 3)], 'at' => (float) mt_rand(200, 900),
                'within' => ['0', '1', '2', '+1'][mt_rand(0, 3)],
                'beside' => [null, '1', '2', 'end'][mt_rand(0, 3)],
            ];
        }

        return $lines;
    }
}
