<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** Openings by the wall they stand in. */
final class OpeningsByWall
{
    /** @var array<string, list<Opening>> */
    private array $byWall = [];

    /** @param  array<string, Opening>  $openings */
    public function __construct(array $openings)
    {
        foreach ($openings as $opening) {
            $this->byWall[$opening->wall][] = $opening;
        }
    }

    /** @return list<Opening> */
    public function of(string $wall): array
    {
        return $this->byWall[$wall] ?? [];
    }
}
