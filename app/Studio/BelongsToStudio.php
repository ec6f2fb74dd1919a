<?php

declare(strict_types=1);

namespace App\Studio;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/** The one place where rows are kept to their studio: another studio's row is not found, whatever is asked. */
trait BelongsToStudio
{
    protected static function bootBelongsToStudio(): void
    {
        static::addGlobalScope('studio', static function (Builder $query): void {
            $query->where($query->getModel()->qualifyColumn('studio_id'), app(CurrentStudio::class)->get()->id);
        });
        static::creating(static function (Model $row): void {
            $row->setAttribute('studio_id', app(CurrentStudio::class)->get()->id);
        });
    }
}
