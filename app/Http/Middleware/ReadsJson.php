<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Problems;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Refuses bodies that are too large or are not the JSON they claim to be; files come as bare bytes. */
final class ReadsJson
{
    public function handle(Request $request, \Closure $next): Response
    {
        if (! Problems::isApi($request) || $request->isMethod('GET') || $request->isMethod('HEAD')) {
            return $next($request);
        }
        $upload = $request->is('api/projects/*/uploads/*');
        $most = (int) config($upload ? 'isleward.largest_upload' : 'isleward.largest_body');
        if (max((int) $request->header('Content-Length'), strlen($request->getContent())) > $most) {
            return Problems::problem(
                413,
                'request.too_large',
                $upload
                                    ? sprintf('A file may have %d MB at the most.', intdiv($most, 1_000_000))
                                    : sprintf('A request may hold %d kB at the most.', intdiv($most, 1000)),
            );
        }
        if ($upload) {
            return $request->header('Content-Type') === 'application/octet-stream'
                            ? $next($request)
                            : Problems::problem(415, 'request.not_a_file', 'Send the file’s bytes as application/octet-stream.');
        }
        $body = $request->getContent();
        if ($body !== '') {
            if (! $request->isJson()) {
                return Problems::problem(415, 'request.not_json', 'Send JSON.');
            }
            $read = json_decode($body, true, 64);
            if (! is_array($read)) {
                return Problems::problem(
                    400,
                    'request.not_json',
                    sprintf(
                        'The body is not JSON: %s.',
                        lcfirst(json_last_error() === JSON_ERROR_NONE ? 'an object is expected' : json_last_error_msg()),
                    ),
                );
            }
            $finite = true;
            array_walk_recursive($read, static function (mixed $value) use (&$finite): void {
                $finite = $finite && (! is_float($value) || is_finite($value));
            });
            if (! $finite) {
                return Problems::problem(400, 'request.not_finite', 'A number in the body is larger than any that can be reckoned with.');
            }
        }

        return $next($request);
    }
}
