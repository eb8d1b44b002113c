<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Naming;
use Isleward\Core\Design\Opening;
use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Vec2;
use Isleward\Core\Measure\Refusal;

/**
 * Curtain wall let into an opening, worked out where x runs along it from its left end as seen from its outside, its outside lies at
 * negative y and its foot at 0. Openings alike share one.
 */
final class LetIn
{
    private const MOST = 400;

    /** @var array<string, Run> */
    private static array $runs = [];

    /** @return list<string> what the units in it are made like */
    private static function units(Design $design, GridType $type, Opening $opening): array
    {
        $named = [...$type->names(), ...$opening->curtain?->names() ?? []];

        return array_map(static fn (Naming $n): string => $design->types[$n->to]->treeHash ?? '', $named);
    }

    /**
     * Equal for those whose runs are alike.
     *
     * @throws Refusal when what it is in line with is gone
     */
    public static function key(Design $design, PlacedOpening $placed): string
    {
        $opening = $placed->opening;
        $type = Runs::type($design, $opening->curtain->grid ?? '');
        $floors = array_map(static fn (float $f): float => round($f, 2), Runs::floors($design, $placed->sill));
        $near = array_filter($floors, static fn (float $f): bool => $f > -6000.0 && $f < $opening->height + 6000.0);

        $own = $opening->curtain?->isAligned() === true
            ? [Aligned::ofOpening($design, $placed, $type->rules())->toArray(), $opening->facesOut]
            : [];

        return hash('xxh128', serialize([
            $type->toArray(), $own, self::units($design, $type, $opening), $opening->curtain?->byHand,
            round($opening->width, 3), round($opening->height, 3), $opening->mirrored,
            array_values($near),
        ]));
    }

    /** Its run; null where it cannot be. */
    public static function find(Design $design, PlacedOpening $placed): ?Run
    {
        try {
            return self::of($design, $placed);
        } catch (Refusal) {
            return null; // the finding "cannot stand" tells why
        }
    }

    /** @throws Refusal when it cannot be, with figures */
    public static function of(Design $design, PlacedOpening $placed): Run
    {
        $opening = $placed->opening;
        $curtain = $opening->curtain ?? throw new \LogicException('That opening is not filled with curtain wall.');
        if (count(self::$runs) > self::MOST) {
            self::$runs = [];
        }
        $key = self::key($design, $placed);
        if (! isset(self::$runs[$key])) {
            try {
                $rules = Aligned::ofOpening($design, $placed, Runs::type($design, $curtain->grid)->rules());
                self::$runs[$key] = Run::along(
                    RunPath::of([new PathStretch(Curve::line(new Vec2(0.0, 0.0), new Vec2($opening->width, 0.0)))], []),
                    $rules,
                    0.0,
                    $opening->height,
                    Runs::floors($design, $placed->sill),
                    [Runs::byHand($curtain)->asKept()],
                    $opening->mirrored,
                );
                Runs::requireUnits($design, self::$runs[$key]->stretches[0]);
            } catch (Refusal $refusal) {
                unset(self::$runs[$key]);
                throw $refusal->of($opening->id);
            }
        }

        return self::$runs[$key];
    }
}
