<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** One member of a stretch, or one joint where there is none: what it takes of the face, in (u, v), mm. */
final readonly class GridMember
{
    /**
     * @param  MemberProfile|null  $profile  null for a joint
     * @param  string  $line  that it stands on
     * @param  string  $from  the crossing line its first piece begins at
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
        return ($this->x1 - $this->x0) * ($this->y1 - $this->y0);
    }

    /** Where the middle of its section lies across it: x of an upright one, y of a level one. */
    public function axis(): float
    {
        return $this->role->isUpright() ? ($this->x0 + $this->x1) / 2 : ($this->y0 + $this->y1) / 2;
    }
}
