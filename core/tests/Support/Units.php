<?php

declare(strict_types=1);

namespace Isleward\Core\Tests\Support;

use Isleward\Core\Bench\Draft;
use Isleward\Core\Bench\Steps;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Units as Measure;
use Isleward\Core\Unit\SolvedUnit;
use Isleward\Core\Unit\Solver;
use Isleward\Core\Unit\Stock;
use Isleward\Core\Unit\UnitTree;

/** Units that tests make: from the stock, step by step as at the bench, and at random. */
final class Units
{
    public const GLASS = ['operation' => 'fixed', 'glazing' => [6, 16, 6]];

    public const SASH = ['sashFace' => 60, 'sashDepth' => 68, 'glazing' => [6, 16, 6]];

    /** @param  array<string, mixed>  $tree */
    public static function solve(array $tree, float $width, float $height): SolvedUnit
    {
        return Solver::solve(UnitTree::from(new Fields($tree)), $width, $height);
    }

    /** @param  array<string, mixed>  $light  one light in a frame that takes no room, so that it is as large as it is asked for */
    public static function bare(array $light, float $width, float $height): SolvedUnit
    {
        return self::solve(['frame' => ['jamb' => 0, 'head' => 0, 'sill' => 0, 'depth' => 70], 'root' => $light], $width, $height);
    }

    /** @return array<string, mixed> a ready type's tree */
    public static function stock(string $mark): array
    {
        foreach (Stock::types() as $type) {
            if ($type['mark'] === $mark && is_array($type['tree'])) {
                /** @var array<string, mixed> */
                return $type['tree'];
            }
        }
        throw new \LogicException($mark);
    }

    /**
     * A unit made by steps at the bench from one fixed light.
     *
     * @param  list<array{string, array<string, mixed>}>  $steps
     * @param  array<string, mixed>  $frame
     */
    public static function made(
        float|string $width,
        float|string $height,
        array $steps,
        Measure $units = Measure::Millimetre,
        string $measure = 'centres',
        array $frame = ['jamb' => 55, 'head' => 55, 'sill' => 60, 'depth' => 90],
    ): Draft {
        $draft = Draft::from(
            new Fields(
                ['width' => $width, 'height' => $height, 'tree' => ['measure' => $measure, 'frame' => $frame, 'root' => self::GLASS]],
                $units,
            ),
        );
        foreach ($steps as [$step, $args]) {
            $draft = Steps::take($draft, $step, new Fields($args, $units));
        }

        return $draft;
    }

    /** A random unit that can be built: any outline, frame and tree, lights of the kinds that take any shape. */
    public static function random(bool $moving = false): SolvedUnit
    {
        while (true) {
            $tree = [
                'outline' => self::outline(), 'measure' => mt_rand(0, 1) === 1 ? 'centres' : 'faces',
                'frame' => [
                    'left' => mt_rand(0, 90),
                    'right' => mt_rand(0, 90),
                    'head' => mt_rand(0, 90),
                    'sill' => mt_rand(0, 90),
                    'depth' => mt_rand(60, 160),
                    'mitred' => mt_rand(0, 1) === 1,
                ],
                'root' => self::node(mt_rand(0, 3), $moving),
            ];
            try {
                return self::solve($tree, mt_rand(6000, 50000) / 10, mt_rand(8000, 40000) / 10);
            } catch (Refusal) {
                // no room for what the dice asked for: another
            }
        }
    }

    /** @return array<string, mixed> */
    private static function outline(): array
    {
        $stretch = static fn (): array => (mt_rand(0, 1) === 1
                    ? ['share' => mt_rand(1, 4)]
                    : ['length' => mt_rand(200, 900)]) + (mt_rand(0, 2) === 0
                    ? ['angle' => mt_rand(-35, 35)]
                    : ['rise' => mt_rand(-400, 400)]);
        $run = static fn (int $most): array => [
            ...array_map($stretch, $most > 0 ? range(1, mt_rand(1, $most)) : []),
            ['share' => 1, 'rise' => mt_rand(-300, 300)],
        ];

        return match (mt_rand(0, 9)) {
            0, 1 => ['kind' => 'rectangle'],
            2, 3, 4 => ['kind' => 'profile', 'head' => $run(3), 'sill' => mt_rand(0, 2) === 0 ? $run(2) : []],
            5 => ['kind' => 'arch', 'form' => 'segmental', 'riseShare' => mt_rand(10, 45) / 100],
            6 => ['kind' => 'arch', 'form' => 'semicircular'],
            7 => ['kind' => 'arch', 'form' => 'pointed', 'riseShare' => mt_rand(60, 110) / 100],
            8 => ['kind' => 'round'],
            default => [
                'kind' => 'polygon',
                'corners' => array_map(
                    static fn (int $k): array => [
                        'x' => 0.5 + 0.5 * cos($k * M_PI / 3),
                        'y' => 0.5 + 0.5 * sin($k * M_PI / 3) / sin(M_PI / 3),
                    ],
                    range(0, 5),
                ),
            ],
        };
    }

    /** @return array<string, mixed> */
    private static function node(int $depth, bool $moving): array
    {
        if ($depth === 0) {
            return ! $moving || mt_rand(0, 1) === 0 ? self::GLASS : [
                'operation' => ['side-hung', 'top-hung', 'tilt-and-turn'][mt_rand(0, 2)],
                'hinge' => 'left',
                'opens' => 'outward',
                'sashFace' => mt_rand(30, 60),
                'sashDepth' => 50,
            ] + self::GLASS;
        }
        $parts = [];
        foreach (range(1, mt_rand(2, 3)) as $i) {
            $parts[] = (mt_rand(0, 2) === 0 ? ['fixed' => mt_rand(150, 700)] : ['share' => mt_rand(1, 3)]) + [
                'node' => self::node(mt_rand(0, $depth - 1), $moving),
            ];
        }

        return ['axis' => mt_rand(0, 1) === 1 ? 'rows' : 'columns', 'face' => mt_rand(20, 80), 'parts' => $parts];
    }
}
