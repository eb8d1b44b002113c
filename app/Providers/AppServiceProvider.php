<?php

declare(strict_types=1);

namespace App\Providers;

use App\Models\Project;
use App\People\Email;
use App\Policies\ProjectPolicy;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Isleward\Core\Design\Ids;
use Isleward\Core\Edit\RandomIds;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind(Ids::class, RandomIds::class);
    }

    public function boot(): void
    {
        Gate::policy(Project::class, ProjectPolicy::class);
        RateLimiter::for('sign-in', static fn (Request $request): array => [
            Limit::perMinute(10)->by('account:'.hash('sha256', Email::of(is_string($email = $request->json('email')) ? $email : ''))),
            Limit::perMinute(60)->by('ip:'.$request->ip()),
        ]);
        RateLimiter::for('entrance', static fn (Request $request): Limit => Limit::perMinute(60)->by('entrance:'.$request->ip()));
        RateLimiter::for('uploads', static fn (Request $request): array => [
            Limit::perMinute(30)->by('uploads:person:'.$request->user()?->id),
            Limit::perMinute(60)->by('uploads:project:'.self::project($request)),
        ]);
        RateLimiter::for('invite', static fn (Request $request): Limit => Limit::perMinute(20)->by('invite:'.$request->user()?->id));
    }

    private static function project(Request $request): string
    {
        $project = $request->route('project');

        return $project instanceof Project ? $project->id : (is_string($project) ? $project : '');
    }
}
