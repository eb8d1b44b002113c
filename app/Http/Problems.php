<?php

declare(strict_types=1);

namespace App\Http;

use App\Editing\Busy;
use App\Editing\Conflict;
use App\Editing\Undone;
use App\Editing\Unsure;
use App\Files\StorageFull;
use App\Files\Waiting;
use App\Http\Middleware\Numbered;
use App\Models\Project;
use App\Tasks\TooMany;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\QueryException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Validation\ValidationException;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Units;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

/**
 * Everything that goes wrong, as application/problem+json (RFC 9457) with a stable code and a sentence. Of what was done it says only what
 * is known.
 */
final class Problems
{
    /** @param  Units|null  $units  in which lengths are said; null for those of the project that is asked about */
    public static function respond(\Throwable $e, ?Units $units = null): JsonResponse
    {
        return match (true) {
            $e instanceof Conflict => self::problem(
                409,
                $e->reason,
                $e->getMessage(),
                ['elements' => $e->elements, 'details' => (object) $e->details],
            ),
            $e instanceof Busy => self::later(423, $e->reason, $e->getMessage(), ['details' => (object) $e->details]),
            $e instanceof Refusal => self::problem(
                422,
                $e->reason,
                $e->said($units ?? self::units()),
                ['elements' => $e->elements, 'details' => (object) $e->details],
            ),
            $e instanceof ValidationException => self::problem(422, 'request.invalid', $e->getMessage(), ['fields' => $e->errors()]),
            $e instanceof AuthenticationException => self::problem(401, 'session.missing', 'Sign in first.'),
            $e instanceof AuthorizationException => self::problem(403, 'project.not_allowed', $e->getMessage()),
            $e instanceof TokenMismatchException => self::problem(419, 'session.expired', 'You were signed out meanwhile: sign in again.'),
            $e instanceof ModelNotFoundException => self::problem(404, 'not_found', 'There is nothing here, or it is not yours to see.'),
            $e instanceof Unsure => self::later(503, 'edit.unsure', $e->getMessage()),
            $e instanceof Undone => self::problem(500, 'server.error', $e->getMessage()),
            $e instanceof TooMany => self::problem(429, 'task.too_many', $e->getMessage()),
            $e instanceof Waiting => self::later(429, 'file.waiting', $e->getMessage()),
            $e instanceof StorageFull => self::problem(507, 'storage.full', $e->getMessage()),
            $e instanceof HttpExceptionInterface => self::http($e),
            default => self::unknown($e),
        };
    }

    /** For a page instead of the API: only what a person should see while part of us does not answer. */
    public static function page(\Throwable $e): ?Response
    {
        return Outage::of($e) === null ? null : new Response(
            (string) file_get_contents(resource_path('views/unavailable.html')),
            503,
            ['Retry-After' => '2', 'Cache-Control' => 'no-store'],
        );
    }

    /** Whether a request is answered with a problem: all of the API's are. */
    public static function isApi(Request $request): bool
    {
        // as it was sent: what is no text matches no pattern
        return preg_match('#^/api(/|$)#', $request->getPathInfo()) === 1;
    }

    /** @param  array<string, mixed>  $more */
    public static function problem(int $status, string $code, string $sentence, array $more = []): JsonResponse
    {
        return new JsonResponse(
            ['type' => 'about:blank', 'title' => $sentence, 'status' => $status, 'code' => $code] + $more
                + array_filter(['request' => Numbered::current()]),
            $status, ['Content-Type' => 'application/problem+json'],
            JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR,
        );
    }

    private static function units(): Units
    {
        $project = request()->route('project');

        return $project instanceof Project ? $project->settings()->units : Units::Millimetre;
    }

    /** @param  array<string, mixed>  $more */
    private static function later(int $status, string $code, string $sentence, array $more = []): JsonResponse
    {
        $response = self::problem($status, $code, $sentence, $more);
        $response->headers->set('Retry-After', '1');

        return $response;
    }

    private static function unknown(\Throwable $e): JsonResponse
    {
        $outage = Outage::of($e);
        if ($outage === Outage::Database) {
            return self::later(
                503,
                'server.unavailable',
                'The database does not answer just now and is being started again. What you typed is kept; it is tried again by itself.',
            );
        }
        if ($outage === Outage::Room) {
            return self::problem(
                507,
                'storage.full',
                'The server has no room left to write, so this could not be kept. Ask whoever runs Isleward.',
            );
        }
        if ($e instanceof QueryException && in_array($e->errorInfo[1] ?? 0, [1205, 1213], true)) {
            return self::later(
                503,
                'server.busy',
                'Others are writing the same just now. What you typed is kept; it is tried again by itself.',
            );
        }
        $sentence = request()->isMethod('GET') ? 'Something went wrong on our side. Try again; if it stays so, tell whoever runs Isleward.'
            : 'Something went wrong on our side. Look whether it was done before you do it again.';

        $number = Numbered::current();
        $sentence .= $number === null ? '' : " Its number in the log is $number.";

        return self::problem(500, 'server.error', config('app.debug') === true ? $e->getMessage() : $sentence);
    }

    private static function http(HttpExceptionInterface $e): JsonResponse
    {
        $status = $e->getStatusCode();
        [$code, $sentence] = match ($status) {
            400 => ['request.unreadable', 'This request could not be read.'],
            403 => ['project.not_allowed', $e->getMessage() === '' ? 'You may not do that here.' : $e->getMessage()],
            404 => ['not_found', 'There is nothing here, or it is not yours to see.'],
            405 => ['request.method', 'That cannot be asked of this address.'],
            413 => ['request.too_large', 'This is larger than anything that is read here.'],
            419 => ['session.expired', 'You were signed out meanwhile: sign in again.'],
            429 => ['request.too_many', 'Too many tries: wait a minute and try again.'],
            503 => ['server.unavailable', 'Isleward is being started again. What you typed is kept; it is tried again by itself.'],
            default => ['request.failed', $e->getMessage() === '' ? 'That did not work.' : $e->getMessage()],
        };
        $response = self::problem($status, $code, $sentence);
        foreach ($e->getHeaders() as $name => $value) {
            if (is_string($value) || is_int($value)) {
                $response->headers->set((string) $name, (string) $value);
            }
        }

        return $response;
    }
}
