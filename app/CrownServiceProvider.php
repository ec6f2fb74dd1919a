<?php

declare(strict_types=1);

namespace App;

use App\Catalogue\BringsOils;
use App\Catalogue\CatalogueCommand;
use App\Catalogue\CatalogueStore;
use App\Catalogue\KnowsBottles;
use App\Catalogue\KnowsExperience;
use App\Catalogue\StudioStock;
use App\Demo\DemoCommand;
use App\Formula\KnowsProcessLoss;
use App\Make\OpenWork;
use App\Make\PastBatches;
use App\Pantry\Cupboard;
use App\Pantry\KnowsPlans;
use App\Pantry\LotBottles;
use App\Pantry\PictureFiles;
use App\Session\PasswordCommand;
use App\Session\PersonCommand;
use App\Session\StudioCommand;
use App\Steep\SteepedOils;
use App\Steep\SweepCommand;
use App\Studio\CurrentStudio;
use App\Studio\Day;
use App\Studio\Role;
use App\Studio\User;
use App\Support\ConnectsOnce;
use App\Support\OpenApiCommand;
use App\Support\StrictValidator;
use App\Support\WaitsOnce;
use Carbon\FactoryImmutable;
use Closure;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Contracts\Translation\Translator;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Validator;
use Illuminate\Support\ServiceProvider;
use PDO;
use Psr\Clock\ClockInterface;

/** Ties the rooms together: who fulfils which interface, and what one request shares. */
final class CrownServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        // A database that stands still is waited for once.
        $this->app->bind('db.connector.mariadb', ConnectsOnce::class);
        Connection::resolverFor(
            'mariadb',
            static fn (PDO|Closure $pdo, string $database, string $prefix, array $config): WaitsOnce => new WaitsOnce(
                $pdo,
                $database,
                $prefix,
                $config,
            ),
        );
        $this->app->scoped(CurrentStudio::class);
        $this->app->singleton(
            PictureFiles::class,
            static fn (): PictureFiles => new PictureFiles(storage_path('app/photos')),
        );
        // Who fulfils what a room below asks of the rooms above it.
        $this->app->bind(BringsOils::class, SteepedOils::class);
        $this->app->bind(KnowsExperience::class, PastBatches::class);
        $this->app->bind(KnowsBottles::class, LotBottles::class);
        $this->app->bind(KnowsProcessLoss::class, PastBatches::class);
        $this->app->bind(KnowsPlans::class, OpenWork::class);
        $this->app
            ->when(StudioStock::class)
            ->needs('$stocks')
            ->give(static fn (Application $app): array => [
                $app->make(Cupboard::class),
                $app->make(SteepedOils::class),
            ]);
        $this->app->singleton(ClockInterface::class, static fn (): FactoryImmutable => new FactoryImmutable());
        $this->app->scoped(Day::class);
        $this->app->singleton(
            CatalogueStore::class,
            static fn (): CatalogueStore => new CatalogueStore(
                base_path('data'),
                storage_path('framework/cache/catalogue.php'),
                storage_path('framework/cache/lexicons.php'),
                storage_path('framework/cache/words.php'),
            ),
        );
    }

    public function boot(): void
    {
        Model::preventLazyLoading(! $this->app->isProduction());
        Model::preventSilentlyDiscardingAttributes();
        Validator::resolver(
            static fn (
                Translator $translator,
                array $data,
                array $rules,
                array $messages,
                array $attributes,
            ): StrictValidator => new StrictValidator($translator, $data, $rules, $messages, $attributes),
        );
        $this->commands([
            CatalogueCommand::class,
            OpenApiCommand::class,
            DemoCommand::class,
            SweepCommand::class,
            StudioCommand::class,
            PersonCommand::class,
            PasswordCommand::class,
        ]);
        $proxies = config('crown.proxies');
        TrustProxies::at(is_array($proxies) ? array_values($proxies) : []);
        TrustProxies::withHeaders(Request::HEADER_X_FORWARDED_FOR | Request::HEADER_X_FORWARDED_PROTO);
        foreach (Role::RIGHTS as $right) {
            Gate::define($right, static fn (User $user): bool => $user->role->may($right));
        }
    }
}
