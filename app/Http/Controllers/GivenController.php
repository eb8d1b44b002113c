<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Assembly\Assembly;
use App\Derived\GivenView;
use App\Derived\Structure;
use App\Files\Foreign;
use App\Files\Store;
use App\Http\Api\ProblemResponse;
use App\Http\Asked;
use App\Models\Project;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Isleward\Core\Design\Kind;
use Isleward\Core\Given\Column;
use Isleward\Core\Given\GivenSchedule;
use Isleward\Core\Measure\Fields;
use OpenApi\Attributes as OA;

/** Schedules of doors and windows that others gave: read in, looked over, held against the model. */
final readonly class GivenController
{
    public function __construct(private Assembly $assembly, private Store $files, private Foreign $foreign, private GivenView $view)
    {
    }

    #[OA\Post(
        path: '/projects/{project}/uploads/schedule', operationId: 'uploadSchedule',
        summary: 'Read a CSV or XLSX file in; answers with how it would be read. Nothing is kept in the project yet',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'name', in: 'query', required: true, schema: new OA\Schema(type: 'string')),
        ],
        requestBody: new OA\RequestBody(
            required: true,
            content: new OA\MediaType(mediaType: 'application/octet-stream', schema: new OA\Schema(type: 'string', format: 'binary')),
        ),
        responses: [
            new OA\Response(
                response: 200,
                description: 'As it would be read',
                content: new OA\JsonContent(ref: '#/components/schemas/Reading'),
            ),
            new ProblemResponse(422, 'No table'),
        ])]
    public function upload(Request $request, Project $project): JsonResponse
    {
        /** @var User $user */
        $user = $request->user();
        $name = mb_substr((string) preg_replace('/\.\w{1,5}$/', '', basename(Asked::text($request, 'name', ''))), 0, 60);
        $read = $this->foreign->read($user, 'table', $request->getContent(), $name);
        $file = $this->files->put($project, $read->content, $read->kind);

        $structure = new Structure($this->assembly, $project);
        $before = self::find($structure, static fn (GivenSchedule $g): bool => mb_strtolower($g->name) === mb_strtolower(trim($name)));

        return new JsonResponse($this->view->reading($project, $structure->design()->storeys, $file, null, null, null, $before));
    }

    /** @param  \Closure(GivenSchedule): bool  $is */
    private static function find(Structure $structure, \Closure $is): ?GivenSchedule
    {
        foreach ($structure->keptOf(Kind::Given) as $kept) {
            if ($kept instanceof GivenSchedule && $is($kept)) {
                return $kept;
            }
        }

        return null;
    }

    #[OA\Post(
        path: '/projects/{project}/readings', operationId: 'readSchedule',
        summary: 'How a file that was read in would be read with its columns said otherwise',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['file'], properties: [
            new OA\Property(property: 'file', type: 'string'), new OA\Property(property: 'sheet', type: 'integer'),
            new OA\Property(property: 'header', type: 'integer', nullable: true),
            new OA\Property(
                property: 'instead', type: 'string', nullable: true, description: 'The schedule in whose place it would come',
            ),
            new OA\Property(
                property: 'columns',
                type: 'array',
                nullable: true,
                items: new OA\Items(ref: '#/components/schemas/GivenColumn'),
            ),
        ])),
        responses: [
            new OA\Response(
                response: 200,
                description: 'As it would be read',
                content: new OA\JsonContent(ref: '#/components/schemas/Reading'),
            ),
            new ProblemResponse(422, 'Not so'),
        ])]
    public function reading(Request $request, Project $project): JsonResponse
    {
        $body = new Fields($request->json()->all());
        $structure = new Structure($this->assembly, $project);
        $instead = $body->stringOrNull('instead');

        return new JsonResponse(
            $this->view->reading(
                $project, $structure->design()->storeys, $body->string('file'),
                $body->has('sheet') ? $body->int('sheet') : null,
                $body->has('header') ? $body->int('header') : null,
                $body->has('columns') ? array_map(Column::from(...), $body->list('columns')) : null,
                $instead === null ? null : self::find($structure, static fn (GivenSchedule $g): bool => $g->id === $instead),
            ));
    }

    #[OA\Get(path: '/projects/{project}/givens/{given}/held', operationId: 'held', summary: 'A given schedule held against the model',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'given', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
        ],
        responses: [
            new OA\Response(response: 200, description: 'What differs', content: new OA\JsonContent(ref: '#/components/schemas/Held')),
            new ProblemResponse(404, 'None'),
        ])]
    public function held(Project $project, string $given): JsonResponse
    {
        $structure = new Structure($this->assembly, $project);
        $kept = self::find($structure, static fn (GivenSchedule $g): bool => $g->id === $given);

        return new JsonResponse($this->view->held($project, $structure, $kept ?? abort(404)));
    }
}
