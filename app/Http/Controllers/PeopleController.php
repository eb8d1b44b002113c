<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api\ProblemResponse;
use App\Models\Invitation;
use App\Models\Letter;
use App\Models\Link;
use App\Models\Project;
use App\Models\Role;
use App\Models\User;
use App\People\People;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use OpenApi\Attributes as OA;

/** Who is in a project: members, invitations, read-only links, and who is there now. */
#[OA\Schema(schema: 'Member', description: 'Someone in a project', required: ['id', 'name', 'email', 'role', 'you'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'email', type: 'string', nullable: true),
    new OA\Property(property: 'role', type: 'string', enum: ['owner', 'editor', 'viewer']),
    new OA\Property(property: 'you', type: 'boolean'),
])]
#[OA\Schema(schema: 'WaitingInvitation', required: ['id', 'email', 'role', 'expiresAt'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'email', type: 'string'),
    new OA\Property(property: 'role', type: 'string', enum: ['owner', 'editor', 'viewer']),
    new OA\Property(property: 'expiresAt', type: 'string'),
])]
#[OA\Schema(schema: 'ReadOnlyLink', required: ['id', 'name', 'createdAt', 'usedAt'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'createdAt', type: 'string'),
    new OA\Property(property: 'usedAt', type: 'string', nullable: true),
])]
#[OA\Schema(schema: 'People', required: ['members', 'mayManage', 'invitations', 'links'], properties: [
    new OA\Property(property: 'members', type: 'array', items: new OA\Items(ref: '#/components/schemas/Member')),
    new OA\Property(property: 'mayManage', type: 'boolean'),
    new OA\Property(property: 'invitations', type: 'array', items: new OA\Items(ref: '#/components/schemas/WaitingInvitation')),
    new OA\Property(property: 'links', type: 'array', items: new OA\Items(ref: '#/components/schemas/ReadOnlyLink')),
])]
#[OA\Schema(schema: 'Here', required: ['id', 'name', 'role', 'place'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'role', type: 'string', enum: ['owner', 'editor', 'viewer']),
    new OA\Property(property: 'place', type: 'string'),
])]
#[OA\Schema(schema: 'Presence', required: ['number', 'role', 'here'], properties: [
    new OA\Property(property: 'number', type: 'integer'),
    new OA\Property(property: 'role', type: 'string', enum: ['owner', 'editor', 'viewer']),
    new OA\Property(property: 'here', type: 'array', items: new OA\Items(ref: '#/components/schemas/Here')),
])]
final readonly class PeopleController
{
    /** Whoever was not heard of for so long is no longer there, seconds. */
    private const HERE = 12;

    public function __construct(private People $people)
    {
    }

    #[OA\Get(
        path: '/projects/{project}/people', operationId: 'people',
        summary: 'Who is in a project; its owners also see invitations and links',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 200, description: 'They', content: new OA\JsonContent(ref: '#/components/schemas/People'))])]
    public function index(Request $request, Project $project): JsonResponse
    {
        $user = self::user($request);
        $owner = $project->roleOf($user) === Role::Owner;
        $members = $project->members()->where('guest', false)->get()->sortBy('name')->values()->map(static fn (User $m): array => [
            'id' => $m->id, 'name' => $m->name, 'email' => $owner || $m->id === $user->id ? $m->email : null,
            'role' => $m->getRelationValue('pivot')->role, 'you' => $m->id === $user->id])->all();

        return new JsonResponse([
            'members' => $members, 'mayManage' => $owner,
            'invitations' => $owner ? $this->people->waiting($project)->get()->sortBy('created_at')->values()->map(
                static fn (Invitation $i): array => [
                    'id' => $i->id, 'email' => $i->email, 'role' => $i->role,
                    'expiresAt' => $i->expires_at->toIso8601ZuluString()])->all() : [],
            'links' => $owner ? Link::query()->where('project_id', $project->id)
                ->where('ended_at', null)
                ->get()
                ->sortBy('created_at')
                ->values()
                ->map(static fn (Link $l): array => [
                    'id' => $l->id, 'name' => $l->name, 'createdAt' => $l->created_at->toIso8601ZuluString(),
                    'usedAt' => $l->used_at?->toIso8601ZuluString()])->all() : [],
        ]);
    }

    #[OA\Post(path: '/projects/{project}/invitations', operationId: 'invite', summary: 'Invite an address, to edit or to look',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(
            required: true,
            content: new OA\JsonContent(
                required: ['email', 'role'],
                properties: [
                    new OA\Property(property: 'email', type: 'string'),
                    new OA\Property(property: 'role', type: 'string', enum: ['editor', 'viewer']),
                ],
            ),
        ),
        responses: [
            new OA\Response(
                response: 201,
                description: 'The letter is in the outbox',
                content: new OA\JsonContent(required: ['id'], properties: [new OA\Property(property: 'id', type: 'string')]),
            ),
            new ProblemResponse(422, 'Not so'),
        ])]
    public function invite(Request $request, Project $project): JsonResponse
    {
        $body = new Fields($request->json()->all());

        return new JsonResponse(
            ['id' => $this->people->invite(
                $project,
                self::user($request),
                $body->string('email'),
                $body->choice('role', Role::class),
                config()->string('app.url'),
            )->id],
            201,
        );
    }

    #[OA\Delete(path: '/projects/{project}/invitations/{invitation}', operationId: 'withdraw', summary: 'Withdraw an invitation',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'invitation', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
        ],
        responses: [new OA\Response(response: 204, description: 'Withdrawn')])]
    public function withdraw(Project $project, string $invitation): JsonResponse
    {
        $this->people->waiting($project)->findOrFail($invitation)->update(['withdrawn_at' => now()]);

        return new JsonResponse(null, 204);
    }

    #[OA\Patch(path: '/projects/{project}/people/{user}', operationId: 'setRole', summary: 'Make someone owner, editor or viewer',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'user', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        requestBody: new OA\RequestBody(
            required: true,
            content: new OA\JsonContent(
                required: ['role'],
                properties: [new OA\Property(property: 'role', type: 'string', enum: ['owner', 'editor', 'viewer'])],
            ),
        ),
        responses: [
            new OA\Response(response: 204, description: 'Done'),
            new ProblemResponse(422, 'Not so'),
        ])]
    public function role(Request $request, Project $project, int $user): JsonResponse
    {
        $this->people->setRole($project, $user, (new Fields($request->json()->all()))->choice('role', Role::class));

        return new JsonResponse(null, 204);
    }

    #[OA\Delete(
        path: '/projects/{project}/people/{user}', operationId: 'removePerson',
        summary: 'Take someone out of a project; anyone may leave themselves',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'user', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        responses: [
            new OA\Response(response: 204, description: 'Gone'),
            new ProblemResponse(422, 'Not so'),
        ])]
    public function remove(Request $request, Project $project, int $user): JsonResponse
    {
        $me = self::user($request);
        if ($me->guest) {
            abort(403, 'A read-only link can only view. Whoever made it can end it.');
        }
        if ($me->id !== $user && $project->roleOf($me) !== Role::Owner) {
            abort(403, 'Only an owner may take someone out of a project.');
        }
        $this->people->setRole($project, $user, null);

        return new JsonResponse(null, 204);
    }

    #[OA\Post(path: '/projects/{project}/links', operationId: 'makeLink', summary: 'Make a read-only link, whose address is told only once',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(
            required: true,
            content: new OA\JsonContent(required: ['name'], properties: [new OA\Property(property: 'name', type: 'string')]),
        ),
        responses: [new OA\Response(
            response: 201,
            description: 'Made',
            content: new OA\JsonContent(
                required: ['id', 'address'],
                properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'address', type: 'string')],
            ),
        )])]
    public function makeLink(Request $request, Project $project): JsonResponse
    {
        [$link, $token] = $this->people->link($project, self::user($request), (new Fields($request->json()->all()))->string('name'));

        return new JsonResponse(['id' => $link->id, 'address' => rtrim(config()->string('app.url'), '/').'/look/'.$token], 201);
    }

    #[OA\Delete(
        path: '/projects/{project}/links/{link}', operationId: 'endLink', summary: 'End a read-only link, for whoever uses it now too',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'link', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
        ],
        responses: [new OA\Response(response: 204, description: 'Ended')])]
    public function endLink(Project $project, string $link): JsonResponse
    {
        $this->people->endLink(Link::query()->where('project_id', $project->id)->where('ended_at', null)->findOrFail($link));

        return new JsonResponse(null, 204);
    }

    #[OA\Post(
        path: '/projects/{project}/presence', operationId: 'presence',
        summary: 'Say that one is there, and hear who else is and which the latest change is',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(
            required: true,
            content: new OA\JsonContent(
                required: ['place'],
                properties: [new OA\Property(property: 'place', type: 'string', description: 'What one is looking at, in words')],
            ),
        ),
        responses: [new OA\Response(
            response: 200,
            description: 'Who is there',
            content: new OA\JsonContent(ref: '#/components/schemas/Presence'),
        )])]
    public function presence(Request $request, Project $project): JsonResponse
    {
        $user = self::user($request);
        DB::table('presences')->upsert(
            [
                'project_id' => $project->id,
                'user_id' => $user->id,
                'place' => mb_substr((new Fields($request->json()->all()))->string('place', ''), 0, 80),
                'seen_at' => now(),
            ],
            ['project_id', 'user_id'],
            ['place', 'seen_at'],
        );
        $here = DB::table('presences')->join('users', 'users.id', '=', 'presences.user_id')->join(
            'memberships',
            static fn ($on) => $on->on('memberships.user_id', '=', 'users.id')->on('memberships.project_id', '=', 'presences.project_id'),
        )
            ->where('presences.project_id', $project->id)
            ->where('presences.seen_at', '>=', now()->subSeconds(self::HERE))
            ->where('users.id', '!=', $user->id)
            ->orderBy('users.name')
            ->get(['users.id', 'users.name', 'memberships.role', 'presences.place']);

        return new JsonResponse(['number' => $project->change_number, 'role' => $project->roleOf($user)?->value,
            'here' => $here->map(
                static fn (\stdClass $h): array => ['id' => $h->id, 'name' => $h->name, 'role' => $h->role, 'place' => $h->place],
            )->all()]);
    }

    #[OA\Get(
        path: '/outbox', operationId: 'outbox', summary: 'The simulated outbox: letters that were sent in one’s name', responses: [
            new OA\Response(response: 200, description: 'Latest first', content: new OA\JsonContent(required: ['letters'], properties: [
                new OA\Property(property: 'letters', type: 'array', items: new OA\Items(ref: '#/components/schemas/Letter')),
            ]))])]
    public function outbox(Request $request): JsonResponse
    {
        return new JsonResponse(
            ['letters' => Letter::query()->where('user_id', self::user($request)->id)
                ->get()
                ->sortByDesc('id')
                ->take(100)
                ->values()
                ->map(static fn (Letter $l): array => [
                    'id' => $l->id, 'to' => $l->recipient, 'subject' => $l->subject, 'body' => $l->body,
                    'at' => $l->created_at->toIso8601ZuluString()])->all()]);
    }

    private static function user(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : throw Refusal::because('session.missing', 'Sign in first.');
    }
}
