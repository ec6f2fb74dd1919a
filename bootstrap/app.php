<?php

declare(strict_types=1);

use App\Session\DemoIsRead;
use App\Session\DeniedLog;
use App\Support\AnswerErrors;
use App\Support\Idempotent;
use App\Support\NamedHosts;
use App\Support\OwnPages;
use App\Support\PlainInput;
use App\Support\SecurityHeaders;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        api: __DIR__.'/../routes/api.php',
        commands: __DIR__.'/../routes/console.php',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // What a maker types is kept to the letter; a half-written amount is an amount, not nothing.
        $middleware->trimStrings(except: [static fn (): bool => true]);
        $middleware->convertEmptyStringsToNull(except: [static fn (): bool => true]);
        $middleware->append(SecurityHeaders::class);
        $middleware->prepend(NamedHosts::class);
        $middleware->api(prepend: [OwnPages::class, PlainInput::class]);
        // What keeps something: in one transaction, and once.
        $middleware->group('keeps', [DemoIsRead::class, Idempotent::class]);
        $middleware->redirectGuestsTo('/sign-in');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        AnswerErrors::register($exceptions);
        DeniedLog::register($exceptions);
    })
    ->create();
