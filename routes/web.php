<?php

declare(strict_types=1);

use App\Pantry\PictureController;
use App\Papers\LabelController;
use App\Papers\MakeSheetController;
use App\Papers\SheetController;
use Illuminate\Support\Facades\Route;

// Papers are opened from the address line too, where no page of ours is the referrer: they go by the session alone.
Route::get('/papers/batches/{batch}/label.pdf', [LabelController::class, 'pdf'])
    ->middleware(['auth:web', 'can:help'])
    ->where('batch', '[0-9]{1,18}')
    ->name('batches.label');
Route::get('/papers/batches/{batch}/make.pdf', MakeSheetController::class)
    ->middleware(['auth:web', 'can:help'])
    ->where('batch', '[0-9]{1,18}')
    ->name('batches.sheet');
Route::get('/papers/lots/{lot}/label.pdf', [LabelController::class, 'lot'])
    ->middleware(['auth:web', 'can:help'])
    ->where('lot', '[0-9]{1,18}')
    ->name('lots.label');
Route::get('/papers/formulas/{formula}/sheet.pdf', SheetController::class)
    ->middleware(['auth:web', 'can:make'])
    ->where('formula', '[0-9]{1,18}')
    ->name('formulas.sheet');
Route::get('/photos/{photo}', [PictureController::class, 'show'])
    ->middleware(['auth:web', 'can:help'])
    ->where('photo', '[0-9]{1,18}')
    ->name('photos.show');

// Every place has its own address; the one page behind them all finds its place itself.
// It needs no session, and so a visit leaves none.
Route::view('/{place?}', 'app')
    ->where('place', '^(?!api/|sanctum/|build/|photos/).*$')
    ->withoutMiddleware('web')
    ->name('app');
