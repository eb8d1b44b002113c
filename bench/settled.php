<?php

declare(strict_types=1);

/* Waits until a desk has fetched all it needs, its model too: nothing more for four seconds. */

use Tests\Browser\Support\Desk;

return static function (Desk $desk): void {
    for ($still = 0, $seen = -1; $still < 4; $still = $now === $seen ? $still + 1 : 0, $seen = $now) {
        sleep(1);
        $now = (int) $desk->driver->executeScript(
            'return performance.getEntriesByType("resource").filter((e) => !e.name.includes("presence")).length',
        );
    }
};
