<?php

declare(strict_types=1);

use App\Http\Controllers\AccountController;
use App\Http\Controllers\BenchController;
use App\Http\Controllers\ChangeController;
use App\Http\Controllers\DrawingController;
use App\Http\Controllers\EditController;
use App\Http\Controllers\EntranceController;
use App\Http\Controllers\ExportController;
use App\Http\Controllers\GatherController;
use App\Http\Controllers\GivenController;
use App\Http\Controllers\GridBenchController;
use App\Http\Controllers\HealthController;
use App\Http\Controllers\LengthController;
use App\Http\Controllers\PageController;
use App\Http\Controllers\PeopleController;
use App\Http\Controllers\ProjectController;
use App\Http\Controllers\RevisionController;
use App\Http\Controllers\ScheduleController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SheetController;
use App\Http\Controllers\TaskController;
use App\Http\Controllers\TracingController;
use App\Http\Controllers\UnitTypeController;
use Illuminate\Support\Facades\Route;

if ((bool) config('isleward.bench')) {
    require __DIR__.'/bench.php';
}

Route::get('health', HealthController::class)->withoutMiddleware('web');

Route::prefix('api')->group(function (): void {
    Route::get('session', [SessionController::class, 'show']);
    Route::post('session', [SessionController::class, 'create'])->middleware('throttle:sign-in');
    Route::post('accounts/first', [SessionController::class, 'first'])->middleware('throttle:sign-in');
    Route::post('passwords', [SessionController::class, 'forgotten'])->middleware('throttle:sign-in');
    Route::post('passwords/{token}', [SessionController::class, 'setPassword'])->middleware('throttle:entrance');
    Route::get('invitations/{token}', [EntranceController::class, 'invitation'])->middleware('throttle:entrance');
    Route::post('invitations/{token}', [EntranceController::class, 'join'])->middleware('throttle:entrance');
    Route::get('links/{token}', [EntranceController::class, 'link'])->middleware('throttle:entrance');
    Route::post('links/{token}', [EntranceController::class, 'open'])->middleware('throttle:entrance');

    Route::middleware('auth')->group(function (): void {
        Route::delete('session', [SessionController::class, 'destroy']);
        Route::get('account', [AccountController::class, 'show']);
        Route::patch('account', [AccountController::class, 'change'])->middleware('throttle:sign-in');
        Route::delete('account', [AccountController::class, 'remove'])->middleware('throttle:sign-in');
        Route::delete('account/sessions', [AccountController::class, 'endOthers']);
        Route::delete('account/sessions/{session}', [AccountController::class, 'end']);
        Route::get('lengths', LengthController::class);
        Route::get('outbox', [PeopleController::class, 'outbox']);
        Route::get('projects', [ProjectController::class, 'index']);
        Route::post('projects', [ProjectController::class, 'create']);

        Route::prefix('projects/{project}')->group(function (): void {
            Route::middleware('can:view,project')->group(function (): void {
                Route::get('/', [ProjectController::class, 'show']);
                Route::get('picture', [ProjectController::class, 'picture']);
                Route::post('duplicates', [ProjectController::class, 'duplicate']);
                Route::get('elevations/{frontage}', [DrawingController::class, 'elevation']);
                Route::get('plans/{storey}', [DrawingController::class, 'plan']);
                Route::get('sections', [DrawingController::class, 'section']);
                Route::get('scenes/{frontage}', [DrawingController::class, 'scene']);
                Route::get('schedules/{layout}', [ScheduleController::class, 'show']);
                Route::post('schedules', [ScheduleController::class, 'try']);
                Route::get('files/{file}', [TracingController::class, 'file']);
                Route::get('marks/{storey}', [TracingController::class, 'marks']);
                Route::get('givens/{given}/held', [GivenController::class, 'held']);
                Route::get('gather', GatherController::class);
                Route::get('people', [PeopleController::class, 'index']);
                Route::delete('people/{user}', [PeopleController::class, 'remove'])->where('user', '[0-9]{1,18}');
                Route::post('presence', [PeopleController::class, 'presence']);
                Route::get('types/{type}', [UnitTypeController::class, 'show']);
                Route::get('unused-types', [UnitTypeController::class, 'unused']);
                Route::get('type-drawings', [UnitTypeController::class, 'drawings']);
                Route::post('bench', [BenchController::class, 'view']);
                Route::post('bench/solid', [BenchController::class, 'solid']);
                Route::post('grid-bench', [GridBenchController::class, 'view']);
                Route::get('types/{type}/sheet', [SheetController::class, 'show']);
                Route::post('sheet-plans', [SheetController::class, 'draw']);
                Route::get('exports/sheet-plans/{sheet}.{format}', [SheetController::class, 'planFile'])->whereIn('format', ['svg', 'pdf']);
                Route::post('sheets', [SheetController::class, 'make']);
                Route::get('tasks/{task}', [TaskController::class, 'show']);
                Route::delete('tasks/{task}', [TaskController::class, 'stop']);
                Route::get('tasks/{task}/file', [TaskController::class, 'file']);
                Route::get('revisions', [RevisionController::class, 'index']);
                Route::get('revisions/{letter}/difference', [RevisionController::class, 'difference']);
                Route::get('changes', [ChangeController::class, 'index']);
                Route::get('exports/elevation.svg', [ExportController::class, 'svg']);
                Route::get('exports/model.glb', [ExportController::class, 'glb']);
                Route::post(
                    'exports/schedule.{format}',
                    [ExportController::class, 'triedSchedule'],
                )->whereIn('format', ['csv', 'xlsx', 'pdf']);
                Route::get(
                    'exports/schedules/{layout}.{format}',
                    [ExportController::class, 'schedule'],
                )->whereIn('format', ['csv', 'xlsx', 'pdf']);
                Route::get('exports/sheets/{type}.{format}', [SheetController::class, 'file'])->whereIn('format', ['svg', 'pdf']);
                Route::get('exports/types.json', [ExportController::class, 'types']);
            });
            Route::middleware('can:manage,project')->group(function (): void {
                Route::post('invitations', [PeopleController::class, 'invite'])->middleware('throttle:invite');
                Route::delete('invitations/{invitation}', [PeopleController::class, 'withdraw']);
                Route::patch('people/{user}', [PeopleController::class, 'role'])->where('user', '[0-9]{1,18}');
                Route::post('links', [PeopleController::class, 'makeLink']);
                Route::delete('links/{link}', [PeopleController::class, 'endLink']);
            });
            Route::middleware('can:edit,project')->group(function (): void {
                Route::post('edits', [EditController::class, 'run']);
                Route::post('revisions', [RevisionController::class, 'keep']);
                Route::post('revisions/{letter}/restore', [RevisionController::class, 'restore']);
                Route::post('uploads/tracing', [TracingController::class, 'upload'])->middleware('throttle:uploads');
                Route::post('uploads/schedule', [GivenController::class, 'upload'])->middleware('throttle:uploads');
                Route::post('readings', [GivenController::class, 'reading']);
                Route::post('undo', [EditController::class, 'undo']);
                Route::post('redo', [EditController::class, 'redo']);
            });
            Route::patch('/', [ProjectController::class, 'keep'])->middleware('can:remove,project');
            Route::delete('/', [ProjectController::class, 'destroy'])->middleware('can:remove,project');
        });
    });
    Route::any('/', static fn () => abort(404));
    Route::any('{any}', static fn () => abort(404))->where('any', '.*');
});

Route::get('{any?}', PageController::class)->where('any', '.*');
