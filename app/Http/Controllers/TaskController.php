<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api\ProblemResponse;
use App\Models\Project;
use App\Models\User;
use App\Tasks\Tasks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/**
 * Edits and files in the making that run on their own: how far they are, stopping them, and what they wrote. Each is seen by who began it.
 */
#[OA\Schema(
    schema: 'Task', description: 'Something long that goes on by itself', required: [
        'id',
        'state',
        'done',
        'total',
        'outcome',
        'file',
        'problem',
    ], properties: [
        new OA\Property(property: 'id', type: 'string'),
        new OA\Property(property: 'state', type: 'string', enum: ['waiting', 'running', 'stopping', 'done', 'refused', 'cancelled']),
        new OA\Property(property: 'done', type: 'integer'),
        new OA\Property(property: 'total', type: 'integer'),
        new OA\Property(
            property: 'outcome',
            description: 'of an edit',
            anyOf: [new OA\Schema(ref: '#/components/schemas/Outcome'), new OA\Schema(type: 'null')],
        ),
        new OA\Property(property: 'file', description: 'that it has made', anyOf: [
            new OA\Schema(
                required: ['name', 'sheets', 'bytes'],
                properties: [
                    new OA\Property(property: 'name', type: 'string'),
                    new OA\Property(property: 'sheets', type: 'integer'),
                    new OA\Property(property: 'bytes', type: 'integer'),
                ],
            ),
            new OA\Schema(type: 'null'),
        ]),
        new OA\Property(property: 'problem', anyOf: [new OA\Schema(ref: '#/components/schemas/Problem'), new OA\Schema(type: 'null')]),
    ])]
final readonly class TaskController
{
    public function __construct(private Tasks $tasks)
    {
    }

    #[OA\Get(path: '/projects/{project}/tasks/{task}', operationId: 'showTask', summary: 'How far a long edit is, and what it came to',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'task', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
        ],
        responses: [new OA\Response(
            response: 200,
            description: 'The task',
            content: new OA\JsonContent(ref: '#/components/schemas/Task'),
        )])]
    public function show(Request $request, Project $project, string $task): JsonResponse
    {
        return new JsonResponse($this->tasks->look($project, self::user($request), $task)->toView());
    }

    #[OA\Delete(path: '/projects/{project}/tasks/{task}', operationId: 'stopTask', summary: 'Stop a long edit; nothing of it stays',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'task', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
        ],
        responses: [new OA\Response(
            response: 200,
            description: 'Stopped, stopping, or over already',
            content: new OA\JsonContent(ref: '#/components/schemas/Task'),
        )])]
    public function stop(Request $request, Project $project, string $task): JsonResponse
    {
        return new JsonResponse($this->tasks->stop($project, self::user($request), $task)->toView());
    }

    #[OA\Get(
        path: '/projects/{project}/tasks/{task}/file', operationId: 'taskFile',
        summary: 'The file that a task has made; it is kept for a day',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'task', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
        ],
        responses: [
            new OA\Response(response: 200, description: 'The file', content: [
                new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary')),
                new OA\MediaType(mediaType: 'application/zip', schema: new OA\Schema(type: 'string', format: 'binary')),
            ]),
            new ProblemResponse(404, 'None'),
        ])]
    public function file(Request $request, Project $project, string $task): BinaryFileResponse
    {
        $found = $this->tasks->look($project, self::user($request), $task);
        $name = $found->makesFile() && $found->state === 'done' ? $found->outcome['name'] ?? null : null;
        if (! is_string($name) || ! is_file($found->file())) {
            abort(404);
        }

        return response()->download(
            $found->file(),
            $name,
            ['Content-Type' => str_ends_with($name, '.pdf') ? 'application/pdf' : 'application/zip'],
        );
    }

    private static function user(Request $request): User
    {
        /** @var User */
        return $request->user();
    }
}
