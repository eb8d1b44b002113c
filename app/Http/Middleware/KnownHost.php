<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Problems;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Serves under the name of APP_URL and on this machine itself, and under no other: nobody is led elsewhere by a name of their own making.
 */
final class KnownHost
{
    public function handle(Request $request, \Closure $next): Response
    {
        $host = strtolower((string) preg_replace('/:\d+$/', '', (string) $request->server->get('HTTP_HOST', 'localhost')));
        $known = [
            'localhost', '127.0.0.1', '[::1]',
            strtolower((string) parse_url(config()->string('app.url'), PHP_URL_HOST)),
            ...(array) config('isleward.hosts'),
        ];

        return in_array($host, $known, true) ? $next($request) : Problems::problem(
            421,
            'request.host',
            'Isleward is not served under this name.',
        );
    }
}
