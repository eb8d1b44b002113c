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
     * @param  array{upright: list<CatchLine>, level: list<CatchLine>}  $lines  setting-out lines
     * @return array{upright: list<CatchLine>, level: list<CatchLine>}
     */
    public static function of(Design $design, Body $body, array $placed, array $lines = ['upright' => [], 'level' => []]): array
    {
        [$start, $end, $wall] = [$body->start(), $body->end(), $body->host->id()];
        $upright = [
            ...$lines['upright'],
            new CatchLine($start, 'left end', CatchKind::End, $wall, 'left'),
            new CatchLine(($start + $end) / 2, 'middle of the wall', CatchKind::Middle, $wall),
            new CatchLine($end, 'right end', CatchKind::End, $wall, 'right'),
            ...self::margins($design, $body),
        ];
        $level = $lines['level'];
        foreach (Meeting::abutments($design, $body) as $a) {
            array_push($upright, ...self::facesOf($design, $body, $a));
        }
        foreach ($placed as [$p, $shift]) {
            $label = $design->label($p->opening);
            $id = $p->opening->id;
            $upright[] = new CatchLine($shift + $p->left, 'left jamb of '.$label, CatchKind::Jamb, $id, 'left');
            $upright[] = new CatchLine($shift + $p->right, 'right jamb of '.$label, CatchKind::Jamb, $id, 'right');
            $upright[] = new CatchLine($shift + ($p->left + $p->right) / 2, 'centre of '.$label, CatchKind::Centre, $id);
            $storey = $design->storeys->get($p->opening->storey)->name;
            $level[] = new CatchLine($p->sill, 'sill of '.$label.', '.$storey, CatchKind::Sill, $id);
            $level[] = new CatchLine($p->head, 'head of '.$label.', '.$storey, CatchKind::Head, $id);
        }

        return ['upright' => self::once($upright), 'level' => self::once($level)];
    }

    /** @return list<CatchLine> both faces of a wall that meets this one, and in an inner wall the nibs beside it */
    private static function facesOf(Design $design, Body $body, Abutment $a): array
    {
        $name = self::named($design, $a);
        $id = $a->wall->id;
        $lines = [
            new CatchLine($a->from, 'left face of '.$name, CatchKind::Face, $id, 'left'),
            new CatchLine($a->to, 'right face of '.$name, CatchKind::Face, $id, 'right'),
        ];
        $nib = $design->settings->nib;
        if ($design->isInner($body->host) && $nib > 0) {
            $called = sprintf('nib of %s from %s', Length::format($nib, $design->settings->units), $name);
            $lines[] = new CatchLine($a->from - $nib, $called, CatchKind::Nib, $id, 'left');
            $lines[] = new CatchLine($a->to + $nib, $called, CatchKind::Nib, $id, 'right');
        }

        return $lines;
    }

    /**
     * Where the margin at a corner ends; in an inner wall, where the nib beside a door does.
     *
     * @return list<CatchLine>
     */
    private static function margins(Design $design, Body $body): array
    {
        $inner = $design->isInner($body->host);
        $mm = $inner ? $design->settings->nib : $design->settings->cornerMargin;
        $length = Length::format($mm, $design->settings->units);
        $margins = [];
        foreach ([[$body->left, false], [$body->right, true]] as [$end, $atRight]) {
            if ($mm > 0 && $end->joint->isCorner()) {
                $clear = Meeting::clearEnd($design, $body, $body->foot, $body->head, $atRight);
                $return = abs($clear - ($atRight ? $body->end() : $body->start())) > Tolerance::LENGTH;
                $margins[] = new CatchLine(
                    $clear + ($atRight ? -$mm : $mm),
                    $inner ? "nib of $length" : $length.($return ? ' from the return' : ' from the corner'),
                    $inner ? CatchKind::Nib : CatchKind::Margin,
                    $body->host->id(),
                    $atRight ? 'right' : 'left',
                );
            }
        }

        return $margins;
    }

    private static function named(Design $design, Abutment $a): string
    {
        return $design->outlines[$a->wall->outline]->name ?? 'inner wall';
    }

    /**
     * @param  list<CatchLine>  $lines
     * @return list<CatchLine> of those that fall together the first
     */
    private static function once(array $lines): array
    {
        $out = [];
        foreach ($lines as $line) {
            $out[(string) round($line->at, 1)] ??= $line;
        }

        return array_values($out);
    }
}
