<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Project;
use Tests\Support\Furnished;

/** A project with one of everything in it. */
abstract class FurnishedCase extends ProjectCase
{
    protected Furnished $furnished;

    protected function setUp(): void
    {
        parent::setUp();
        $ask = function (string $method, string $path, mixed $body, string $type): array {
            $content = is_string($body) ? $body : ($body === null ? '' : json_encode($body, JSON_THROW_ON_ERROR));
            $response = $this->call(
                $method,
                rtrim("/api/projects/{$this->project->id}/$path", '/'),
                server: ['CONTENT_TYPE' => $type, 'HTTP_ACCEPT' => 'application/json'],
                content: $content,
            );
            self::assertLessThan(300, $response->getStatusCode(), "$method $path: ".$response->getContent());

            return $response->json() ?? [];
        };
        $this->furnished = new Furnished($ask, fn () => Project::query()->findOrFail($this->project->id), $this->owner->id);
    }
}
