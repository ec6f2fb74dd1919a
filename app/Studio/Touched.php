<?php

declare(strict_types=1);

namespace App\Studio;

use Carbon\CarbonInterface;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Auth;

/**
 * A row that says who touched it last, by the name she had: it stays when she has gone.
 *
 * @mixin Model
 */
trait Touched
{
    protected static function bootTouched(): void
    {
        static::saving(static function (self $row): void {
            $row->takeDownWho();
        });
    }

    /** Takes down who is at work; a command is nobody. */
    public function takeDownWho(): void
    {
        $user = Auth::guard('web')->user();
        if ($user instanceof User) {
            $this->setAttribute('touched_by', $user->name);
        }
    }

    /** @return array{by: string, at: string} */
    public function touched(): array
    {
        $by = $this->getAttribute('touched_by');
        $at = $this->getAttribute('updated_at');

        return [
            'by' => is_string($by) ? $by : '',
            'at' => $at instanceof CarbonInterface ? $at->toIso8601String() : '',
        ];
    }
}
