<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Editing\Editor;
use App\Editing\Key;
use App\Editing\Revisions;
use App\Http\Api\ProblemResponse;
use App\Http\Asked;
use App\Models\Project;
use App\Models\Revision;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use OpenApi\Attributes as OA;

/** Lettered states of a project: kept for good, looked at, gone back to. */
#[OA\Schema(
    schema: 'Revision', description: 'A state of the project that is kept for good', required: [
        'letter',
        'number',
        'note',
        'person',
        'at',
    ], properties: [
        new OA\Property(property: 'letter', type: 'string'),
        new OA\Property(property: 'number', type: 'integer', description: 'of the latest change it holds'),
        new OA\Property(property: 'note', type: 'string'),
        new OA\Property(property: 'person', type: 'string'),
        new OA\Property(property: 'at', type: 'string', format: 'date-time'),
    ])]
#[OA\Schema(schema: 'Difference', required: ['kind', 'what', 'element', 'sentence', 'then', 'now', 'parts'], properties: [
    new OA\Property(property: 'kind', type: 'string'),
    new OA\Property(property: 'what', type: 'string', enum: ['added', 'removed', 'moved', 'changed']),
    new OA\Property(property: 'element', type: 'string'),
    new OA\Property(property: 'sentence', type: 'string'),
    new OA\Property(
        property: 'then',
        description: 'Where an opening or a curtain wall was',
        anyOf: [new OA\Schema(ref: '#/components/schemas/Place'), new OA\Schema(type: 'null')],
    ),
    new OA\Property(
        property: 'now',
        description: 'Where it is',
        anyOf: [new OA\Schema(ref: '#/components/schemas/Place'), new OA\Schema(type: 'null')],
    ),
    new OA\Property(
        property: 'parts',
        description: 'Of a curtain wall the cells and members that differ; none where the whole is meant',
        type: 'array',
        items: new OA\Items(required: ['host', 'now', 'ring'], type: 'object', properties: [
            new OA\Property(property: 'host', type: 'string', description: 'The wall it is measured along'),
            new OA\Property(property: 'now', type: 'boolean', description: 'Whether it is so, or was'),
            new OA\Property(property: 'ring', type: 'array', items: new OA\Items(type: 'number'),
                description: 'x from the wall’s left end, level, and so on'),
        ]),
    ),
])]
final readonly class RevisionController
{
    private const LONGEST_NOTE = 300;

    public function __construct(private Revisions $revisions)
    {
    }

    #[OA\Get(path: '/projects/{project}/revisions', operationId: 'revisions', summary: 'The revisions of a project, latest first',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [
            new OA\Response(response: 200, description: 'Revisions', content: new OA\JsonContent(required: ['revisions'], properties: [
                new OA\Property(property: 'revisions', type: 'array', items: new OA\Items(ref: '#/components/schemas/Revision')),
            ]))])]
    public function index(Project $project): JsonResponse
    {
        $all = Revision::query()->with('user')->where('project_id', $project->id)->get()->sortByDesc('number')->values();

        return new JsonResponse(['revisions' => $all->map(self::plain(...))->all()]);
    }

    #[OA\Post(path: '/projects/{project}/revisions', operationId: 'keepRevision', summary: 'Keep the project as it is as the next revision',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(
            required: true,
            content: new OA\JsonContent(
                required: ['note'],
                properties: [
                    new OA\Property(property: 'note', type: 'string'),
                    new OA\Property(property: 'key', type: 'string', description: 'as of an edit'),
                ],
            ),
        ),
        responses: [
            new OA\Response(response: 201, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/Revision')),
            new ProblemResponse(422, 'Nothing has changed since the latest'),
        ])]
    public function keep(Request $request, Project $project): JsonResponse
    {
        $body = new Fields($request->json()->all());
        $note = trim($body->string('note', ''));
        if (mb_strlen($note) > self::LONGEST_NOTE) {
            throw Refusal::because(
                'revision.note',
                sprintf('A note has %d letters at the most; this one has %d.', self::LONGEST_NOTE, mb_strlen($note)),
            );
        }

        return new JsonResponse(
            self::plain($this->revisions->keep($project, $this->user($request), $note, Key::of($body))->load('user')),
            201,
        );
    }

    #[OA\Get(
        path: '/projects/{project}/revisions/{letter}/difference', operationId: 'revisionDifference',
        summary: 'What differs between a revision and a later one, or today',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'letter', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(
                name: 'to',
                in: 'query',
                description: 'letter of the later one; today when left out',
                schema: new OA\Schema(type: 'string'),
            ),
        ],
        responses: [
            new OA\Response(response: 200, description: 'What differs', content: new OA\JsonContent(required: ['rows'], properties: [
                new OA\Property(property: 'rows', type: 'array', items: new OA\Items(ref: '#/components/schemas/Difference')),
            ]))])]
    public function difference(Request $request, Project $project, string $letter): JsonResponse
    {
        $from = $this->of($project, $letter);
        $to = Asked::has($request, 'to') ? $this->of($project, Asked::text($request, 'to')) : null;
        if ($to !== null && $to->number < $from->number) {
            [$from, $to] = [$to, $from];
        }

        return new JsonResponse(['rows' => $this->revisions->difference($project, $from, $to)]);
    }

    #[OA\Post(
        path: '/projects/{project}/revisions/{letter}/restore', operationId: 'restoreRevision',
        summary: 'Make everything as it was in a revision, as a new change that can be undone',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'letter', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
        ],
        requestBody: new OA\RequestBody(
            required: true,
            content: new OA\JsonContent(
                required: ['base'],
                properties: [
                    new OA\Property(property: 'base', type: 'integer'),
                    new OA\Property(property: 'key', type: 'string', description: 'as of an edit'),
                ],
            ),
        ),
        responses: [
            new OA\Response(response: 200, description: 'Done', content: new OA\JsonContent(ref: '#/components/schemas/Outcome')),
            new ProblemResponse(422, 'Changed meanwhile, or the same'),
        ])]
    public function restore(Request $request, Project $project, string $letter, Editor $editor): JsonResponse
    {
        $body = new Fields($request->json()->all());

        return new JsonResponse($editor->restore(
            $project,
            $this->user($request),
            $this->of($project, $letter),
            Asked::base($body),
            $this->revisions,
            Key::of($body),
        )->toArray());
    }

    private function of(Project $project, string $letter): Revision
    {
        return Revision::query()->where('project_id', $project->id)->where('letter', $letter)->firstOrFail();
    }

    /** @return array<string, mixed> */
    private static function plain(Revision $r): array
    {
        return [
            'letter' => $r->letter,
            'number' => $r->number,
            'note' => $r->note,
            'person' => $r->user->name ?? '',
            'at' => now()->parse($r->getAttribute('created_at'))->toIso8601ZuluString(),
        ];
    }

    private function user(Request $request): User
    {
        /** @var User */
        return $request->user();
    }
}
