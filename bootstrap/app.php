<?php

declare(strict_types=1);

use App\Http\Middleware\ReadsJson;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Problems;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Request;

// Lengths go to the database as they are: the shortest text that reads back as the same number.
ini_set('precision', '-1');
ini_set('serialize_precision', '-1');

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', commands: __DIR__.'/../routes/console.php')
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->remove(\Illuminate\Http\Middleware\HandleCors::class);
        $middleware->prepend(SecurityHeaders::class);
        $middleware->prependToGroup('web', ReadsJson::class);
        $middleware->convertEmptyStringsToNull(except: [fn (Request $request): bool => $request->is('api/*')]);
        $middleware->redirectGuestsTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontReport(\Isleward\Core\Refusal::class);
        $exceptions->shouldRenderJsonWhen(fn (Request $request): bool => $request->is('api/*'));
        $exceptions->render(fn (\Throwable $e, Request $request) => $request->is('api/*') ? Problems::respond($e) : null);
    })
    ->withCommands([App\Console\DemoCommand::class, App\Console\ExportCommand::class, App\Console\OpenApiCommand::class, App\Console\BenchProjectCommand::class])
    ->create();
