<?php

declare(strict_types=1);

use App\Catalogue\KitController;
use App\Formula\DesignController;
use App\Formula\EvaluationController;
use App\Formula\FamilyController;
use App\Formula\FormulaController;
use App\Formula\HeadAdviceController;
use App\Formula\SettledNameController;
use App\Head\HeadController;
use App\Make\BatchController;
use App\Make\BatchFindingController;
use App\Make\CounterController;
use App\Make\OrderController;
use App\Make\ProcedureController;
use App\Make\RecipeDoseController;
use App\Make\ShoppingController;
use App\Pantry\IngredientController;
use App\Pantry\OwnIngredientController;
use App\Pantry\PictureController;
use App\Pantry\ShelfController;
use App\Papers\MethodController;
use App\Papers\PassportController;
use App\Rhythm\HeadExportController;
use App\Rhythm\RoutineController;
use App\Rhythm\RoutineLinkController;
use App\Session\CountryController;
use App\Session\DeviceController;
use App\Session\JoinController;
use App\Session\LeaveController;
use App\Session\LinkController;
use App\Session\MailRecoveryController;
use App\Session\PeopleController;
use App\Session\RecoveryController;
use App\Session\SchoolController;
use App\Session\SessionController;
use App\Steep\LotController;
use App\Steep\PhotoController;
use App\Steep\RecipeSteepController;
use App\Steep\SteepController;
use App\Steep\SteepEventController;
use App\Support\PingController;
use App\Today\TodayController;
use Illuminate\Support\Facades\Route;

Route::pattern('formula', '[0-9]{1,18}');
Route::pattern('head', '[0-9]{1,18}');
Route::pattern('steep', '[0-9]{1,18}');
Route::pattern('batch', '[0-9]{1,18}');
Route::pattern('routine', '[0-9]{1,18}');
Route::pattern('movement', '[0-9]{1,18}');
Route::pattern('timer', '[0-9]{1,18}');
Route::pattern('reading', '[0-9]{1,18}');
Route::pattern('day', '[0-9]{1,18}');
Route::pattern('own', '[0-9]{1,18}');
Route::pattern('figure', '[0-9]{1,18}');
Route::pattern('mark', '[0-9]{1,18}');
Route::pattern('event', '[0-9]{1,18}');
Route::pattern('photo', '[0-9]{1,18}');
Route::pattern('finding', '[0-9]{1,18}');
Route::pattern('lot', '[0-9]{1,18}');
Route::pattern('order', '[0-9]{1,18}');
Route::pattern('item', '[0-9]{1,9}');
Route::pattern('person', '[0-9]{1,18}');
Route::pattern('link', '[0-9]{1,18}');
Route::pattern('invitation', '[0-9]{1,18}');
Route::pattern('token', '[A-Za-z0-9_-]{22}');
Route::pattern('device', '[0-9a-f]{64}');
Route::pattern('method', '[a-z][a-z-]{0,40}');

Route::controller(SessionController::class)->group(function (): void {
    Route::get('session', 'show')->name('session.show');
    Route::post('sign-in', 'signIn')->middleware('throttle:60,1,sign-in')->name('session.sign-in');
    Route::post('demo', 'demo')->middleware('throttle:60,1,demo')->name('session.demo');
    Route::post('studios', 'open')->middleware('throttle:20,1,open')->name('studio.open');
});
Route::post('recover', [RecoveryController::class, 'recover'])
    ->middleware('throttle:20,1,recover')
    ->name('session.recover');
Route::controller(MailRecoveryController::class)->middleware('throttle:20,1,mail')->group(function (): void {
    Route::post('recover/mail', 'store')->name('session.mail');
    Route::put('recover/mail', 'update')->name('session.mailed');
});
Route::get('countries', [CountryController::class, 'index'])->name('countries.index');
Route::controller(JoinController::class)->middleware('throttle:30,1,join')->group(function (): void {
    Route::get('join/{token}', 'show')->name('join.show');
    Route::post('join/{token}', 'store')->name('join.store');
});

Route::get('look/{token}', [RoutineLinkController::class, 'show'])
    ->name('links.look');
Route::get('jar/{token}', [PassportController::class, 'show'])
    ->name('links.jar');

