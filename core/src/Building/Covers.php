<?php

declare(strict_types=1);

namespace Isleward\Core\Building;

use Isleward\Core\Design\Design;

/** Who knows what walls can end at, or stand on; named in contributors.php. */
interface Covers
{
    /**
     * @param  string  $id  of what the wall follows
     * @param  bool  $upper  its upper side, for what stands on it; else its underside
     * @return Cover|null null where it is none of theirs, or cannot stand
     */
    public function cover(Design $design, string $id, bool $upper): ?Cover;
}
