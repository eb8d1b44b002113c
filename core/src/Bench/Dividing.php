<?php

declare(strict_types=1);

namespace Isleward\Core\Bench;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Unit\Axis;
use Isleward\Core\Unit\SolvedDivision;

/** Steps that divide regions and put them together again. */
final class Dividing
{
    /** {"path", "axis", "count" or "sizes": [length or null for the rest], "face", "depth"}: the light is in every part. */
    public static function divide(Draft $draft, Fields $args): Draft
    {
        $path = $args->string('path');
        $node = $draft->node($path);
        $sizes = [];
        if ($args->has('sizes')) {
            foreach ($args->array('sizes') as $i => $size) {
                $one = new Fields(['size' => $size], $args->units());
                $sizes[] = $one->has('size') && $size !== '' ? $one->size('size', sprintf('Part %d', (int) $i + 1)) : null;
            }
        } else {
            $sizes = array_fill(0, $args->count('count', 'The number of parts', 2, 60), null);
        }
        if (array_filter($sizes, static fn (?float $s): bool => $s === null) === []) {
            $sizes[] = null; // typed sizes leave a rest
        }

        return $draft->withNode(
            $path,
            self::division(
                $draft,
                $args,
                $args->choice('axis', Axis::class),
                array_map(static fn (?float $s): array => self::sized($s, $node), $sizes),
            ),
        );
    }

    /** {"path", "side": below, above, left or right, and "size" or "fraction"}: cuts a part of that size off a region. */
    public static function cut(Draft $draft, Fields $args): Draft
    {
        $path = $args->string('path');
        $node = $draft->node($path);
        $side = $args->string('side');
        if (! in_array($side, ['below', 'above', 'left', 'right'], true)) {
            throw Refusal::because('bench.side', 'A part is cut off below, above, left or right.');
        }
        if ($args->has('fraction')) {
            $fraction = $args->number('fraction');
            if ($fraction <= 0 || $fraction >= 1) {
                throw Refusal::because(
                    'bench.fraction',
                    sprintf('A part cut off is more than nothing and less than the whole; %s was given.', $fraction),
                    details: ['field' => 'fraction'],
                );
            }
            [$off, $rest] = [['share' => $fraction, 'node' => $node], ['share' => 1 - $fraction, 'node' => $node]];
        } else {
            [$off, $rest] = [self::sized($args->size('size', 'The part cut off'), $node), self::sized(null, $node)];
        }

        return $draft->withNode(
            $path,
            self::division(
                $draft,
                $args,
                $side === 'below' || $side === 'above' ? Axis::Rows : Axis::Columns,
                $side === 'below' || $side === 'left' ? [$off, $rest] : [$rest, $off],
            ),
        );
    }

    /** {"paths": two parts side by side of one division}: they become one, filled as the first. */
    public static function join(Draft $draft, Fields $args): Draft
    {
        $paths = $args->strings('paths');
        if (count($paths) !== 2) {
            throw Refusal::because('bench.join', 'Choose two neighbouring lights to join.');
        }
        [[$path, $a], [$other, $b]] = [Draft::parent($paths[0]), Draft::parent($paths[1])];
        if ($path !== $other || abs($a - $b) !== 1) {
            throw Refusal::because(
                'bench.join',
                'Only two parts next to each other in one division can be joined; remove the divider that separates their neighbours first.',
            );
        }
        $division = $draft->division($path);
        $parts = Draft::parts($division);
        $i = min($a, $b);
        [$first, $second] = [$parts[$i], $parts[$i + 1]];
        $places = $draft->solvedDivision($path)->parts;
        $joined = isset($first['fixed'], $second['fixed'])
            ? ['fixed' => $places[$i + 1]['end'] - $places[$i]['start']]
: ['share' => (is_numeric($first['share'] ?? null)
                ? (float) $first['share']
                : 0.0) + (is_numeric($second['share'] ?? null)
                ? (float) $second['share']
                : 0.0)];
        array_splice($parts, $i, 2, [$joined + ['node' => $parts[$a]['node'] ?? null]]);
        if (count($parts) === 1) {
            return $draft->withNode($path, is_array($parts[0]['node'] ?? null) ? $parts[0]['node'] : []);
        }

        return $draft->withNode($path, ['parts' => $parts] + $division);
    }

    /** {"path"}: the division goes, and the light that came first in it fills the region. */
    public static function undivide(Draft $draft, Fields $args): Draft
    {
        $path = $args->string('path');
        $node = $draft->division($path);
        while (isset($node['parts'])) {
            $first = Draft::parts($node)[0] ?? [];
            $node = is_array($first['node'] ?? null) ? $first['node'] : [];
        }

        return $draft->withNode($path, $node);
    }

