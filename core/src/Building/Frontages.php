<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Geometry\Vec2;

/**
 * Gathers walls whose outer faces lie in one plane, or on one cylinder, and touch or stand over each other, in the order of the outlines;
 * inner walls come last.
 */
final class Frontages
{
    /**
     * @param  array<string, Body>  $bodies
     * @return list<Frontage>
     */
    public static function of(Design $design, array $bodies): array
    {
        $ordered = [];
        foreach (self::outlinesInOrder($design) as $outline) {
            foreach ($design->wallsOf($outline) as $wall) {
                $ordered[] = $bodies[$wall->id()];
            }
        }
        $groups = [];
        foreach ($ordered as $body) {
            $groups = self::join($design, $groups, $body);
        }
        $frontages = [];
        $names = [];
        $before = null;
        foreach ($groups as $group) {
            $frontages[] = $frontage = self::frontage($design, $group, $names, $before);
            $names[$frontage->name] = true;
            $before = $group;
        }

        return $frontages;
    }

    /** @return list<string> */
    private static function outlinesInOrder(Design $design): array
    {
        $outlines = array_values($design->outlines);
        usort($outlines, static fn ($a, $b): int => [$a->inner, $a->position] <=> [$b->inner, $b->position]);

        return array_map(static fn ($o): string => $o->id, $outlines);
    }

    /**
     * @param  list<non-empty-list<Body>>  $groups
     * @return list<non-empty-list<Body>>
     */
    private static function join(Design $design, array $groups, Body $body): array
    {
        $joined = [];
        foreach ($groups as $i => $group) {
            foreach ($group as $other) {
                if ($design->isInner($other->host) === $design->isInner($body->host) && self::continues($other, $body)) {
                    $joined[] = $i;
                    break;
                }
            }
        }
        if ($joined !== []) {
            // it may be the one that bridges several
            $first = array_shift($joined);
            foreach ($joined as $i) {
                array_push($groups[$first], ...$groups[$i]);
                unset($groups[$i]);
            }
            $groups[$first][] = $body;

            return array_values($groups);
        }
        $groups[] = [$body];

        return $groups;
    }

    private static function continues(Body $a, Body $b): bool
    {
        if (! $a->surface->isOneWith($b->surface)) {
            return false;
        }
        $start = $a->surface->u($b->surface->start());

        return ($start <= $a->length + Tolerance::LENGTH && $start + $b->length >= -Tolerance::LENGTH)
            // round a circle the other way
            || $b->surface->inPlan($b->length)->isAt($a->surface->start());
    }

    /**
     * @param  non-empty-list<Body>  $group
     * @param  array<string, true>  $names
     * @param  non-empty-list<Body>|null  $before
     */
    private static function frontage(Design $design, array $group, array $names, ?array $before): Frontage
    {
        $first = $group[0];
        $starts = [];
        foreach ($group as $body) {
            $starts[$body->host->id()] = $first->surface->u($body->surface->start());
        }
        $least = min($starts);
        $width = 0.0;
        $walls = [];
        foreach ($group as $body) {
            $walls[$body->host->id()] = $starts[$body->host->id()] - $least;
            $width = max($width, $walls[$body->host->id()] + $body->length);
        }
        $inner = $design->isInner($first->host);
        $surface = $first->surface->stretch($least, $least + $width);
        $bearing = self::bearing($design, $surface->outward($width / 2));

        return new Frontage(
            'fr-'.substr($first->host->id(), 3),
            $inner ? self::free('Inner wall', ' 1', $names) : self::free(Frontage::eighth($bearing), '', $names),
            $first->host->outline(),
            $bearing,
            $surface,
            $width,
            min(array_map(static fn (Body $b): float => $b->foot, $group)),
            max(array_map(static fn (Body $b): float => $b->head, $group)),
            $walls,
            $before !== null && $inner === $design->isInner($before[0]->host) && self::meetAtCorner($before, $group),
            $inner,
            $surface->isFlat() ? null : [
                self::bearing($design, $surface->outward()),
                self::bearing($design, $surface->outward($width)),
            ],
        );
    }

    /** Compass bearing of a direction in plan, degrees clockwise from north. */
    private static function bearing(Design $design, Vec2 $out): float
    {
        return fmod(rad2deg(atan2($out->x, $out->y)) + $design->settings->north + 720, 360);
    }

    /**
     * @param  non-empty-list<Body>  $before
     * @param  non-empty-list<Body>  $after
     */
    private static function meetAtCorner(array $before, array $after): bool
    {
        foreach ($before as $a) {
            foreach ($after as $b) {
                if ($a->host->face()->end()->isAt($b->host->face()->start())) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @param  array<string, true>  $taken */
    private static function free(string $word, string $first, array $taken): string
    {
        $name = $word.$first;
        for ($i = 2; isset($taken[$name]); $i++) {
            $name = $word.' '.$i;
        }

        return $name;
    }
}
