<?php

declare(strict_types=1);

namespace App\Http\Api;

use OpenApi\Attributes as OA;

/** The parts of the API's description that belong to no one route. */
#[OA\OpenApi(openapi: '3.1.0')]
#[OA\Info(
    version: '1',
    title: 'Isleward',
    description: 'Lengths are numbers in mm, or in an edit’s arguments also texts in people’s units ("1200+150", "5\' 6 1/2\"", "1.2 m"). Angles in API figures are degrees. Problems are application/problem+json with a code.',
)]
#[OA\Server(url: '/api')]
#[OA\Schema(schema: 'Problem', required: ['title', 'status', 'code'], properties: [
    new OA\Property(property: 'type', type: 'string'),
    new OA\Property(property: 'title', type: 'string', description: 'A sentence for people'),
    new OA\Property(property: 'status', type: 'integer'),
    new OA\Property(property: 'code', type: 'string'),
    new OA\Property(property: 'elements', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'details', type: 'object', additionalProperties: true),
    new OA\Property(property: 'fields', type: 'object', additionalProperties: true),
    new OA\Property(property: 'request', type: 'string', description: 'Its number, as in the header X-Request-Id and in the logs'),
])]
final class Document
{
}
