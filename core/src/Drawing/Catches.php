<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Building\Abutment;
use Isleward\Core\Building\Body;
use Isleward\Core\Building\Meeting;
use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Measure\Length;

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
        array_push($upright, ...self::margins($design, $body));
        foreach (Meeting::abutments($design, $body) as $a) {
            $name = self::named($design, $a);
            array_push($upright, [$a->from, 'left face of '.$name], [$a->to, 'right face of '.$name]);
            if ($design->isInner($body->wall) && $design->settings->nib > 0) {
                $nib = sprintf('nib of %s from %s', Length::format($design->settings->nib, $design->settings->units), $name);
                array_push($upright, [$a->from - $design->settings->nib, $nib], [$a->to + $design->settings->nib, $nib]);
            }
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
        foreach ([[$body->left, false], [$body->right, true]] as [$end, $atRight]) {
            if ($mm > 0 && $end->joint->isCorner()) {
                $clear = Meeting::clearEnd($design, $body, $body->foot, $body->head, $atRight);
                $return = abs($clear - ($atRight ? $body->end() : $body->start())) > Tolerance::LENGTH;
                $margins[] = [
                    $clear + ($atRight ? -$mm : $mm),
                    $return && ! $inner ? str_replace('the corner', 'the return', $name) : $name,
                ];
            }
        }

        return $margins;
    }

    private static function named(Design $design, Abutment $a): string
    {
        return $design->outlines[$a->wall->outline]->name ?? 'inner wall';
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
