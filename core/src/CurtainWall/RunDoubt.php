<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** Something about a run that can stand and should be looked at. */
final readonly class RunDoubt
{
    /**
     * @param  string  $rule  "run.sliver" …
     * @param  string  $says  a sentence with its lengths marked
     * @param  int  $stretch  from 0: of the run's own, each facet one
     * @param  float  $figure  that it is about: mm, kg or mm²
     * @param  float|null  $u  where on it; null for all of it
     * @param  float|null  $v  the same, up its face
     */
    public function __construct(
        public string $rule,
        public string $says,
        public int $stretch,
        public float $figure = 0.0,
        public ?float $u = null,
        public ?float $v = null,
    ) {
    }

    /** The same in other words. */
    public function saying(string $says): self
    {
        return new self($this->rule, $says, $this->stretch, $this->figure, $this->u, $this->v);
    }
}
