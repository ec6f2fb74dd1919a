<?php

declare(strict_types=1);

namespace App\Demo;

use App\Pantry\PictureFiles;
use App\Studio\CurrentStudio;
use App\Studio\Day;
use App\Studio\Role;
use App\Studio\Studio;
use App\Studio\User;
use Crown\Json\Node;
use Crown\Measure\Kit;
use Illuminate\Console\Command;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Loads the demo studio, once; --fresh puts it (and nothing else) back to its beginning. */
final class DemoCommand extends Command
{
    protected $signature = 'crown:demo {--fresh : put the demo studio back to its beginning}';

    protected $description = 'Load the demo studio';

    public function handle(CurrentStudio $current, PictureFiles $files): int
    {
        if ($this->option('fresh')) {
            Studio::query()->where('demo', true)->delete();
            $files->sweep();
        }
        if (Studio::query()->where('demo', true)->exists()) {
            return self::SUCCESS;
        }
        $this->info('· Loading the demo studio');
        try {
            DB::transaction(fn () => $this->load($current));
        } finally {
            Carbon::setTestNow();
            $current->leave();
        }

        return self::SUCCESS;
    }

    /** What stands in the loft's kitchen. */
    private static function kit(): Kit
    {
        $kit = Kit::read([]);
        foreach (Scenario::KIT as $item) {
            $kit = $kit->with(Node::of($item));
        }

        return $kit;
    }

    private function load(CurrentStudio $current): void
    {
        $studio = Studio::query()->create([
            'name' => 'The Linden Loft',
            'maker' => 'Made in small batches at the Linden Loft',
            'cup' => 'us',
            'scale_grams' => 1,
            'bowl_ml' => 1000,
            'time_zone' => 'Europe/London',
            'demo' => true,
            'set_up_on' => Carbon::today(),
            'country' => 'GB',
            'currency' => 'GBP',
            'kit' => self::kit()->document(),
            'schools' => ['scents' => 'some'],
        ]);
        $users = [];
        foreach (['Amara' => 'amara@linden-loft.example', 'Noor' => 'noor@linden-loft.example'] as $name => $email) {
            $users[] = User::query()->create([
                'studio_id' => $studio->id,
                'name' => $name,
                'email' => $email,
                'password' => Str::random(40),
                'role' => $users === [] ? Role::Owner : Role::Maker,
            ]);
        }
        $current->enter($studio->refresh());
        (new Scenario(new Maker($users[0]), new Maker($users[1]), Day::today()))->play();
    }
}
