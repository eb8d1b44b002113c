<?php

declare(strict_types=1);

namespace Isleward\Core\Drawing;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\Cover;
use Isleward\Core\Building\PlacedOpening;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Design;
use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Region;

/** Where a section's line runs through what stands, from one place along it to another; with the openings it goes through there. */
final class SectionCut
{
    /** Curves of an opening's shape are chords that leave them by so much at the most, mm. */
    private const SAGITTA = 0.05;

    /** @var list<array{PlacedOpening, list<list<float>>}> */
    public readonly array $holes;

    public function __construct(
        public readonly Design $design,
        public readonly Body $body,
        public readonly View $view,
        public readonly float $s0,
        public readonly float $s1,
    ) {
        $holes = [];
        foreach ($design->openingsOf($body->host->id()) as $opening) {
            $placed = Places::in($design)->of($opening);
            $rings = $this->isNear($placed) ? $this->hole($placed) : [];
            if ($rings !== []) {
                $holes[] = [$placed, $rings];
            }
        }
        $this->holes = $holes;
    }

    /** What of the wall the line runs through, without openings, in (place along it, level). */
    public function face(): Region
    {
        $body = $this->body;
        if ($body->isLevel()) {
            return Region::rectangle($this->s0, $body->foot, $this->s1, $body->head);
        }
        [$a, $b] = [$this->view->at($this->s0), $this->view->at($this->s1)];
        $line = fn (?Cover $cover, float $level): array => array_map(
            fn (array $p): array => [$this->s0 + ($this->s1 - $this->s0) * $p[0], $p[1]],
            $cover?->along($body->surface, $a, $b) ?? [[0.0, $level], [1.0, $level]],
        );

        return Region::polygon(Body::ring($line($body->feet, $body->foot), $line($body->heads, $body->head)));
    }

    /**
     * Whether what is cut is the first of some walls that the line runs through: what lies over or between them is drawn with that one.
     *
     * @param  list<string>  $walls
     */
    public function isFirstOf(array $walls): bool
    {
        $mine = $this->body->host->id();
        foreach (in_array($mine, $walls, true) ? $walls : [] as $id) {
            if ($id === $mine) {
                return true;
            }
            $face = $this->design->wall($id)->face();
            [$before, $after] = [$this->view->away($face->start()), $this->view->away($face->end())];
            if ($before > 0.0 !== $after > 0.0) {
                $share = $before / ($before - $after);
                $at = $this->view->s($face->start()) * (1 - $share) + $this->view->s($face->end()) * $share;
                if ($at > 0.0 && $at < $this->view->length) {
                    return false;
                }
            }
        }

        return false;
    }

    /** Whether the line crosses a curved wall where an opening is: what lies across the arc has places over its width too. */
    private function isNear(PlacedOpening $placed): bool
    {
        if ($placed->cut === null) {
            return true;
        }
        $us = array_map(fn (float $s): float => $this->body->surface->u($this->view->at($s)), [$this->s0, $this->s1]);
        [$from, $to] = $placed->cut->reach($this->body->host->depth());

        return max($us) > $placed->left + $from && min($us) < $placed->left + $to;
    }

    /** @return list<list<float>> what an opening takes out of the cut face */
    private function hole(PlacedOpening $placed): array
    {
        [$s0, $s1] = [$this->s0, $this->s1];
        $x = array_map(fn (float $s): float => $placed->across($this->body->surface, $this->view->at($s)), [$s0, $s1]);
        if (abs($x[1] - $x[0]) < 1e-6 * ($s1 - $s0)) {
            if ($x[0] <= 0.0 || $x[0] >= $placed->opening->width) {
                return [];
            }
            $spans = $placed->outline === null ? [[$placed->sill, $placed->head]] : array_map(
                static fn (array $s): array => [$placed->sill + $s[0], $placed->sill + $s[1]],
                $placed->outline->spans(true, $x[0]),
            );

            return array_map(static fn (array $s): array => [$s0, $s[0], $s1, $s[0], $s1, $s[1], $s0, $s[1]], $spans);
        }
        $outline = $placed->outline ?? Contour::rectangle(0.0, 0.0, $placed->opening->width, $placed->opening->height);
        $ring = [];
        $shape = $outline->ring(self::SAGITTA);
        for ($i = 0, $n = count($shape); $i < $n; $i += 2) {
            $at = $this->view->line()->meetsLine($placed->through($this->body->surface, $shape[$i], $this->body->host->depth()));
            if ($at === null) {
                return []; // it runs alike with one of its jambs, outside of it
            }
            array_push($ring, $this->view->s($at), $placed->sill + $shape[$i + 1]);
        }

        return Region::polygon($ring)->intersection(Region::rectangle($s0, $placed->sill - 1, $s1, $placed->head + 1))->rings;
    }
}
