<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Axes;
use Isleward\Core\Geometry\CutPrism;

/** A stretch of a run as it stands between its corners. */
interface Stretch
{
    /** How it is divided, before its corners cut it; (u, v) along its foot and up its face, mm. */
    public function grid(): Grid;

    /** Of its face between its corners' edges, mm². */
    public function faceArea(): float;

    /** As it is seen square on. */
    public function drawn(): Drawn;

    /** @return list<RunMember> as they stand; what corners cut away wholly is none */
    public function members(): array;

    /** @return list<RunPane> of cells that something is left of */
    public function panes(): array;

    /**
     * What of a corner's member stands on this side of it, in axes along the edge: x in the face, the way u runs, y inward.
     *
     * @param  bool  $atLeft  whether the corner is at its left end
     * @return array{Axes, list<CutPrism>}
     */
    public function half(bool $atLeft): array;
}
