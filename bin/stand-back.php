<?php

declare(strict_types=1);

/*
 * Run before every request of the pools that stand back for others (app/Running/Web.php): takes this process's niceness up to what its pool
 * says,
 * once. FPM's own setting for it counts only where root starts it.
 */
(static function (): void {
    // the 19th figure of stat, counted from behind the name, which may hold anything
    $stat = explode(' ', (string) strrchr((string) file_get_contents('/proc/self/stat'), ')'));
    $more = (int) getenv('ISLEWARD_NICENESS') - (int) ($stat[17] ?? 0);
    if ($more > 0) {
        proc_nice($more);
    }
})();
