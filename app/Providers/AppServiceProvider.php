<?php

declare(strict_types=1);

namespace App\Providers;

use App\Models\Project;
use App\Policies\ProjectPolicy;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Isleward\Core\Edit\Ids;
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
            Limit::perMinute(10)->by('email:'.mb_strtolower((string) $request->string('email'))),
            Limit::perMinute(60)->by('address:'.$request->ip()),
        ]);
        RateLimiter::for('entrance', static fn (Request $request): Limit => Limit::perMinute(60)->by('entrance:'.$request->ip()));
        RateLimiter::for('invite', static fn (Request $request): Limit => Limit::perMinute(20)->by('invite:'.$request->user()?->id));
    }
}
