<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Headers that keep the page to its own scripts, styles and addresses. */
final class SecurityHeaders
{
    public function handle(Request $request, \Closure $next): Response
    {
        $nonce = base64_encode(random_bytes(16));
        $request->attributes->set('nonce', $nonce);
        $response = $next($request);
        $response->headers->add([
            'Content-Security-Policy' => "default-src 'self'; script-src 'self'; style-src 'self' 'nonce-$nonce'; img-src 'self' data: blob:; font-src 'self'; connect-src 'self' blob:; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'",
            'X-Content-Type-Options' => 'nosniff',
            'X-Frame-Options' => 'DENY',
            'Referrer-Policy' => 'same-origin',
            'Cross-Origin-Opener-Policy' => 'same-origin',
            'Permissions-Policy' => 'camera=(), microphone=(), geolocation=()',
        ]);

        return $response;
    }
}
