<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * Whether this server can do its work, for whoever sends it some: 200 when everything answers, 503 with what does not. No session and no
 * account; what goes wrong is told by its kind alone.
 */
final class HealthController
{
    /** Work that has waited longer is not being done, s. */
    private const LONGEST = 900;

    /** With less room than this nothing can be promised, bytes. */
    private const ROOM = 200_000_000;

    public function __invoke(): JsonResponse
    {
        $checks = [
            'database' => self::check(static function (): array {
                $start = hrtime(true);
                DB::select('select 1');

                return ['ok' => true, 'ms' => round((hrtime(true) - $start) / 1e6, 1)];
            }),
            'cache' => self::check(static function (): array {
                $now = bin2hex(random_bytes(6));
                Cache::put('health', $now, 60);

                return ['ok' => Cache::get('health') === $now];
            }),
            'queue' => self::check(static function (): array {
                $jobs = DB::table('jobs');
                $oldest = $jobs->min('available_at');
                $waited = is_numeric($oldest) ? max(0, time() - (int) $oldest) : 0;

                return ['ok' => $waited <= self::LONGEST, 'waiting' => $jobs->count(), 'longest' => $waited];
            }),
            'disk' => self::check(static function (): array {
                $free = disk_free_space(storage_path());

                return ['ok' => $free !== false && $free >= self::ROOM, 'free' => $free === false ? 0 : (int) $free];
            }),
        ];
        $well = array_filter($checks, static fn (array $check): bool => $check['ok'] !== true) === [];

        return new JsonResponse(
            ['status' => $well ? 'ok' : 'failing', 'version' => config()->string('isleward.build'), 'checks' => $checks],
            $well ? 200 : 503,
            ['Cache-Control' => 'no-store'],
        );
    }

    /**
     * @param  \Closure(): array<string, mixed>  $of
     * @return array<string, mixed>
     */
    private static function check(\Closure $of): array
    {
        try {
            return $of();
        } catch (\Throwable $why) {
            return ['ok' => false, 'why' => (new \ReflectionClass($why))->getShortName()];
        }
    }
}
