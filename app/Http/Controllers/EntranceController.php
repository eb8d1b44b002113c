<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api\ProblemResponse;
use App\Models\Invitation;
use App\Models\Link;
use App\Models\User;
use App\People\People;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use OpenApi\Attributes as OA;

/** Ways into a project for those who are not in it yet: an invitation, a read-only link. */
#[OA\Schema(
    schema: 'Letter', description: 'A letter in the simulated outbox', required: ['id', 'to', 'subject', 'body', 'at'], properties: [
        new OA\Property(property: 'id', type: 'string'),
        new OA\Property(property: 'to', type: 'string'),
        new OA\Property(property: 'subject', type: 'string'),
        new OA\Property(property: 'body', type: 'string'),
        new OA\Property(property: 'at', type: 'string'),
    ])]
#[OA\Schema(schema: 'Entrance', required: ['project', 'by', 'email', 'role', 'over', 'hasAccount'], properties: [
    new OA\Property(property: 'project', type: 'string'),
    new OA\Property(property: 'by', type: 'string'),
    new OA\Property(property: 'email', type: 'string'),
    new OA\Property(property: 'role', type: 'string', enum: ['owner', 'editor', 'viewer']),
    new OA\Property(property: 'over', type: 'string', nullable: true),
    new OA\Property(property: 'hasAccount', type: 'boolean'),
    new OA\Property(property: 'id', type: 'string', nullable: true),
])]
final readonly class EntranceController
{
    public function __construct(private People $people)
    {
    }

    #[OA\Get(path: '/invitations/{token}', operationId: 'invitation', summary: 'What an invitation is to',
        parameters: [new OA\Parameter(name: 'token', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [
            new OA\Response(response: 200, description: 'It', content: new OA\JsonContent(ref: '#/components/schemas/Entrance')),
            new ProblemResponse(404, 'None'),
        ])]
    public function invitation(string $token): JsonResponse
    {
        $invitation = Invitation::ofToken($token) ?? abort(404);

        return new JsonResponse(
            [
                'project' => $invitation->project->name,
                'by' => $invitation->user->name,
                'email' => $invitation->email,
                'role' => $invitation->role,
                'over' => $invitation->whyNot(),
                'hasAccount' => User::query()->where('email', $invitation->email)->exists(),
            ],
        );
    }

    #[OA\Post(
        path: '/invitations/{token}', operationId: 'join', summary: 'Take an invitation up, with a new account or as whoever is signed in',
        parameters: [new OA\Parameter(name: 'token', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(
            required: true,
            content: new OA\JsonContent(
                properties: [new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'password', type: 'string')],
            ),
        ),
        responses: [
            new OA\Response(
                response: 200,
                description: 'In',
                content: new OA\JsonContent(
                    required: ['id'],
                    properties: [new OA\Property(property: 'id', type: 'string', description: 'of the project')],
                ),
            ),
            new ProblemResponse(422, 'Not so'),
        ])]
    public function join(Request $request, string $token): JsonResponse
    {
        $invitation = Invitation::ofToken($token) ?? abort(404);
        $body = new Fields($request->json()->all());
        $signedIn = $request->user();
        $user = $this->people->join(
            $invitation,
            $signedIn instanceof User ? $signedIn : null,
            $body->stringOrNull('name'),
            $body->stringOrNull('password'),
        );
        if ($signedIn?->id !== $user->id) {
            Auth::login($user);
            $request->session()->regenerate();
        }

        return new JsonResponse(['id' => $invitation->project_id]);
    }

    #[OA\Get(path: '/links/{token}', operationId: 'link', summary: 'What a read-only link leads to',
        parameters: [new OA\Parameter(name: 'token', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [
            new OA\Response(response: 200, description: 'It', content: new OA\JsonContent(ref: '#/components/schemas/Entrance')),
            new ProblemResponse(404, 'None'),
        ])]
    public function link(Request $request, string $token): JsonResponse
    {
        $link = Link::ofToken($token) ?? abort(404);
        $user = $request->user();
        $inside = $user instanceof User && $link->project->roleOf($user) !== null;

        return new JsonResponse(
            [
                'project' => $link->project->name,
                'by' => '',
                'email' => '',
                'role' => 'viewer',
                'over' => self::over($link),
                'hasAccount' => $inside,
                'id' => $inside ? $link->project_id : null,
            ],
        );
    }

    #[OA\Post(path: '/links/{token}', operationId: 'openLink', summary: 'Come in by a read-only link, as its guest',
        parameters: [new OA\Parameter(name: 'token', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [
            new OA\Response(
                response: 200,
                description: 'In',
                content: new OA\JsonContent(
                    required: ['id'],
                    properties: [new OA\Property(property: 'id', type: 'string', description: 'of the project')],
                ),
            ),
            new ProblemResponse(422, 'Ended'),
        ])]
    public function open(Request $request, string $token): JsonResponse
    {
        $link = Link::ofToken($token) ?? abort(404);
        $over = self::over($link);
        if ($over !== null) {
            throw Refusal::because('link.ended', $over);
        }
        $user = $request->user();
        if (! $user instanceof User || $link->project->roleOf($user) === null) {
            Auth::login($link->guest);
            $request->session()->regenerate();
        }
        $link->update(['used_at' => now()]);

        return new JsonResponse(['id' => $link->project_id]);
    }

    private static function over(Link $link): ?string
    {
        return $link->ended_at === null
                    ? null
                    : sprintf('This link was ended on %s. Ask whoever sent it for another.', $link->ended_at->format('j F Y'));
    }
}
