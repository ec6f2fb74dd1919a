<?php

declare(strict_types=1);

namespace App\Studio;

use App\Support\StaleWrite;
use Closure;
use Illuminate\Database\Eloquent\Model;

/**
 * Rows whose writes carry the revision they were based on.
 *
 * @mixin Model
 */
trait Revised
{
    /**
     * Writes the changes if nobody has written since the given revision, in one statement.
     *
     * @param  array<string, mixed>  $changes
     * @param  Closure(static): array<string, mixed>  $present the newer state, for whoever comes too late
     *
     * @throws StaleWrite
     */
    public function revise(int $basedOn, array $changes, Closure $present): void
    {
        $this->fill($changes);
        if (method_exists($this, 'takeDownWho')) {
            $this->takeDownWho();
        }
        $dirty = [
            ...$this->getDirty(),
            'revision' => $basedOn + 1,
            $this->getUpdatedAtColumn() => $this->freshTimestamp(),
        ];
        // toBase keeps the studio's scope and leaves the values as they were cast for the database.
        $written = $this->newQuery()->whereKey($this->getKey())->where('revision', $basedOn)->toBase()->update($dirty);
        $this->refresh();
        if ($written !== 1) {
            throw new StaleWrite($present($this));
        }
        if (isset($changes['document']) && method_exists($this, 'keepUses')) {
            $this->keepUses();
        }
    }
}
