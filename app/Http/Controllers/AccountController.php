<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api\ProblemResponse;
use App\Models\User;
use App\People\Accounts;
use App\People\Leaving;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Isleward\Core\Measure\Fields;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'SignedIn', required: ['id', 'current', 'address', 'agent', 'last'], properties: [
    new OA\Property(property: 'id', type: 'string', description: 'By which it is ended'),
    new OA\Property(property: 'current', type: 'boolean', description: 'It is the one that asks'),
    new OA\Property(property: 'address', type: 'string', description: 'From which it last came; empty where that is not known'),
    new OA\Property(property: 'agent', type: 'string', description: 'What the browser says of itself'),
    new OA\Property(property: 'last', type: 'string', format: 'date-time'),
])]
#[OA\Schema(schema: 'Account', required: ['name', 'email', 'sessions', 'alone'], properties: [
    new OA\Property(property: 'alone', type: 'array', description: 'Projects nobody else owns, and who shares each', items: new OA\Items(
        required: ['id', 'name', 'others'], properties: [
            new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'others', type: 'array', items: new OA\Items(required: ['id', 'name'], properties: [
                new OA\Property(property: 'id', type: 'integer'), new OA\Property(property: 'name', type: 'string'),
            ], type: 'object')),
        ], type: 'object')),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'email', type: 'string'),
    new OA\Property(property: 'sessions', type: 'array', items: new OA\Items(ref: '#/components/schemas/SignedIn'),
        description: 'The latest first'),
])]
/** What somebody says of themselves, and where they are signed in. */
final class AccountController
{
    public function __construct(private readonly Accounts $accounts, private readonly Leaving $leaving)
    {
    }

    #[OA\Get(path: '/account', operationId: 'account', summary: 'Your account, and where you are signed in', responses: [
        new OA\Response(response: 200, description: 'As it is', content: new OA\JsonContent(ref: '#/components/schemas/Account')),
        new ProblemResponse(403, 'Whoever comes by a link has none'),
    ])]
    public function show(Request $request): JsonResponse
    {
        return $this->told($request);
    }

    #[OA\Patch(path: '/account', operationId: 'changeAccount', summary: 'Change your name, email or password',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'email', type: 'string', description: 'Only with the password of now'),
            new OA\Property(property: 'newPassword', type: 'string', description: 'Only with the password of now; ends all other sessions'),
            new OA\Property(property: 'password', type: 'string', description: 'The one of now'),
        ])),
        responses: [
            new OA\Response(response: 200, description: 'As it is then', content: new OA\JsonContent(ref: '#/components/schemas/Account')),
            new ProblemResponse(403, 'Whoever comes by a link has none'),
            new ProblemResponse(422, 'It cannot be so: the field and why'),
        ])]
    public function change(Request $request): JsonResponse
    {
        $this->accounts->change($this->person($request), new Fields($request->json()->all()), $request->session()->getId());

        return $this->told($request);
    }

    #[OA\Delete(path: '/account', operationId: 'removeAccount', summary: 'Delete your account, saying what becomes of your projects',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['password'], properties: [
            new OA\Property(property: 'password', type: 'string'),
            new OA\Property(
                property: 'heirs', type: 'object', description: 'By project: the person who owns it then, or “delete”',
                additionalProperties: new OA\AdditionalProperties(oneOf: [
                    new OA\Schema(type: 'integer'), new OA\Schema(type: 'string', enum: ['delete']),
                ]),
            ),
        ])),
        responses: [
            new OA\Response(response: 204, description: 'Deleted, and signed out'),
            new ProblemResponse(422, 'It cannot be so: the field and why'),
        ])]
    public function remove(Request $request): JsonResponse
    {
        $this->leaving->leave($this->person($request), new Fields($request->json()->all()));
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new JsonResponse(null, 204);
    }

    #[OA\Delete(path: '/account/sessions/{session}', operationId: 'endSession', summary: 'Sign out elsewhere: one session',
        parameters: [new OA\Parameter(name: 'session', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [
            new OA\Response(response: 200, description: 'What is left', content: new OA\JsonContent(ref: '#/components/schemas/Account')),
            new ProblemResponse(404, 'It is over already'),
        ])]
    public function end(Request $request, string $session): JsonResponse
    {
        $this->accounts->end($this->person($request), $session, $request->session()->getId());

        return $this->told($request);
    }

    #[OA\Delete(path: '/account/sessions', operationId: 'endOtherSessions', summary: 'Sign out everywhere else', responses: [
        new OA\Response(response: 200, description: 'What is left', content: new OA\JsonContent(ref: '#/components/schemas/Account')),
    ])]
    public function endOthers(Request $request): JsonResponse
    {
        $this->accounts->endOthers($this->person($request), $request->session()->getId());

        return $this->told($request);
    }

    private function person(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User && ! $user->guest ? $user : abort(403, 'Whoever comes by a link has no account.');
    }

    private function told(Request $request): JsonResponse
    {
        $user = $this->person($request);

        return new JsonResponse([
            'alone' => $this->leaving->alone($user),
            'name' => $user->name, 'email' => $user->email, 'sessions' => $this->accounts->sessions($user, $request->session()->getId()),
        ]);
    }
}
