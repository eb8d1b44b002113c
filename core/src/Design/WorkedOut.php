<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** What was worked out from one design, each once, by what it is. */
final class WorkedOut
{
    /** @var array<class-string, object> */
    private array $all = [];

    /**
     * @template T of object
     *
     * @param  class-string<T>  $what
     * @param  \Closure(): T  $make
     * @return T
     */
    public function once(string $what, \Closure $make): object
    {
        $found = $this->all[$what] ?? null;
        if (! $found instanceof $what) {
            $this->all[$what] = $found = $make();
        }

        return $found;
    }
}