    /** {"path"}: of a grid of like rows and columns, the other dividers run through. */
    public static function turn(Draft $draft, Fields $args): Draft
    {
        $path = $args->string('path');
        $outer = $draft->division($path);
        $rows = Draft::parts($outer);
        $axis = Draft::axis($outer);
        $inner = null;
        foreach ($rows as $row) {
            $node = is_array($row['node'] ?? null) ? $row['node'] : [];
            $sizes = isset($node['parts']) && Draft::axis($node) !== $axis ? array_map(
                static fn (array $p): array => array_diff_key($p, ['node' => 1]),
                Draft::parts($node),
            ) : null;
            if ($sizes === null || ($inner !== null && $inner !== [$sizes, $node['face'] ?? null])) {
                throw Refusal::because(
                    'bench.no_grid',
                    'Which dividers run through can only be changed where every part is divided the other way and all alike.',
                );
            }
            $inner = [$sizes, $node['face'] ?? null];
        }
        [$sizes, $face] = $inner ?? [[], null];
        $columns = [];
        foreach ($sizes as $j => $size) {
            $cells = [];
            foreach ($rows as $row) {
                $cells[] = ['node' => Draft::parts($row['node'] ?? null)[$j]['node'] ?? null] + $row;
            }
            $columns[] = $size + [
                'node' => [
                    'axis' => $axis->value,
                    'face' => $outer['face'] ?? null,
                    'parts' => $cells,
                ] + (isset($outer['depth']) ? ['depth' => $outer['depth']] : []),
            ];
        }

        return $draft->withNode(
            $path,
            ['axis' => ($axis === Axis::Rows ? Axis::Columns : Axis::Rows)->value, 'face' => $face, 'parts' => $columns],
        );
    }

    /** {"to": faces or centres}: how typed sizes are measured; they change so that nothing moves. */
    public static function measure(Draft $draft, Fields $args): Draft
    {
        $to = $args->string('to');
        $after = $draft->with(['measure' => $to] + $draft->tree);
        if (($draft->tree['measure'] ?? 'faces') === $to) {
            return $draft;
        }
        $before = $draft->solved()->divisions;
        foreach ($before as $division) {
            $node = $after->division($division->path);
            $parts = Draft::parts($node);
            $after = $after->withNode($division->path, ['parts' => self::measured($division, $parts, $to === 'centres')] + $node);
        }

        return $after;
    }

    /**
     * Parts with their sizes measured another way. Shares stay as they are where they divide the rest as before; else they
     * become the sizes, in their ratio.
     *
     * @param  list<array<array-key, mixed>>  $parts
     * @return list<array<array-key, mixed>>
     */
    private static function measured(SolvedDivision $division, array $parts, bool $toCentres): array
    {
        $sizes = $ratios = [];
        [$low, $high] = $division->axis === Axis::Columns ? [0, 2] : [1, 3];
        foreach ($division->parts as $i => ['from' => $from, 'to' => $end]) {
            $sizes[$i] = ! $toCentres ? $end - $from
: ($i < count($parts) - 1
                    ? $end + $division->face / 2
                    : $division->grid[$high]) - ($i > 0
                    ? $from - $division->face / 2
                    : $division->grid[$low]);
            $share = $parts[$i]['share'] ?? null;
            if (is_int($share) || is_float($share)) {
                $ratios[] = $sizes[$i] / $share;
            }
        }
        $keep = $ratios === [] || max($ratios) - min($ratios) < 1e-6 * max($ratios);
        foreach ($parts as $i => $part) {
            if (isset($part['fixed'])) {
                $parts[$i]['fixed'] = $sizes[$i];
            } elseif (! $keep) {
                $parts[$i]['share'] = $sizes[$i];
            }
        }

        return $parts;
    }

    /**
     * @param  list<array<array-key, mixed>>  $parts
     * @return array<string, mixed>
     */
    private static function division(Draft $draft, Fields $args, Axis $axis, array $parts): array
    {
        return [
            'axis' => $axis->value,
            'face' => $args->has('face') ? $args->size('face', 'The face width of a divider') : self::usualFace($draft),
            'parts' => $parts,
        ]
            + ($args->has('depth') ? ['depth' => $args->size('depth', 'The depth of a divider')] : []);
    }

    /** That of the unit's other dividers, else of its jambs. */
    private static function usualFace(Draft $draft): float
    {
        $root = $draft->node('');
        $frame = $draft->tree()->frame;

        return is_numeric($root['face'] ?? null) ? (float) $root['face'] : max(30.0, $frame->left, $frame->right);
    }

    /**
     * @param  array<array-key, mixed>  $node
     * @return array<string, mixed>
     */
    private static function sized(?float $size, array $node): array
    {
        return ($size === null ? ['share' => 1.0] : ['fixed' => $size]) + ['node' => $node];
    }
}
