<?php

declare(strict_types=1);

namespace App;

use App\Catalogue\CatalogueCommand;
use App\Catalogue\CatalogueStore;
use App\Demo\DemoCommand;
use App\Steep\PictureFiles;
use App\Studio\CurrentStudio;
use App\Support\OpenApiCommand;
use App\Support\StrictValidator;
use App\Support\SweepCommand;
use Carbon\FactoryImmutable;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Validator;
use Illuminate\Support\ServiceProvider;
use Psr\Clock\ClockInterface;

final class CrownServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(CurrentStudio::class);
        $this->app->singleton(
            PictureFiles::class,
            static fn (): PictureFiles => new PictureFiles(storage_path('app/photos')),
        );
        $this->app->singleton(ClockInterface::class, static fn (): FactoryImmutable => new FactoryImmutable());
        $this->app->singleton(
            CatalogueStore::class,
            static fn (): CatalogueStore => new CatalogueStore(
                base_path('data'),
                storage_path('framework/cache/catalogue.php'),
            ),
        );
    }

    public function boot(): void
    {
        Model::preventLazyLoading(! $this->app->isProduction());
        Model::preventSilentlyDiscardingAttributes();
        Validator::resolver(
            static fn (
                $translator,
                array $data,
                array $rules,
                array $messages,
                array $attributes,
            ): StrictValidator => new StrictValidator($translator, $data, $rules, $messages, $attributes),
        );
        $this->commands([CatalogueCommand::class, OpenApiCommand::class, DemoCommand::class, SweepCommand::class]);
        RateLimiter::for(
            'sign-in',
            static fn (Request $request): Limit => Limit::perMinute(5)
                ->by(
                    mb_strtolower(is_string($request->input('email')) ? $request->input('email') : '')
                        .'|'
                        .$request->ip(),
                )
                ->response(
                    static fn (Request $request, array $headers): JsonResponse => new JsonResponse(
                        [
                            'message' => ($message = sprintf(
                                'Too many tries. Wait %d seconds, then try again.',
                                $headers['Retry-After'] ?? 60,
                            )),
                            'errors' => ['email' => [$message]],
                        ],
                        429,
                        $headers,
                    ),
                ),
        );
    }
}
