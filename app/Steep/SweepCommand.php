<?php

declare(strict_types=1);

namespace App\Steep;

use App\Pantry\PictureFiles;
use App\Session\SecurityLog;
use App\Studio\Studio;
use App\Support\Idempotent;
use Illuminate\Console\Command;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Takes away what nothing needs any more: files of pictures that have gone, keys of posts that are long done. */
final class SweepCommand extends Command
{
    protected $signature = 'crown:sweep';

    protected $description = 'Take away files and keys that nothing needs any more';

    public function handle(PictureFiles $files): int
    {
        // Whoever left has had her days to think it over.
        Studio::query()->where('demo', false)->where('leaving_on', '<=', Carbon::today())->delete();
        DB::table('sessions')
            ->whereNotNull('user_id')
            ->whereNotIn('user_id', DB::table('users')->whereNull('deleted_at')->select('id'))
            ->delete();
        DB::table('password_reset_tokens')
            ->where('created_at', '<', Carbon::now()->subDay())
            ->orWhereNotIn('email', DB::table('users')->select('email'))
            ->delete();
        $files->sweep();
        SecurityLog::sweep();
        DB::table('idempotency_keys')
            ->where('created_at', '<', Carbon::now()->subDays(Idempotent::KNOWN_DAYS))
            ->delete();

        return self::SUCCESS;
    }
}
