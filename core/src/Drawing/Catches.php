<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Design\Design;
use Isleward\Core\Measure\Length;
use Isleward\Core\Wall\Body;
use Isleward\Core\Wall\PlacedOpening;

/**
 * The lines of a wall that a moving opening catches on, named: its ends and middle, and the jambs, heads and sills of the
 * openings of its frontage on every storey, also in walls over and under it; and setting-out lines, which go before all
 * others. Lines that fall together are one.
 */
final class Catches
{
    /**
     * @param  list<array{PlacedOpening, float}>  $placed  each with how far its wall's left end lies right of this wall's, mm
     * @param  array{upright: list<array{float, string, string}>, level: list<array{float, string, string}>}  $lines  setting-out lines: place, name, id
     * @return array{upright: list<array{at: float, name: string, line: string|null}>, level: list<array{at: float, name: string, line: string|null}>} u from the wall's left end, and levels, mm
     */
    public static function of(Design $design, Body $body, array $placed, array $lines = ['upright' => [], 'level' => []]): array
    {
        $start = $body->start();
        $end = $body->end();
        $upright = [...$lines['upright'], [$start, 'left end'], [($start + $end) / 2, 'middle of the wall'], [$end, 'right end']];
        $level = $lines['level'];
        foreach (self::margins($design, $body) as $margin) {
            $upright[] = $margin;
        }
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
     * Where the margin at a corner ends; in an inner wall, where the nib beside a door does.
     *
     * @return list<array{float, string}>
     */
    private static function margins(Design $design, Body $body): array
    {
        $inner = $design->isInner($body->wall);
        $mm = $inner ? $design->settings->nib : $design->settings->cornerMargin;
        $name = sprintf($inner ? 'nib of %s' : '%s from the corner', Length::format($mm, $design->settings->units));
        $margins = [];
        if ($mm > 0 && $body->left->joint->isCorner()) {
            $margins[] = [$body->start() + $mm, $name];
        }
        if ($mm > 0 && $body->right->joint->isCorner()) {
            $margins[] = [$body->end() - $mm, $name];
        }

        return $margins;
    }

    /**
     * @param  list<array{0: float, 1: string, 2?: string}>  $lines
     * @return list<array{at: float, name: string, line: string|null}>
     */
    private static function once(array $lines): array
    {
        $out = [];
        foreach ($lines as $line) {
            $out[(string) round($line[0], 1)] ??= ['at' => $line[0], 'name' => $line[1], 'line' => $line[2] ?? null];
        }

        return array_values($out);
    }
}
