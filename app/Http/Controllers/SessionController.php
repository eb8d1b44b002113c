<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Api\ProblemResponse;
use App\Http\Problems;
use App\Models\User;
use App\People\Email;
use App\People\Passwords;
use App\People\People;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use Isleward\Core\Measure\Fields;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'User', required: ['name', 'email', 'guest'], properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'email', type: 'string'),
    new OA\Property(property: 'guest', type: 'boolean', description: 'By a read-only link'),
])]
final class SessionController
{
    #[OA\Get(path: '/session', operationId: 'whoAmI', summary: 'Who is signed in', responses: [
        new OA\Response(response: 200, description: 'Null when nobody is', content: new OA\JsonContent(required: [
            'user', 'first',
        ], properties: [
            new OA\Property(property: 'first', type: 'boolean', description: 'Nobody has an account yet: whoever comes first makes it'),
            new OA\Property(property: 'user', anyOf: [new OA\Schema(ref: '#/components/schemas/User'), new OA\Schema(type: 'null')]),
        ])),
    ])]
    public function show(Request $request): JsonResponse
    {
        return new JsonResponse(self::standing($request));
    }

    /**
     * Who is signed in, as the page says it too.
     *
     * @return array{user: array{name: string, email: string, guest: bool}|null, first: bool}
     */
    public static function standing(Request $request): array
    {
        $user = $request->user();

        return ['user' => self::told($user), 'first' => $user === null && People::isEmpty()];
    }

    #[OA\Post(path: '/accounts/first', operationId: 'firstAccount', summary: 'Make the first account of an empty installation, and sign in',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['name', 'email', 'password'], properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'email', type: 'string'),
            new OA\Property(property: 'password', type: 'string'),
        ])),
        responses: [
            new OA\Response(response: 200, description: 'Signed in', content: new OA\JsonContent(
                required: ['user'],
                properties: [new OA\Property(property: 'user', ref: '#/components/schemas/User')],
            )),
            new ProblemResponse(422, 'There is one already, or it cannot be so'),
        ])]
    public function first(Request $request, People $people): JsonResponse
    {
        $body = new Fields($request->json()->all());
        $user = $people->first($body->string('email'), $body->string('name'), $body->string('password'));
        Auth::login($user);
        $request->session()->regenerate();

        return $this->answer($user);
    }

    #[OA\Post(path: '/session', operationId: 'signIn', summary: 'Sign in',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['email', 'password'], properties: [
            new OA\Property(property: 'email', type: 'string'),
            new OA\Property(property: 'password', type: 'string'),
        ])),
        responses: [
            new OA\Response(
                response: 200,
                description: 'Signed in',
                content: new OA\JsonContent(
                    required: ['user'],
                    properties: [new OA\Property(property: 'user', ref: '#/components/schemas/User')],
                ),
            ),
            new ProblemResponse(422, 'Wrong address or password'),
        ])]
    public function create(Request $request): JsonResponse
    {
        /** @var array{email: string, password: string} $given */
        $given = $request->validate(['email' => 'required|string|max:255', 'password' => 'required|string|max:255']);
        $user = User::query()->where('email', Email::of($given['email']))->where('guest', false)->first();
        // whoever there is or is not: the same work, so that the time tells nothing
        $right = Hash::check($given['password'], $user === null ? self::nobody() : $user->getAuthPassword());
        if ($user === null || ! $right) {
            return Problems::problem(422, 'session.refused', 'The email or the password is wrong.');
        }
        Auth::login($user);
        $request->session()->regenerate();

        return $this->answer($request->user());
    }

    #[OA\Post(path: '/passwords', operationId: 'passwordForgotten', summary: 'Ask for a link that sets a new password',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['email'], properties: [
            new OA\Property(property: 'email', type: 'string'),
        ])),
        responses: [new OA\Response(response: 204, description: 'Sent, where the address has an account; which is not told')])]
    public function forgotten(Request $request, Passwords $passwords): JsonResponse
    {
        $passwords->forgotten((new Fields($request->json()->all()))->string('email'), config()->string('app.url'));

        return new JsonResponse(null, 204);
    }

    #[OA\Post(path: '/passwords/{token}', operationId: 'setPassword', summary: 'Set a new password by a link, and sign in',
        parameters: [new OA\Parameter(name: 'token', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['password'], properties: [
            new OA\Property(property: 'password', type: 'string'),
        ])),
        responses: [
            new OA\Response(response: 200, description: 'Signed in; everywhere else signed out', content: new OA\JsonContent(
                required: ['user'],
                properties: [new OA\Property(property: 'user', ref: '#/components/schemas/User')],
            )),
            new ProblemResponse(422, 'The link is over, or the password cannot be'),
        ])]
    public function setPassword(Request $request, string $token, Passwords $passwords): JsonResponse
    {
        $user = $passwords->set($token, (new Fields($request->json()->all()))->string('password'));
        Auth::login($user);
        $request->session()->regenerate();

        return $this->answer($user);
    }

    #[OA\Delete(
        path: '/session',
        operationId: 'signOut',
        summary: 'Sign out',
        responses: [new OA\Response(response: 204, description: 'Signed out')],
    )]
    public function destroy(Request $request): JsonResponse
    {
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new JsonResponse(null, 204);
    }

    /** A hash of no password, as dear to check as that of one. */
    private static function nobody(): string
    {
        return sprintf('$2y$%02d$%s', config('hashing.bcrypt.rounds', 12), str_pad('noAccountHasThisAsItsu', 53, 'k'));
    }

    private function answer(?User $user): JsonResponse
    {
        return new JsonResponse(['user' => self::told($user)]);
    }

    /** @return array{name: string, email: string, guest: bool}|null */
    private static function told(?User $user): ?array
    {
        return $user === null ? null : [
            'name' => $user->name, 'email' => $user->guest ? '' : $user->email, 'guest' => $user->guest,
        ];
    }
}
