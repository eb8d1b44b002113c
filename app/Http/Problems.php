<?php

declare(strict_types=1);

namespace App\Http;

use App\Editing\Conflict;
use App\Models\Project;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\JsonResponse;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Validation\ValidationException;
use Isleward\Core\Measure\Units;
use Isleward\Core\Refusal;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

/** Everything that goes wrong, as application/problem+json (RFC 9457) with a stable code and a sentence. */
final class Problems
{
    /** @param  Units|null  $units  in which lengths are said; null for those of the project that is asked about */
    public static function respond(\Throwable $e, ?Units $units = null): JsonResponse
    {
        return match (true) {
            $e instanceof Conflict => self::problem(409, $e->reason, $e->getMessage(), ['elements' => $e->elements, 'details' => $e->details]),
            $e instanceof Refusal => self::problem(422, $e->reason, $e->said($units ?? self::units()), ['elements' => $e->elements, 'details' => $e->details]),
            $e instanceof ValidationException => self::problem(422, 'request.invalid', $e->getMessage(), ['fields' => $e->errors()]),
            $e instanceof AuthenticationException => self::problem(401, 'session.missing', 'Sign in first.'),
            $e instanceof AuthorizationException => self::problem(403, 'project.not_allowed', $e->getMessage()),
            $e instanceof TokenMismatchException => self::problem(419, 'session.expired', 'This page has been open too long: load it again.'),
            $e instanceof ModelNotFoundException => self::problem(404, 'not_found', 'There is nothing here, or it is not yours to see.'),
            $e instanceof HttpExceptionInterface => self::http($e),
            default => self::problem(500, 'server.error', config('app.debug') === true ? $e->getMessage() : 'Something went wrong on our side. Nothing was changed; try again.'),
        };
    }

    private static function units(): Units
    {
        $project = request()->route('project');

        return $project instanceof Project ? $project->settings()->units : Units::Millimetre;
    }

    /** @param  array<string, mixed>  $more */
    public static function problem(int $status, string $code, string $sentence, array $more = []): JsonResponse
    {
        return new JsonResponse(
            ['type' => 'about:blank', 'title' => $sentence, 'status' => $status, 'code' => $code] + $more,
            $status, ['Content-Type' => 'application/problem+json'], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE,
        );
    }

    private static function http(HttpExceptionInterface $e): JsonResponse
    {
        $status = $e->getStatusCode();
        [$code, $sentence] = match ($status) {
            403 => ['project.not_allowed', $e->getMessage()],
            404 => ['not_found', 'There is nothing here, or it is not yours to see.'],
            405 => ['request.method', 'That cannot be asked of this address.'],
            419 => ['session.expired', 'This page has been open too long: load it again.'],
            429 => ['request.too_many', 'Too many tries: wait a minute and try again.'],
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
