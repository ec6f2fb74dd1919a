<?php

declare(strict_types=1);

namespace App\Studio;

use Illuminate\Database\Eloquent\Model;

/**
 * A row with a document that names ingredients: what it names is kept in its table, whichever way the row is written.
 *
 * @mixin Model
 */
trait NamesIngredients
{
    protected static function bootNamesIngredients(): void
    {
        static::saved(static function (self $row): void {
            if ($row->wasRecentlyCreated || $row->wasChanged('document')) {
                $row->keepUses();
            }
        });
        static::deleted(static function (self $row): void {
            // What is only put away can come back.
            if (! $row->exists) {
                IngredientUses::forget($row->holder(), $row->id);
            }
        });
    }

    /** What kind of thing it is: one of IngredientUses. */
    abstract public function holder(): string;

    public function keepUses(): void
    {
        IngredientUses::keep($this->holder(), $this->id, ...$this->naming());
    }

    /** @return list<array<array-key, mixed>> the documents that name ingredients */
    protected function naming(): array
    {
        return [$this->document];
    }
}
