<?php

declare(strict_types=1);

use App\Http\Middleware\KnownHost;
use App\Http\Middleware\Numbered;
use App\Http\Middleware\ReadsJson;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Outage;
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
        $middleware->prepend(KnownHost::class);
        $middleware->prepend(SecurityHeaders::class);
        $middleware->prepend(Numbered::class);
        $middleware->prependToGroup('web', ReadsJson::class);
        $middleware->convertEmptyStringsToNull(except: [fn (Request $request): bool => $request->is('api/*')]);
        $middleware->redirectGuestsTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontReport(\Isleward\Core\Measure\Refusal::class);
        $exceptions->shouldRenderJsonWhen(Problems::isApi(...));
        $exceptions->render(fn (\Throwable $e, Request $request) => Problems::isApi($request) ? Problems::respond($e) : Problems::page($e));
        // what does not answer is seen from outside; a log of every request that met it helps nobody
        $exceptions->dontReportWhen(static fn (\Throwable $e): bool => Outage::of($e) === Outage::Database);
        $exceptions->dontReport([App\Tasks\TooMany::class, App\Files\Waiting::class, App\Editing\Cancelled::class]);
    })
    ->withCommands([
        App\Console\DemoCommand::class, App\Console\ExportCommand::class, App\Console\OpenApiCommand::class,
        App\Console\BenchProjectCommand::class, App\Console\TrialCommand::class, App\Console\PersonCommand::class,
        App\Console\BackupCommand::class, App\Console\RestoreCommand::class,
    ])
    ->create();
