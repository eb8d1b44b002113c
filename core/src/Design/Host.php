<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Geometry\Curve;
use Isleward\Core\Geometry\Upright;
use Isleward\Core\Geometry\Vec2;

/**
 * What openings and setting-out lines stand in, as it was put in: a wall. Rules of position, catching, arranging, findings and
 * schedules speak to it and not to the kind that it is. As it stands, with its ends cut, the folder Building knows it.
 */
interface Host extends Element
{
    /** The outer face in plan, from its left end to its right end as seen from outside. */
    public function face(): Curve;

    /** Where that begins in plan, at the outer face. */
    public function leftEnd(): Vec2;

    public function rightEnd(): Vec2;

    /** What its outer face lies on. */
    public function surface(): Upright;

    public function isCurved(): bool;

    /** What it is made by where it is curtain wall; null of a wall. */
    public function curtain(): ?Curtain;

    /** What its head follows; null where it is level at its last storey's head. */
    public function head(): ?WallEdge;

    /** What its foot follows; null where it is level on its first storey's floor. */
    public function foot(): ?WallEdge;

    /** From its outer to its inner face, mm. */
    public function depth(): float;

    /** The storey on whose floor it stands. */
    public function base(): string;

    /** The last storey it runs through. */
    public function top(): string;

    /** The outline it is a stretch of. */
    public function outline(): string;

    /** Its place in the chain of that outline. */
    public function position(): int;
}
