<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Building\Places;
use Isleward\Core\Design\Along;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Edge;
use Isleward\Core\Design\PositionRule;
use Isleward\Core\Design\Reference;
use Isleward\Core\Design\SillDatum;
use Isleward\Core\Design\SillRule;

/**
 * Where pieces and cut-outs of screens lie that are placed by the rules by which openings are: from an end or the middle of their wall,
 * from a line or an opening; their foot or head from the floor, the datum, a line or an opening.
 */
final class ScreenPlaces
{
    /** The shape of a part as it lies. */
    public static function shape(Design $design, Screen $screen, ScreenPart $part): ScreenShape
    {
        $host = $part->position === null && $part->sill === null ? null : $design->host((string) $part->wall);
        if ($host === null) {
            return $part->shape;
        }
        $places = Places::in($design);
        $shape = $part->shape;
        $u = $part->position === null ? 0.0
            : $places->along($part->position->along, $host) - $part->position->pointInWidth($shape->width);
        $v = $part->sill === null ? 0.0
            : $places->level($part->sill, $host, $screen->storey) - self::over($part->sill, $shape) - self::floor($design, $screen);

        return $shape->moved($u, $v);
    }

    /** The part with its shape elsewhere: each rule keeps its way of measuring, with the figure that puts it there. */
    public static function put(Design $design, Screen $screen, ScreenPart $part, ScreenShape $to): ScreenPart
    {
        return $part->placed(
            $to,
            $part->position === null ? null : self::position($design, $part, $part->position, $to),
            $part->sill === null ? null : self::sill($design, $screen, $part, $part->sill, $to),
        );
    }

    /** The part measured another way, where it lies now; null for a way leaves its figure to the shape. */
    public static function measured(Design $design, Screen $screen, ScreenPart $part, ?PositionRule $position, ?SillRule $sill): ScreenPart
    {
        $lies = self::shape($design, $screen, $part);

        return $part->placed(
            $lies,
            $position === null ? null : self::position($design, $part, $position, $lies),
            $sill === null ? null : self::sill($design, $screen, $part, $sill, $lies),
        );
    }

    /**
     * The part with figures of its own in place of what it was measured from.
     *
     * @param  array<string, mixed>  $gone  by id
     */
    public static function onItsOwn(Design $design, Screen $screen, ScreenPart $part, array $gone): ScreenPart
    {
        $position = $part->position;
        $sill = $part->sill;
        if ($position !== null && isset($gone[(string) $position->along->ref])) {
            $position = PositionRule::of(Along::of(Reference::Left, 0.0), $position->to);
        }
        if ($sill !== null && isset($gone[(string) $sill->ref])) {
            $sill = SillRule::of(SillDatum::Floor, 0.0, edge: $sill->edge);
        }

        return $position === $part->position && $sill === $part->sill ? $part
            : self::measured($design, $screen, $part, $position, $sill);
    }

    private static function position(Design $design, ScreenPart $part, PositionRule $rule, ScreenShape $to): PositionRule
    {
        $along = Places::in($design)->alongAt(
            $rule->along, $design->host((string) $part->wall), $to->u + $rule->pointInWidth($to->width),
        );

        return PositionRule::of($along, $rule->to);
    }

    private static function sill(Design $design, Screen $screen, ScreenPart $part, SillRule $rule, ScreenShape $to): SillRule
    {
        $datum = Places::in($design)->level($rule->withHeight(0.0), $design->host((string) $part->wall), $screen->storey);

        return $rule->withHeight($to->v + self::floor($design, $screen) + self::over($rule, $to) - $datum);
    }

    /** How far over its foot the point lies that a rule sets. */
    private static function over(SillRule $rule, ScreenShape $shape): float
    {
        return $rule->edge === Edge::Head ? ($shape->form === ScreenForm::Round ? $shape->width : $shape->height) : 0.0;
    }

    private static function floor(Design $design, Screen $screen): float
    {
        return $design->storeys->floor($screen->storey);
    }
}
