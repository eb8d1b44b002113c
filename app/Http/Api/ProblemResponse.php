<?php

declare(strict_types=1);

namespace App\Http\Api;

use OpenApi\Attributes as OA;

/** An answer that says why not, as every other one does. */
final class ProblemResponse extends OA\Response
{
    public function __construct(int $response, string $description)
    {
        parent::__construct(
            response: $response,
            description: $description,
            content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        );
    }
}
