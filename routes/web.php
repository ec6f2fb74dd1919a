<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;

// Every place has its own address; the one page behind them all finds its place itself.
Route::get('/{place?}', fn () => view('app'))->where('place', '^(?!api/|sanctum/|build/).*$')->name('app');
