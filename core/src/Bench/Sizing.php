<?php

declare(strict_types=1);

namespace Isleward\Core\Bench;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Steps about where dividers stand. */
final class Sizing
{
    /**
     * {"path": of a part, and "size", or "share"}: the size it is typed to, or its share of the rest. Where every other part is
     * typed too, the next one (of the last the one before) takes the rest.
     */
    public static function part(Draft $draft, Fields $args): Draft
    {
        [$path, $i] = Draft::parent($args->string('path'));
        $division = $draft->division($path);
        $parts = Draft::parts($division);
        $node = ['node' => $parts[$i]['node'] ?? null];
        $share = $args->has('share') ? $args->number('share') : null;
        $parts[$i] = ($share !== null ? ['share' => $share] : ['fixed' => $args->size('size', 'The size of a part')]) + $node;
        if (array_filter($parts, static fn (array $p): bool => ! isset($p['fixed'])) === []) {
            $other = $i < count($parts) - 1 ? $i + 1 : $i - 1;
            $parts[$other] = ['share' => 1.0, 'node' => $parts[$other]['node'] ?? null];
        }

        return $draft->withNode($path, ['parts' => $parts] + $division);
    }

    /** {"path": of a division}: all its parts become equal. */
    public static function equalise(Draft $draft, Fields $args): Draft
    {
        $path = $args->string('path');
        $division = $draft->division($path);

        return $draft->withNode(
            $path,
            ['parts' => array_map(
                static fn (array $p): array => ['share' => 1.0, 'node' => $p['node'] ?? null],
                Draft::parts($division),
            )] + $division,
        );
    }

    /** {"path": of a division, "face", "depth"}: the section of its dividers; a null depth is the frame's. */
    public static function divider(Draft $draft, Fields $args): Draft
    {
        $path = $args->string('path');
        $division = $draft->division($path);
        if ($args->has('face')) {
            $division['face'] = $args->size('face', 'The face width of a divider');
        }
        if (array_key_exists('depth', $args->all())) {
            $division['depth'] = $args->has('depth') ? $args->size('depth', 'The depth of a divider') : null;
        }

        return $draft->withNode($path, $division);
    }

    /** {"path": of a division, "index": its divider, "to": the middle of the divider from the unit's left side or foot}. */
    public static function move(Draft $draft, Fields $args): Draft
    {
        $path = $args->string('path');
        $index = $args->int('index');
        $to = $args->length('to');
        $division = $draft->division($path);
        $solved = $draft->solvedDivision($path);
        $parts = Draft::parts($division);
        if (! isset($parts[$index + 1])) {
            throw Refusal::because('bench.divider', 'That division has no such divider.');
        }
        $by = $to - ($solved->parts[$index]['to'] + $solved->face / 2);
        $typed = static fn (int $i): bool => isset($parts[$i]['fixed']);
        // what is typed on either side changes; where neither is, the part before becomes typed
        foreach ($typed($index) || ! $typed($index + 1) ? [[$index, $by]] : [] as [$i, $more]) {
            $parts[$i] = ['fixed' => $solved->parts[$i]['size'] + $more, 'node' => $parts[$i]['node'] ?? null];
        }
        if ($typed($index + 1)) {
            $parts[$index + 1] = ['fixed' => $solved->parts[$index + 1]['size'] - $by, 'node' => $parts[$index + 1]['node'] ?? null];
        }

        return $draft->withNode($path, ['parts' => $parts] + $division);
    }
}
