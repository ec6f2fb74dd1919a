<?php

declare(strict_types=1);

namespace App\Support;

/**
 * Boots a model's traits by their names (bootSoftDeletes, initializeSoftDeletes), as the framework does, without asking each of
 * its three hundred methods for attributes as well: none carries one, and an evaluation, which opens eight kinds of row, would
 * spend a tenth of its time on that.
 */
trait BootsByName
{
    protected static function bootTraits(): void
    {
        static::$traitInitializers[static::class] = [];
        foreach (class_uses_recursive(static::class) as $trait) {
            $name = class_basename($trait);
            if (method_exists(static::class, 'boot'.$name)) {
                forward_static_call([static::class, 'boot'.$name]);
            }
            if (method_exists(static::class, 'initialize'.$name)) {
                static::$traitInitializers[static::class][] = 'initialize'.$name;
            }
        }
    }
}
