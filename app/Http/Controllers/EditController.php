<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Editing\Editor;
use App\Editing\Key;
use App\Editing\Trial;
use App\Http\Api\ProblemResponse;
use App\Http\Asked;
use App\Models\Project;
use App\Models\User;
use App\Tasks\Lane;
use App\Tasks\Tasks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Isleward\Core\Edit\Edits;
use Isleward\Core\Measure\Fields;
use OpenApi\Attributes as OA;

final readonly class EditController
{
    public function __construct(private Editor $editor, private Trial $trial, private Tasks $tasks)
    {
    }

    #[OA\Post(path: '/projects/{project}/edits', operationId: 'edit', summary: 'Do one thing to the design, or try it',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(
                name: 'try',
                in: 'query',
                description: '1: say what it would come to and write nothing',
                schema: new OA\Schema(type: 'integer', enum: [0, 1]),
            ),
            new OA\Parameter(
                name: 'job',
                in: 'query',
                description: '1: run it on its own and answer with the task to ask after',
                schema: new OA\Schema(type: 'integer', enum: [0, 1]),
            ),
        ],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['edit', 'args', 'base'], properties: [
            new OA\Property(property: 'edit', type: 'string'),
            new OA\Property(property: 'args', type: 'object', additionalProperties: true),
            new OA\Property(property: 'base', type: 'integer', description: 'Number of the latest change you have seen'),
            new OA\Property(
                property: 'key',
                type: 'string',
                description: 'The client’s own name for it, “WINDOW.COUNTER”: asked for again under the same key it is not done twice, but answered with what became of it',
            ),
        ])),
        responses: [
            new OA\Response(response: 200, description: 'Done', content: new OA\JsonContent(ref: '#/components/schemas/Outcome')),
            new OA\Response(response: 202, description: 'Begun', content: new OA\JsonContent(ref: '#/components/schemas/Task')),
            new ProblemResponse(403, 'You may not edit'),
            new ProblemResponse(409, 'Changed by someone meanwhile'),
            new ProblemResponse(422, 'Refused, with the reason'),
            new ProblemResponse(429, 'Too many are waiting already'),
            new ProblemResponse(423, 'Someone else’s change is being written; nothing was done yet'),
            new ProblemResponse(503, 'Not known whether it was done: ask again under the same key'),
        ])]
    public function run(Request $request, Project $project): JsonResponse
    {
        $body = new Fields($request->json()->all());
        $name = $body->string('edit');
        $args = $body->array('args');
        if ($request->boolean('try')) {
            return new JsonResponse($this->trial->of($project, $name, $args)->toArray());
        }
        $user = $this->user($request);
        $base = Asked::base($body);
        if ($request->boolean('job')) {
            Edits::make($name, new Fields($args, $project->settings()->units)); // what cannot be asked for is said at once

            return new JsonResponse($this->tasks->begin($project, $user, Lane::Edits, $name, $args, $base, Key::of($body))->toView(), 202);
        }

        return new JsonResponse($this->editor->run($project, $user, $name, $args, $base, Key::of($body))->toArray());
    }

    #[OA\Post(path: '/projects/{project}/undo', operationId: 'undo', summary: 'Take back your latest change',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(
            required: false,
            content: new OA\JsonContent(properties: [new OA\Property(property: 'key', type: 'string', description: 'as of an edit')]),
        ),
        responses: [
            new OA\Response(response: 200, description: 'Done', content: new OA\JsonContent(ref: '#/components/schemas/Outcome')),
            new ProblemResponse(422, 'Nothing to undo, or changed since'),
            new ProblemResponse(423, 'Someone else’s change is being written; nothing was done yet'),
            new ProblemResponse(503, 'Not known whether it was done: ask again under the same key'),
        ])]
    public function undo(Request $request, Project $project): JsonResponse
    {
        return new JsonResponse($this->editor->undo(
            $project,
            $this->user($request),
            Key::of(new Fields($request->json()->all())),
        )->toArray());
    }

    #[OA\Post(path: '/projects/{project}/redo', operationId: 'redo', summary: 'Do again what you undid last',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(
            required: false,
            content: new OA\JsonContent(properties: [new OA\Property(property: 'key', type: 'string', description: 'as of an edit')]),
        ),
        responses: [
            new OA\Response(response: 200, description: 'Done', content: new OA\JsonContent(ref: '#/components/schemas/Outcome')),
            new ProblemResponse(422, 'Nothing to redo, or changed since'),
            new ProblemResponse(423, 'Someone else’s change is being written; nothing was done yet'),
            new ProblemResponse(503, 'Not known whether it was done: ask again under the same key'),
        ])]
    public function redo(Request $request, Project $project): JsonResponse
    {
        return new JsonResponse($this->editor->redo(
            $project,
            $this->user($request),
            Key::of(new Fields($request->json()->all())),
        )->toArray());
    }

    private function user(Request $request): User
    {
        /** @var User */
        return $request->user();
    }
}