// Whoever is in a studio: she herself.
Route::middleware(['auth:web', 'keeps'])->group(function (): void {
    Route::controller(SessionController::class)->group(function (): void {
        Route::post('sign-out', 'signOut')->withoutMiddleware('keeps')->name('session.sign-out');
        Route::put('password', 'password')->middleware('throttle:10,1,password')->name('session.password');
    });
    Route::controller(DeviceController::class)->group(function (): void {
        Route::get('devices', 'index')->name('devices.index');
        Route::delete('devices', 'others')->name('devices.others');
        Route::delete('devices/{device}', 'destroy')->name('devices.end');
    });
    Route::post('recovery-codes', [RecoveryController::class, 'store'])
        ->middleware('throttle:10,1,codes')
        ->name('session.codes');
});

// What a helper does: today, the counter, shakes and ticks.
Route::middleware(['auth:web', 'can:help', 'keeps'])->group(function (): void {
    Route::post('ping', PingController::class)->withoutMiddleware('keeps')->name('ping');
    Route::get('today', TodayController::class)->name('today');
    Route::get('methods', [MethodController::class, 'index'])->name('methods.index');
    Route::get('methods/{method}', [MethodController::class, 'show'])->name('methods.show');
    Route::controller(SteepController::class)->group(function (): void {
        Route::get('steeps', 'index')->name('steeps.index');
        Route::get('steeps/{steep}', 'show')->name('steeps.show');
        Route::put('steeps/{steep}/shakes', 'shake')->name('steeps.shake');
    });
    Route::controller(BatchController::class)->group(function (): void {
        Route::get('batches', 'index')->name('batches.index');
        Route::get('batches/{batch}', 'show')->name('batches.show');
        Route::put('batches/{batch}/weighings', 'weigh')->name('batches.weigh');
        Route::put('batches/{batch}/tasks', 'tick')->name('batches.tick');
    });
    Route::controller(CounterController::class)->prefix('batches/{batch}')->group(function (): void {
        Route::get('pour', 'pour')->name('counter.pour');
        Route::post('timers', 'time')->name('counter.time');
        Route::delete('timers/{timer}', 'stop')->name('counter.stop');
        Route::post('readings', 'read')->name('counter.read');
        Route::delete('readings/{reading}', 'unread')->name('counter.unread');
    });
    Route::controller(RoutineController::class)->group(function (): void {
        Route::get('routines', 'index')->name('routines.index');
        Route::get('routines/{routine}', 'show')->name('routines.show');
        Route::put('routine-days/{day}', 'tick')->name('routines.tick');
    });
});

// What an owner does: who is in the studio, and leaving it.
Route::middleware(['auth:web', 'can:own', 'keeps'])->group(function (): void {
    Route::controller(PeopleController::class)->group(function (): void {
        Route::get('people', 'index')->name('people.index');
        Route::put('people/{person}', 'update')->name('people.update');
        Route::delete('people/{person}', 'destroy')->name('people.destroy');
        Route::post('invitations', 'invite')->name('people.invite');
        Route::delete('invitations/{invitation}', 'uninvite')->name('people.uninvite');
        Route::get('security-log', 'log')->name('people.log');
    });
    Route::controller(LeaveController::class)->group(function (): void {
        Route::get('studio/export', 'export')->name('studio.export');
        Route::post('studio/leave', 'leave')->name('studio.leave');
        Route::delete('studio/leave', 'stay')->name('studio.stay');
    });
});

