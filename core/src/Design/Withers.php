<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** The same with something changed, for elements whose constructor takes by name all that they hold. */
trait Withers
{
    private function but(mixed ...$changed): self
    {
        return new self(...[...get_object_vars($this), ...$changed]); // @phpstan-ignore argument.type
    }
}
