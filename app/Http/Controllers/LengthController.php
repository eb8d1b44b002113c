<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api\ProblemResponse;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Units;
use OpenApi\Attributes as OA;

final class LengthController
{
    #[OA\Get(path: '/lengths', operationId: 'readLength', summary: 'What a typed length comes to',
        parameters: [
            new OA\Parameter(name: 'text', in: 'query', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'units', in: 'query', required: true, schema: new OA\Schema(type: 'string', enum: ['mm', 'm', 'ft-in'])),
        ],
        responses: [
            new OA\Response(
                response: 200,
                description: 'In mm',
                content: new OA\JsonContent(required: ['mm'], properties: [new OA\Property(property: 'mm', type: 'number')]),
            ),
            new ProblemResponse(422, 'Not a length'),
        ])]
    public function __invoke(Request $request): JsonResponse
    {
        $asked = new Fields($request->query());

        return new JsonResponse(['mm' => Length::parse($asked->string('text', ''), $asked->choice('units', Units::class))]);
    }
}
