<?php

declare(strict_types=1);

namespace App;

use App\Catalogue\CatalogueCommand;
use App\Catalogue\CatalogueStore;
use App\Demo\DemoCommand;
use App\Studio\Accounts;
use App\Studio\CurrentStudio;
use App\Studio\SparingSessions;
use App\Studio\User;
use App\Support\OpenApiCommand;
use Illuminate\Auth\AuthManager;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\Application;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Session\SessionManager;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;

final class CrownServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(CurrentStudio::class);
        $this->app->bind(Accounts::class, static fn (Application $app): Accounts => new Accounts($app->make('hash'), User::class));
        $this->app->singleton(CatalogueStore::class, static fn (): CatalogueStore => new CatalogueStore(base_path('data'), storage_path('framework/cache/catalogue.php')));
    }

    public function boot(): void
    {
        Model::preventLazyLoading(! $this->app->isProduction());
        Model::preventSilentlyDiscardingAttributes();
        // When they are made, not now: the workers that stay make them anew for everyone who asks.
        $this->callAfterResolving('session', static fn (SessionManager $sessions): SessionManager => $sessions->extend('file', static fn (Application $app): SparingSessions => new SparingSessions($app->make('files'), config('session.files'), config('session.lifetime'))));
        $this->callAfterResolving('auth', static fn (AuthManager $auth): AuthManager => $auth->provider('accounts', static fn (Application $app): Accounts => $app->make(Accounts::class)));
        $this->commands([CatalogueCommand::class, OpenApiCommand::class, DemoCommand::class]);
        RateLimiter::for('sign-in', static fn (Request $request): Limit => Limit::perMinute(5)
            ->by(mb_strtolower($request->string('email')->value()).'|'.$request->ip())
            ->response(static fn (Request $request, array $headers): JsonResponse => new JsonResponse([
                'message' => $message = sprintf('Too many tries. Wait %d seconds, then try again.', $headers['Retry-After'] ?? 60),
                'errors' => ['email' => [$message]],
            ], 429, $headers)));
    }
}
