<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Catalogue\Internal\Shelf;
use Crown\Measure\Band;
use ReflectionClass;
use UnitEnum;

/**
 * A catalogue as PHP code that makes an equal one, each entry when it is asked for: read once, it opens in next to no
 * time afterwards.
 */
final class Compiled
{
    /** @return string a PHP file that returns the catalogue */
    public static function file(Catalogue $catalogue): string
    {
        return '<?php return '.self::code($catalogue).';';
    }

    private static function code(mixed $value): string
    {
        return match (true) {
            is_array($value) => self::list($value),
            ! is_object($value) || $value instanceof UnitEnum => var_export($value, true),
            $value instanceof Shelf => self::shelf($value),
            default => self::made($value),
        };
    }

    /** @param  array<mixed>  $values */
    private static function list(array $values): string
    {
        $code = '';
        foreach ($values as $key => $value) {
            $code .= (array_is_list($values) ? '' : var_export($key, true).'=>').self::code($value).',';
        }

        return '['.$code.']';
    }

    private static function shelf(Shelf $shelf): string
    {
        $makers = '';
        foreach ($shelf->all() as $id => $ingredient) {
            $makers .= var_export($id, true).'=>static fn()=>'.self::code($ingredient).',';
        }

        return 'new \\'.Shelf::class.'(['.$makers.'])';
    }

    /** Core's values are made of their constructor's own parameters. */
    private static function made(object $value): string
    {
        $class = new ReflectionClass($value);
        $given = [];
        foreach ($class->getConstructor()?->getParameters() ?? [] as $parameter) {
            $given[] = self::code($class->getProperty($parameter->getName())->getValue($value));
        }
        $name = '\\'.$value::class;

        return ($value instanceof Band ? $name.'::of(' : 'new '.$name.'(').implode(',', $given).')';
    }
}
