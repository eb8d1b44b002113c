<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Log;
use Symfony\Component\HttpFoundation\Response;

/**
 * Gives every request a number: that which a proxy before us gave it, or one of our own. The answer, problems and all that is logged
 * have it; one line of what was asked and how it was answered goes to the log of requests.
 */
final class Numbered
{
    public const HEADER = 'X-Request-Id';

    public function handle(Request $request, \Closure $next): Response
    {
        $start = hrtime(true);
        $given = (string) $request->headers->get(self::HEADER, '');
        $number = preg_match('/^[\w.-]{6,64}$/', $given) === 1 ? $given : bin2hex(random_bytes(8));
        $request->attributes->set(self::HEADER, $number);
        Log::shareContext(['request' => $number]);
        /** @var Response $response */
        $response = $next($request);
        $response->headers->set(self::HEADER, $number);
        Log::channel('requests')->info($request->getMethod().' '.mb_substr($request->getPathInfo(), 0, 300), [
            'status' => $response->getStatusCode(), 'ms' => round((hrtime(true) - $start) / 1e6, 1),
        ]);

        return $response;
    }

    /** Of what is asked now; null outside of a request. */
    public static function current(): ?string
    {
        $number = request()->attributes->get(self::HEADER);

        return is_string($number) ? $number : null;
    }
}
