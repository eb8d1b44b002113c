<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Derived\ProjectView;
use App\Derived\Worked;
use App\Editing\Duplicate;
use App\Editing\Keeping;
use App\Editing\Key;
use App\Editing\NewProject;
use App\Exports\Exporter;
use App\Http\Api\ProblemResponse;
use App\Models\Project;
use App\Models\Role;
use App\Models\User;
use Illuminate\Contracts\Database\Query\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Isleward\Core\Measure\Fields;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'ProjectLine', required: [
    'id', 'name', 'role', 'updatedAt', 'openings', 'storeys', 'number', 'archived', 'binned', 'demo',
], properties: [
    new OA\Property(property: 'number', type: 'integer', description: 'Of its latest change'),
    new OA\Property(property: 'archived', type: 'boolean'),
    new OA\Property(property: 'binned', type: 'string', format: 'date-time', nullable: true, description: 'Told to its owners alone'),
    new OA\Property(property: 'demo', type: 'boolean'),
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'role', type: 'string', enum: ['owner', 'editor', 'viewer']),
    new OA\Property(property: 'updatedAt', type: 'string', format: 'date-time'),
    new OA\Property(property: 'openings', type: 'integer'),
    new OA\Property(property: 'storeys', type: 'integer'),
])]
final class ProjectController
{
    #[OA\Get(path: '/projects', operationId: 'listProjects', summary: 'The projects you may see', responses: [
        new OA\Response(response: 200, description: 'Latest first', content: new OA\JsonContent(required: ['projects'], properties: [
            new OA\Property(property: 'projects', type: 'array', items: new OA\Items(ref: '#/components/schemas/ProjectLine')),
        ])),
    ])]
    public function index(Request $request, Keeping $keeping): JsonResponse
    {
        /** @var User $user */
        $user = $request->user();
        $keeping->empty($user);
        $projects = $user->projects()->orderByDesc('projects.updated_at')
            ->selectSub('select count(*) from openings where openings.project_id = projects.id', 'opening_count')
            ->selectSub('select count(*) from storeys where storeys.project_id = projects.id', 'storey_count')
            ->addSelect('projects.*')
            ->where(static fn (Builder $q) => $q->whereNull('projects.binned_at')->orWhere('memberships.role', Role::Owner->value))->get();

        return new JsonResponse(['projects' => $projects->map(static fn (Project $p): array => [
            'id' => $p->id, 'name' => $p->name, 'role' => $p->getRelationValue('pivot')->role,
            'updatedAt' => $p->updated_at->toIso8601ZuluString(),
            'openings' => (int) $p->getAttribute('opening_count'), 'storeys' => (int) $p->getAttribute('storey_count'),
            'number' => $p->change_number, 'archived' => $p->archived_at !== null, 'demo' => $p->demo,
            'binned' => $p->binned_at?->toIso8601ZuluString(),
        ])->all()]);
    }

    #[OA\Post(path: '/projects', operationId: 'createProject', summary: 'Start a project',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['name', 'units', 'storeys'], properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'units', type: 'string', enum: ['mm', 'm', 'ft-in']),
            new OA\Property(
                property: 'storeys', type: 'array', description: 'Lowest first', items: new OA\Items(
                    required: ['name', 'height'], properties: [
                        new OA\Property(property: 'name', type: 'string'),
                        new OA\Property(property: 'height', anyOf: [new OA\Schema(type: 'number'), new OA\Schema(type: 'string')]),
                    ], type: 'object')),
            new OA\Property(property: 'key', type: 'string', description: 'Asked for again under the same key it is not started twice'),
            new OA\Property(
                property: 'rectangle',
                type: 'object',
                additionalProperties: true,
                description: 'width and depth of a rectangular outline, and the thickness of its walls',
            ),
        ])),
        responses: [
            new OA\Response(
                response: 201,
                description: 'Started',
                content: new OA\JsonContent(required: ['id'], properties: [new OA\Property(property: 'id', type: 'string')]),
            ),
            new ProblemResponse(422, 'Refused'),
        ])]
    public function create(Request $request, NewProject $new): JsonResponse
    {
        /** @var User $user */
        $user = $request->user();
        abort_if($user->guest, 403, 'A guest by a link can view, not start projects.');

        $asked = new Fields($request->json()->all());
        $key = Key::of($asked);
        $made = $key === null ? null : $user->projects()->where('key', $key->text)->first();

        return new JsonResponse(['id' => ($made ?? $new->create($user, $asked, $key))->id], 201);
    }

    #[OA\Get(path: '/projects/{project}', operationId: 'showProject', summary: 'Settings, storeys, walls, frontages and the rack',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [
            new OA\Response(response: 200, description: 'The project', content: new OA\JsonContent(ref: '#/components/schemas/Project')),
            new ProblemResponse(404, 'None, or not yours'),
        ])]
    public function show(Request $request, Project $project, ProjectView $view): Response
    {
        /** @var User $user */
        $user = $request->user();

        return new Response($view->of($project, $user), 200, ['Content-Type' => 'application/json']);
    }

    #[OA\Post(path: '/projects/{project}/duplicates', operationId: 'duplicateProject', summary: 'A project once more, as one of yours',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['name'], properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'key', type: 'string', description: 'Asked for again under the same key it is not made twice'),
        ])),
        responses: [
            new OA\Response(
                response: 201, description: 'Made',
                content: new OA\JsonContent(required: ['id'], properties: [new OA\Property(property: 'id', type: 'string')]),
            ),
            new ProblemResponse(403, 'A guest by a link may not'),
            new ProblemResponse(422, 'Refused'),
        ])]
    public function duplicate(Request $request, Project $project, Duplicate $duplicate): JsonResponse
    {
        /** @var User $user */
        $user = $request->user();
        abort_if($user->guest, 403, 'A guest by a link can view, not duplicate a project.');
        $asked = new Fields($request->json()->all());
        $key = Key::of($asked);
        $made = $key === null ? null : $user->projects()->where('key', $key->text)->first();

        return new JsonResponse(['id' => ($made ?? $duplicate->make($project, $user, $asked->name('name'), $key))->id], 201);
    }

    #[OA\Patch(path: '/projects/{project}', operationId: 'keepProject', summary: 'Archive a project, or take it out of the bin',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(properties: [
            new OA\Property(property: 'archived', type: 'boolean'),
            new OA\Property(property: 'binned', type: 'boolean', enum: [false]),
        ])),
        responses: [new OA\Response(response: 204, description: 'It is so'), new ProblemResponse(403, 'Only its owners may')])]
    public function keep(Request $request, Project $project, Keeping $keeping): JsonResponse
    {
        $asked = new Fields($request->json()->all());
        if ($asked->has('archived')) {
            $keeping->archive($project, $asked->bool('archived', false));
        }
        if ($asked->has('binned') && ! $asked->bool('binned', true)) {
            $keeping->takeOut($project);
        }

        return new JsonResponse(null, 204);
    }

    #[OA\Get(path: '/projects/{project}/picture', operationId: 'projectPicture', summary: 'A small elevation to know a project by, SVG',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [
            new OA\Response(
                response: 200, description: 'The picture; with nothing on it where there are no walls',
                content: new OA\MediaType(mediaType: 'image/svg+xml', schema: new OA\Schema(type: 'string')),
            ),
            new OA\Response(response: 304, description: 'As you have it'),
        ])]
    public function picture(Request $request, Project $project, Exporter $exporter): Response
    {
        $hash = Worked::since($project, 'picture');
        $response = (new Response('', 200, ['Content-Type' => 'image/svg+xml', 'Cache-Control' => 'private, no-cache']))->setEtag($hash);
        if (! $response->isNotModified($request)) {
            $response->setContent(Worked::out($hash, static fn (): string => $exporter->picture($project)));
        }

        return $response;
    }

    #[OA\Delete(
        path: '/projects/{project}', operationId: 'removeProject',
        summary: 'Put a project in the bin, for 30 days; one that is there is removed for good',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 204, description: 'In the bin, or gone')])]
    public function destroy(Project $project, Keeping $keeping): JsonResponse
    {
        $project->binned_at === null ? $keeping->bin($project) : $keeping->destroy($project);

        return new JsonResponse(null, 204);
    }
}
