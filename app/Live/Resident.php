<?php

declare(strict_types=1);

namespace App\Live;

use App\Catalogue\CatalogueStore;
use App\Catalogue\KeptContexts;
use App\Studio\CurrentStudio;
use App\Support\SecurityHeaders;
use Closure;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Facade;
use Symfony\Component\HttpFoundation\Response;

/**
 * The application, started once and asked many times. After every answer its container is put back to what it was when it had
 * just started, so that nobody's session, studio or rows are there when the next one asks.
 */
final class Resident
{
    /** Made beforehand and kept: none of them knows who asks. */
    private const KEPT = ['cache', 'db', 'encrypter', 'files', 'hash', 'translator', 'validator', CatalogueStore::class];

    /** How many studios' catalogues one worker holds. */
    private const STUDIOS = 40;

    /** Made anew for everyone who asks. One that was made while the application started would know the first for ever. */
    private const ANEW = ['auth', 'auth.driver', 'cookie', 'redirect', 'request', 'session', 'session.store', 'url', 'view', StartSession::class, CurrentStudio::class];

    private readonly Kernel $kernel;

    private readonly Passes $passes;

    /** @var array<string, mixed> the container's own fields */
    private readonly array $asStarted;

    public function __construct(public readonly Application $app)
    {
        $this->kernel = $app->make(Kernel::class);
        $this->kernel->bootstrap();
        array_map($app->make(...), self::KEPT);
        $app->instance(KeptContexts::class, new KeptContexts(self::STUDIOS));
        array_map($app->forgetInstance(...), self::ANEW);
        $this->asStarted = $this->fields();
        $this->passes = new Passes($app);
    }

    /** @param  Closure(Response): void  $give is given the answer before anything is tidied up: nobody waits for that */
    public function answer(Request $request, Closure $give): void
    {
        try {
            $response = $this->answered($request);
            $give($response);
            $this->kernel->terminate($request, $response);
        } finally {
            // A route keeps the controller that answered, and that the studio it was made for.
            $route = $request->route();
            if ($route instanceof Route) {
                $route->flushController();
            }
            $this->putBack();
        }
    }

    private function answered(Request $request): Response
    {
        $sent = Passes::sent($request);
        $person = $this->passes->person($sent);
        if ($person === null) {
            $response = $this->kernel->handle($request);
            if ($response->isSuccessful() && $this->passes->remember($sent, $request)) {
                // New cookies for the same session would only make the next question look like another browser's.
                $response->headers->remove('Set-Cookie');
            }

            return $response;
        }
        $this->app->make(CurrentStudio::class)->enter($person->studio);
        $this->app->instance('middleware.disable', true);

        return (new SecurityHeaders)->handle($request, $this->kernel->handle(...));
    }

    private function putBack(): void
    {
        $fields = $this->asStarted;
        Closure::bind(function () use ($fields): void {
            foreach ($fields as $name => $value) {
                $this->{$name} = $value;
            }
        }, $this->app, Application::class)();
        Facade::clearResolvedInstances();
        // PHP forgets what it knew of files when a request ends; here none does. Another process may end a session meanwhile.
        clearstatcache();
        $connection = $this->app->make('db.connection');
        if ($connection->transactionLevel() > 0) {
            $connection->rollBack(0);
        }
    }

    /** @return array<string, mixed> */
    private function fields(): array
    {
        return Closure::bind(fn (): array => get_object_vars($this), $this->app, Application::class)();
    }
}
