<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** Something about a run that can stand and should be looked at. */
final readonly class RunDoubt
{
    /**
     * @param  string  $rule  "run.sliver" …
     * @param  string  $says  a sentence with its lengths marked
     * @param  int  $stretch  from 0
     * @param  float|null  $u  where on it; null for all of it
     */
    public function __construct(public string $rule, public string $says, public int $stretch, public ?float $u = null)
    {
    }
}
