<?php

declare(strict_types=1);

namespace Isleward\Core\Revision;

use Isleward\Core\Building\Places;
use Isleward\Core\CurtainWall\Drawn;
use Isleward\Core\CurtainWall\GridType;
use Isleward\Core\CurtainWall\LetIn;
use Isleward\Core\CurtainWall\PartName;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Wall;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Measure\Refusal;

/**
 * Which cells and members of a curtain wall differ between two states, and where they were and are: rings [x, level, x, level …],
 * mm, x along the wall from its left end.
 *
 * @phpstan-type Part array{host: string, now: bool, ring: list<float>}
 */
final readonly class CurtainPlaces
{
    /** Where more differ than this, the whole is marked. */
    private const MOST = 200;

    public function __construct(private Design $then, private Design $now)
    {
    }

    /** @return list<Part> none where nothing of it differs, or so much that the whole is meant */
    public function between(Wall|Opening $was, Wall|Opening $is): array
    {
        [$before, $after] = [self::of($this->then, $was), self::of($this->now, $is)];
        $gone = array_filter($before, static fn (array $p, string $key): bool => ($after[$key] ?? null) !== $p, ARRAY_FILTER_USE_BOTH);
        $come = array_filter($after, static fn (array $p, string $key): bool => ($before[$key] ?? null) !== $p, ARRAY_FILTER_USE_BOTH);
        if (count($gone) + count($come) > self::MOST || count($gone) === count($before) || count($come) === count($after)) {
            return [];
        }

        return [...self::told(self::host($was), false, $gone), ...self::told(self::host($is), true, $come)];
    }

    /** @return list<Part> of all curtain walls of a type; of those of which most differ their faces */
    public function ofType(GridType $type): array
    {
        $out = [];
        foreach ([...$this->now->walls, ...$this->now->openings] as $is) {
            $was = $is instanceof Wall ? $this->then->walls[$is->id] ?? null : $this->then->openings[$is->id] ?? null;
            if ($is->curtain?->grid !== $type->id() || $was?->curtain === null) {
                continue;
            }
            $parts = $this->between($was, $is);
            if ($parts === []) {
                [$before, $after] = [self::of($this->then, $was), self::of($this->now, $is)];
                $parts = $before === $after || ! isset($after['face']) ? [] : self::told(self::host($is), true, [$after['face']]);
            }
            array_push($out, ...$parts);
        }

        return count($out) > self::MOST ? [] : $out;
    }

    private static function host(Wall|Opening $element): string
    {
        return $element instanceof Wall ? $element->id : $element->host;
    }

    /**
     * @param  array<array{string, list<float>}>  $parts
     * @return list<Part>
     */
    private static function told(string $host, bool $now, array $parts): array
    {
        return array_map(static fn (array $p): array => ['host' => $host, 'now' => $now, 'ring' => $p[1]], array_values($parts));
    }

    /** @return array<string, array{string, list<float>}> by name what it is made of and where it is; the whole as "face" */
    private static function of(Design $design, Wall|Opening $element): array
    {
        try {
            return $element instanceof Wall ? self::standing($design, $element) : self::letIn($design, $element);
        } catch (Refusal) {
            return []; // in that state it cannot stand: the whole is meant
        }
    }

    /** @return array<string, array{string, list<float>}> */
    private static function standing(Design $design, Wall $wall): array
    {
        $standing = $wall->curtain === null ? null : Runs::in($design)->find($wall->id);
        if ($standing === null) {
            return [];
        }
        $index = $standing->indexOf($wall->id);
        $out = [];
        foreach ($standing->partsOf($index) as $part) {
            $from = $standing->starts[$index] + $part->u;
            $place = static fn (float $u, float $v): array => [$from + $u, $standing->foot + $v * $standing->upright($index)];
            $out += self::drawn($part->stretch->drawn(), $place, $part->line);
        }

        return $out;
    }

    /** @return array<string, array{string, list<float>}> */
    private static function letIn(Design $design, Opening $opening): array
    {
        $placed = Places::in($design)->of($opening);
        $run = $opening->curtain === null ? null : LetIn::find($design, $placed);
        if ($run === null) {
            return [];
        }
        $from = $placed->middle() - $opening->width / 2;

        return self::drawn($run->stretches[0]->drawn(), static fn (float $u, float $v): array => [
            $from + ($opening->facesOut ? $u : $opening->width - $u), $placed->sill + $v,
        ], null);
    }

    /**
     * @param  \Closure(float, float): array{float, float}  $place
     * @return array<string, array{string, list<float>}>
     */
    private static function drawn(Drawn $drawn, \Closure $place, ?string $facet): array
    {
        $out = [];
        $put = static function (string $name, string $made, Contour $contour) use (&$out, $place): void {
            $ring = [];
            $flat = $contour->ring(0.5);
            for ($i = 0, $n = count($flat); $i < $n; $i += 2) {
                [$x, $y] = $place($flat[$i], $flat[$i + 1]);
                array_push($ring, round($x, 1), round($y, 1));
            }
            // one that a corner cuts in two is there twice
            $out[isset($out[$name]) ? $name.' '.count($out) : $name] = [$made, $ring];
        };
        $put('face'.($facet ?? ''), '', $drawn->face);
        foreach ($drawn->cells as [$cell, $seen]) {
            $put(PartName::cell($cell, $facet), json_encode($cell->infill->toArray(), JSON_THROW_ON_ERROR), $seen);
        }
        foreach ($drawn->members as [$member, $seen]) {
            $name = PartName::member($member, $facet) ?? throw new \LogicException('A member of a grid has a name.');
            $put($name, json_encode($member->profile?->toArray(), JSON_THROW_ON_ERROR), $seen);
        }
        foreach ($drawn->free as [$member, $seen]) {
            $put($member->name, '', $seen);
        }

        return $out;
    }
}
