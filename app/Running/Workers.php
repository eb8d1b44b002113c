<?php

declare(strict_types=1);

namespace App\Running;

/**
 * What runs long edits, and what makes files: one each, so that forty sheets keep nobody's edit waiting. Both stand back (nice) for those
 * who
 * look, as the edits' own processes do.
 */
final readonly class Workers
{
    /** @return list<Service> */
    public static function services(Place $place): array
    {
        $services = [];
        foreach (['edits' => ['the worker for edits', 10], 'files' => ['the worker for files', 15]] as $lane => [$name, $niceness]) {
            $services[] = new Service("worker-$lane", $name, $place->asServing([
                'nice', '-n', (string) $niceness, ...Place::php(), $place->root.'/artisan', 'queue:work', "--queue=$lane", '--sleep=0.3',
                '--tries=1',
                '--timeout=1500', '--memory=1500',
            ]),
                "$place->home/worker-$lane.log", SIGTERM, 0, 3.0, static fn (): bool => true);
        }

        return $services;
    }
}
