<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

/** Something that stands before walls, along an outline or a path of its own; what it knows is in the folder of layers. */
interface Layered extends Element
{
    public function called(): string;

    public function position(): int;

    /** The outline it follows; null where it has a path of its own. */
    public function outline(): ?string;

    /** @return list<string> the storeys it stands on: those its levels are measured from */
    public function storeys(): array;
}
