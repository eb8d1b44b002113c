<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Places;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Opening;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** What an edit is to be done to. */
final class Chosen
{
    private const MOST = 20000;

    /**
     * @return list<string> ids of openings, one at the least
     *
     * @throws Refusal when there is none
     */
    public static function openings(Fields $args, string $name = 'ids'): array
    {
        $ids = array_values(array_unique($args->strings($name)));
        if ($ids === []) {
            throw Refusal::because('opening.none', 'Choose an opening first.');
        }
        if (count($ids) > self::MOST) {
            throw Refusal::because(
                'opening.too_many',
                sprintf('%d openings at once are more than the %d that can be.', count($ids), self::MOST),
            );
        }

        return $ids;
    }

    /**
     * Gathered by wall and storey, each group from left to right.
     *
     * @param  list<string>  $ids
     * @return list<non-empty-list<Opening>>
     */
    public static function byRow(Design $design, array $ids): array
    {
        $rows = [];
        foreach ($ids as $id) {
            $opening = $design->opening($id);
            $rows[$opening->host.'|'.$opening->storey][] = $opening;
        }
        foreach ($rows as &$row) {
            usort($row, static fn (Opening $a, Opening $b): int => Places::in($design)->of($a)->left <=> Places::in($design)->of($b)->left);
        }

        return array_values($rows);
    }
}
