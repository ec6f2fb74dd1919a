<?php

declare(strict_types=1);

namespace App;

use App\Catalogue\CatalogueCommand;
use App\Catalogue\CatalogueStore;
use App\Demo\DemoCommand;
use App\Studio\CurrentStudio;
use App\Support\OpenApiCommand;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;

final class CrownServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(CurrentStudio::class);
        $this->app->singleton(CatalogueStore::class, static fn (): CatalogueStore => new CatalogueStore(base_path('data'), storage_path('framework/cache/catalogue.php')));
    }

    public function boot(): void
    {
        Model::preventLazyLoading(! $this->app->isProduction());
        Model::preventSilentlyDiscardingAttributes();
        $this->commands([CatalogueCommand::class, OpenApiCommand::class, DemoCommand::class]);
        RateLimiter::for('sign-in', static fn (Request $request): Limit => Limit::perMinute(5)
            ->by(mb_strtolower($request->string('email')->value()).'|'.$request->ip())
            ->response(static fn (Request $request, array $headers): JsonResponse => new JsonResponse([
                'message' => $message = sprintf('Too many tries. Wait %d seconds, then try again.', $headers['Retry-After'] ?? 60),
                'errors' => ['email' => [$message]],
            ], 429, $headers)));
    }
}
