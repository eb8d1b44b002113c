<?php

declare(strict_types=1);

use Isleward\Core\Scene;

/* Who gives what to drawings, scenes, schedules and findings, in the order they come in. */
return [
    Scene\Contributor::class => [Scene\UnitParts::class, Scene\WallParts::class],
];
