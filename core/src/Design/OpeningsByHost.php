<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** Openings by what they stand in. */
final class OpeningsByHost
{
    /** @var array<string, list<Opening>> */
    private array $byHost = [];

    /** @param  array<string, Opening>  $openings */
    public function __construct(array $openings)
    {
        foreach ($openings as $opening) {
            $this->byHost[$opening->host][] = $opening;
        }
    }

    /** @return list<Opening> */
    public function of(string $host): array
    {
        return $this->byHost[$host] ?? [];
    }
}
