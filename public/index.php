<?php

declare(strict_types=1);

use App\Live\Line;
use Illuminate\Http\Request;

define('LARAVEL_START', microtime(true));

// What is asked while someone types goes to the workers that stay, where there are any: they need not start first.
require_once __DIR__.'/../app/Live/Line.php';
if (Line::answers((string) getenv('CROWN_LIVE'))) {
    return;
}

require __DIR__.'/../vendor/autoload.php';

(require __DIR__.'/../bootstrap/app.php')->handleRequest(Request::capture());
