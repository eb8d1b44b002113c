<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Design\Design;
use Isleward\Core\Wall\Body;
use Isleward\Core\Wall\PlacedOpening;

/**
 * The lines of a wall that a moving opening catches on, named: its ends and middle, and the jambs, heads and sills of the
 * openings of its frontage on every storey, also in walls over and under it. Lines that fall together are one.
 */
final class Catches
{
    /**
     * @param  list<array{PlacedOpening, float}>  $placed  each with how far its wall's left end lies right of this wall's, mm
     * @return array{upright: list<array{at: float, name: string}>, level: list<array{at: float, name: string}>} u from the wall's left end, and levels, mm
     */
    public static function of(Design $design, Body $body, array $placed): array
    {
        $upright = [[0.0, 'left end'], [$body->length / 2, 'middle of the wall'], [$body->length, 'right end']];
        $level = [];
        foreach ($placed as [$p, $shift]) {
            $label = $design->label($p->opening);
            $upright[] = [$shift + $p->left, 'left jamb of '.$label];
            $upright[] = [$shift + $p->right, 'right jamb of '.$label];
            $upright[] = [$shift + ($p->left + $p->right) / 2, 'centre of '.$label];
            $storey = $design->storeys->get($p->opening->storey)->name;
            $level[] = [$p->sill, 'sill of '.$label.', '.$storey];
            $level[] = [$p->head, 'head of '.$label.', '.$storey];
        }

        return ['upright' => self::once($upright), 'level' => self::once($level)];
    }

    /**
     * @param  list<array{float, string}>  $lines
     * @return list<array{at: float, name: string}>
     */
    private static function once(array $lines): array
    {
        $out = [];
        foreach ($lines as [$at, $name]) {
            $out[(string) round($at, 1)] ??= ['at' => $at, 'name' => $name];
        }

        return array_values($out);
    }
}