// What a maker does: everything that is made.
Route::middleware(['auth:web', 'can:make', 'keeps'])->group(function (): void {
    Route::put('studio', [SessionController::class, 'update'])->name('studio.update');
    Route::get('schools', [SchoolController::class, 'index'])->name('schools.index');
    Route::put('schools', [SchoolController::class, 'update'])->name('schools.choose');
    Route::controller(KitController::class)->group(function (): void {
        Route::get('kit', 'index')->name('kit.index');
        Route::post('kit', 'store')->name('kit.store');
        Route::put('kit/{item}', 'update')->name('kit.update');
        Route::delete('kit/{item}', 'destroy')->name('kit.destroy');
    });
    Route::controller(IngredientController::class)->group(function (): void {
        Route::get('ingredients', 'index')->name('ingredients.index');
        Route::get('ingredients/compare', 'compare')->name('ingredients.compare');
        Route::get('ingredients/{ingredient}', 'show')->name('ingredients.show');
    });
    Route::controller(OwnIngredientController::class)->group(function (): void {
        Route::post('own-ingredients', 'store')->name('own.store');
        Route::put('own-ingredients/{own}', 'update')->name('own.update');
        Route::delete('own-ingredients/{own}', 'destroy')->name('own.destroy');
        Route::put('ingredients/{ingredient}/figures', 'correct')->name('ingredients.correct');
        Route::delete('own-figures/{figure}', 'uncorrect')->name('ingredients.uncorrect');
        Route::put('ingredients/{ingredient}/cupboard', 'stock')->name('ingredients.stock');
        Route::delete('ingredients/{ingredient}/cupboard', 'unstock')->name('ingredients.unstock');
    });
    // These keep nothing: no transaction is opened for them.
    Route::controller(EvaluationController::class)
        ->withoutMiddleware('keeps')
        ->group(function (): void {
            Route::post('evaluate', 'evaluate')->name('evaluate');
            Route::post('cure', 'cure')->name('cure');
            Route::post('working', 'working')->name('working');
            Route::post('read', 'read')->name('read');
            Route::post('water', 'water')->name('water');
            Route::post('load', 'load')->name('load');
            Route::post('cost', 'cost')->name('cost');
            Route::post('without-scale', 'withoutScale')->name('without-scale');
            Route::post('stock', 'stock')->name('stock');
            Route::post('swap', 'swap')->name('swap');
            Route::post('reshare', 'reshare')->name('reshare');
        });
    Route::post('procedure', ProcedureController::class)->withoutMiddleware('keeps')->name('procedure');
    Route::put('read/names', [SettledNameController::class, 'store'])->name('read.settle');
    Route::delete('read/names', [SettledNameController::class, 'destroy'])->name('read.forget');
    Route::post('read/steep', RecipeSteepController::class)->name('read.steep');
    Route::post('read/dose', RecipeDoseController::class)->name('read.dose');
    Route::post('design', DesignController::class)->withoutMiddleware('keeps')->name('design');
    Route::controller(FormulaController::class)->group(function (): void {
        Route::get('formulas', 'index')->name('formulas.index');
        Route::post('formulas', 'store')->name('formulas.store');
        Route::post('formulas/skeleton', 'skeleton')->name('formulas.skeleton');
        Route::get('formulas/{formula}', 'show')->name('formulas.show');
        Route::get('formulas/{formula}/text', 'text')->name('formulas.text');
        Route::put('formulas/{formula}', 'update')->name('formulas.update');
        Route::delete('formulas/{formula}', 'destroy')->name('formulas.destroy');
        Route::post('formulas/{formula}/restore', 'restore')->name('formulas.restore');
        Route::post('formulas/{formula}/versions', 'keep')->name('formulas.keep');
    });
    Route::controller(FamilyController::class)->group(function (): void {
        Route::get('formulas/{formula}/family', 'show')->name('formulas.family');
        Route::post('formulas/{formula}/variants', 'store')->name('formulas.variant');
        Route::post('formulas/{formula}/family/pass', 'pass')->name('formulas.pass');
        Route::post('formulas/{formula}/leave', 'leave')->name('formulas.leave');
    });
    Route::controller(HeadController::class)->group(function (): void {
        Route::get('heads', 'index')->name('heads.index');
        Route::post('heads', 'store')->name('heads.store');
        Route::get('heads/{head}', 'show')->name('heads.show');
        Route::put('heads/{head}', 'update')->name('heads.update');
        Route::delete('heads/{head}', 'destroy')->name('heads.destroy');
        Route::post('heads/{head}/marks', 'mark')->name('heads.mark');
        Route::delete('head-marks/{mark}', 'unmark')->name('heads.unmark');
        Route::get('head-guide', 'guide')->name('heads.guide');
        Route::post('head-guide', 'suggest')->withoutMiddleware('keeps')->name('heads.suggest');
    });
    Route::get('heads/{head}/export', HeadExportController::class)->name('heads.export');
    Route::get('heads/{head}/advice', [HeadAdviceController::class, 'show'])->name('heads.advice');
    Route::post('heads/{head}/formula', [HeadAdviceController::class, 'formula'])->name('heads.formula');
    Route::controller(SteepController::class)->group(function (): void {
        Route::post('steeps/plan', 'plan')->withoutMiddleware('keeps')->name('steeps.plan');
        Route::post('steeps', 'store')->name('steeps.store');
        Route::post('steeps/{steep}/strain', 'strain')->name('steeps.strain');
        Route::post('steeps/{steep}/spoil', 'spoil')->name('steeps.spoil');
        Route::delete('steeps/{steep}', 'destroy')->name('steeps.destroy');
        Route::post('steeps/{steep}/restore', 'restore')->name('steeps.restore');
    });
    Route::post('steeps/{steep}/events', [SteepEventController::class, 'store'])->name('steeps.record');
    Route::delete('steep-events/{event}', [SteepEventController::class, 'destroy'])->name('steeps.unrecord');
    Route::post('steeps/{steep}/photos', [PhotoController::class, 'store'])->name('steeps.photo');
    Route::delete('steep-photos/{photo}', [PhotoController::class, 'destroy'])->name('steeps.unphoto');
    Route::controller(ShelfController::class)->prefix('pantry')->group(function (): void {
        Route::get('shelf', 'index')->name('shelf.index');
        Route::post('read', 'read')->withoutMiddleware('keeps')->name('shelf.read');
        Route::post('shopping', ShoppingController::class)->withoutMiddleware('keeps')->name('shelf.shopping');
        Route::post('lots', 'store')->name('shelf.store');
        Route::get('lots/{lot}', 'show')->name('shelf.show');
        Route::put('lots/{lot}', 'update')->name('shelf.update');
        Route::get('lots/{lot}/use-up', 'useUp')->name('shelf.use-up');
        Route::post('lots/{lot}/movements', 'move')->name('shelf.move');
        Route::put('lots/{lot}/movements/{movement}', 'end')->name('shelf.end');
        Route::put('lots/{lot}/withdrawn', 'withdraw')->name('shelf.withdraw');
        Route::post('lots/{lot}/photos', [PictureController::class, 'store'])->name('shelf.photo');
        Route::delete('photos/{photo}', [PictureController::class, 'destroy'])->name('shelf.unphoto');
    });
    Route::controller(OrderController::class)->prefix('orders')->group(function (): void {
        Route::get('/', 'index')->name('orders.index');
        Route::post('/', 'store')->name('orders.store');
        Route::put('{order}', 'update')->name('orders.update');
    });
    Route::get('lots', [LotController::class, 'index'])->name('lots.index');
    Route::put('lots/{lot}/withdrawn', [LotController::class, 'withdraw'])->name('lots.withdraw');
    Route::controller(BatchController::class)->group(function (): void {
        Route::post('batches', 'store')->name('batches.store');
        Route::post('rehearsals', 'rehearse')->name('batches.rehearse');
        Route::delete('rehearsals/{batch}', 'endRehearsal')->name('batches.rehearsed');
        Route::post('batches/{batch}/finish', 'finish')->name('batches.finish');
        Route::get('batches/{batch}/cost', 'cost')->name('batches.cost');
        Route::delete('batches/{batch}', 'destroy')->name('batches.destroy');
        Route::post('batches/{batch}/restore', 'restore')->name('batches.restore');
    });
    Route::post('batches/{batch}/findings', [BatchFindingController::class, 'store'])->name('batches.find');
    Route::delete('batch-findings/{finding}', [BatchFindingController::class, 'destroy'])->name('batches.unfind');
    Route::post('routines/{routine}/link', [RoutineLinkController::class, 'store'])->name('routines.link');
    Route::post('batches/{batch}/link', [PassportController::class, 'store'])->name('batches.link');
    Route::get('links', [LinkController::class, 'index'])->name('links.index');
    Route::delete('links/{link}', [LinkController::class, 'destroy'])->name('links.end');
    Route::controller(RoutineController::class)->group(function (): void {
        Route::post('routines', 'store')->name('routines.store');
        Route::delete('routines/{routine}', 'destroy')->name('routines.destroy');
        Route::post('routines/{routine}/restore', 'restore')->name('routines.restore');
    });
});
