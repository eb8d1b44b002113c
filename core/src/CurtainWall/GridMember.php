<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Geometry\Vec2;

/** One member of a stretch, or one joint where there is none: what it takes of the face, in (u, v), mm. */
final readonly class GridMember
{
    /**
     * @param  MemberProfile|null  $profile  null for a joint
     * @param  string  $line  that it stands on
     * @param  string  $from  the crossing line its first piece begins at
     * @param  list<array{float, float, float, float}>  $cuts  where it is mitred: lines from (u, v) to (u, v) that it lies left of
     */
    public function __construct(
        public Role $role,
        public ?MemberProfile $profile,
        public string $line,
        public string $from,
        public float $x0,
        public float $y0,
        public float $x1,
        public float $y1,
        public array $cuts = [],
    ) {
    }

    /** Along it, at the face. */
    public function length(): float
    {
        return $this->role->isUpright() ? $this->y1 - $this->y0 : $this->x1 - $this->x0;
    }

    /** mm² of the face. */
    public function area(): float
    {
        return $this->cuts === [] ? ($this->x1 - $this->x0) * ($this->y1 - $this->y0) : $this->contour()->area();
    }

    /** What it takes of the face. */
    public function contour(): Contour
    {
        $contour = Contour::rectangle($this->x0, $this->y0, $this->x1, $this->y1);
        foreach ($this->cuts as [$ax, $ay, $bx, $by]) {
            $contour = $contour->leftOf(new Vec2($ax, $ay), new Vec2($bx, $by))[0]
                ?? throw new \LogicException('A mitre leaves most of a member.');
        }

        return $contour;
    }

    /**
     * The same, mitred at an end.
     *
     * @param  array{x0?: float, y0?: float, x1?: float, y1?: float}  $to  where it runs to there
     * @param  array{float, float, float, float}  $cut
     */
    public function mitred(array $to, array $cut): self
    {
        return new self(
            $this->role, $this->profile, $this->line, $this->from,
            $to['x0'] ?? $this->x0, $to['y0'] ?? $this->y0, $to['x1'] ?? $this->x1, $to['y1'] ?? $this->y1, [...$this->cuts, $cut],
        );
    }

    /** Where the middle of its section lies across it: x of an upright one, y of a level one. */
    public function axis(): float
    {
        return $this->role->isUpright() ? ($this->x0 + $this->x1) / 2 : ($this->y0 + $this->y1) / 2;
    }
}
