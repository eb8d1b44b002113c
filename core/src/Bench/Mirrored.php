<?php

declare(strict_types=1);

namespace Isleward\Core\Bench;

/** A unit seen in a mirror: left becomes right. */
final class Mirrored
{
    public static function draft(Draft $draft): Draft
    {
        $tree = $draft->tree;
        $frame = is_array($tree['frame'] ?? null) ? $tree['frame'] : [];
        if (isset($frame['left'], $frame['right'])) {
            [$frame['left'], $frame['right']] = [$frame['right'], $frame['left']];
        }
        $outline = is_array($tree['outline'] ?? null) ? $tree['outline'] : [];
        foreach (['head', 'sill'] as $side) {
            if (is_array($outline[$side] ?? null)) {
                $outline[$side] = array_map(
                    static fn (mixed $s): mixed => is_array($s) ? self::negated($s) : $s,
                    array_reverse($outline[$side]),
                );
            }
        }
        if (is_array($outline['corners'] ?? null)) {
            $outline['corners'] = array_map(self::corner(...), $outline['corners']);
        }
        $root = is_array($tree['root'] ?? null) ? self::node($tree['root']) : [];

        return $draft->with(['root' => $root, 'frame' => $frame] + ($outline === [] ? [] : ['outline' => $outline]) + $tree);
    }

    /**
     * @param  array<array-key, mixed>  $stretch
     * @return array<array-key, mixed>
     */
    private static function negated(array $stretch): array
    {
        foreach (['rise', 'angle'] as $name) {
            if (is_numeric($stretch[$name] ?? null)) {
                $stretch[$name] = 0.0 - (float) $stretch[$name];
            }
        }

        return $stretch;
    }

    private static function corner(mixed $corner): mixed
    {
        if (! is_array($corner)) {
            return $corner;
        }
        $from = $corner['xFrom'] ?? 'share';

        return match ($from) {
            'left' => ['xFrom' => 'right'] + $corner,
            'right' => ['xFrom' => 'left'] + $corner,
            default => ['x' => 1 - (is_numeric($corner['x'] ?? null) ? (float) $corner['x'] : 0.0)] + $corner,
        };
    }

    /**
     * @param  array<array-key, mixed>  $node
     * @return array<array-key, mixed>
     */
    private static function node(array $node): array
    {
        if (is_array($node['parts'] ?? null)) {
            $parts = array_map(
                static fn (mixed $p): mixed => is_array($p) && is_array($p['node'] ?? null) ? ['node' => self::node($p['node'])] + $p : $p,
                $node['parts'],
            );

            return ['parts' => ($node['axis'] ?? '') === 'columns' ? array_reverse($parts) : $parts] + $node;
        }
        $other = ['left' => 'right', 'right' => 'left'];
        if (is_string($node['hinge'] ?? null)) {
            $node['hinge'] = $other[$node['hinge']] ?? $node['hinge'];
        }
        if (is_array($node['leaves'] ?? null)) {
            $node['leaves'] = array_map(
                static fn (mixed $l): mixed => is_string($l) ? $other[$l] ?? $l : $l,
                array_reverse($node['leaves']),
            );
        }

        return $node;
    }
}
