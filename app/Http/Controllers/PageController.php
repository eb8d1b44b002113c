<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Scripts;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/**
 * The page that every view of the interface begins as. It says who is signed in and names what its view begins with, so that on a slow
 * line one answer is not waited for after another.
 */
final class PageController
{
    public function __invoke(Request $request): Response
    {
        $path = $request->path();
        $user = $request->user();
        [$scripts, $then, $answers] = match (true) {
            preg_match('~^projects/[\w-]+$~', $path) === 1 => [
                ['desk'],
                ['menus', 'beside'],
                ["/api/$path", "/api/$path/elevations/first"],
            ],
            $path === '/' && $user !== null => [['ProjectsPage', 'menus'], [], ['/api/projects']],
            default => [[], [], []],
        };
        $asked = [
            'scripts' => Scripts::named(...$scripts), 'then' => Scripts::named(...$then), 'answers' => $user === null ? [] : $answers,
        ];

        // it names a person: what the browser kept of it must not stand for somebody else
        return new Response(
            view('app', [...$asked, 'session' => SessionController::standing($request)]),
            200,
            ['Cache-Control' => 'no-store'],
        );
    }
}
