<?php

declare(strict_types=1);

namespace Crown\Catalogue;

use Crown\Catalogue\Internal\Shelf;
use Crown\Measure\Band;
use ReflectionClass;
use UnitEnum;

/**
 * A catalogue as PHP code that makes an equal one, each entry when it is asked for: read once, it opens in next to no
 * time afterwards. Each entry is a method of one class, which PHP holds ready; five hundred closures would be made anew
 * whenever the file is opened.
 */
final class Compiled
{
    /** @var list<string> one for each entry, as code */
    private array $methods = [];

    private function __construct(private readonly string $class)
    {
    }

    /** @return string a PHP file that returns the catalogue */
    public static function file(Catalogue $catalogue): string
    {
        // Two that differ can be open at once.
        $class = 'KeptCatalogue'.substr(md5(serialize([$catalogue->all(), $catalogue->limits()])), 0, 12);
        $made = new self($class);
        $code = $made->code($catalogue);

        return sprintf(
            "<?php if (! class_exists('%1\$s', false)) { final class %1\$s { %2\$s } } return %3\$s;",
            $class,
            implode('', $made->methods),
            $code,
        );
    }

    private function code(mixed $value): string
    {
        return match (true) {
            is_array($value) => $this->list($value),
            ! is_object($value) || $value instanceof UnitEnum => var_export($value, true),
            $value instanceof Shelf => $this->shelf($value),
            default => $this->made($value),
        };
    }

    /** @param  array<mixed>  $values */
    private function list(array $values): string
    {
        $code = '';
        foreach ($values as $key => $value) {
            $code .= (array_is_list($values) ? '' : var_export($key, true).'=>').$this->code($value).',';
        }

        return '['.$code.']';
    }

    private function shelf(Shelf $shelf): string
    {
        $makers = '';
        foreach ($shelf->all() as $id => $ingredient) {
            $name = 'i'.count($this->methods);
            $this->methods[] = sprintf(
                'public static function %s(): \\%s { return %s; } ',
                $name,
                Ingredient::class,
                $this->code($ingredient),
            );
            $makers .= sprintf("%s=>'%s::%s',", var_export($id, true), $this->class, $name);
        }

        return 'new \\'.Shelf::class.'(['.$makers.'])';
    }

    /** Core's values are made of their constructor's own parameters. */
    private function made(object $value): string
    {
        $class = new ReflectionClass($value);
        $given = [];
        foreach ($class->getConstructor()?->getParameters() ?? [] as $parameter) {
            $given[] = $this->code($class->getProperty($parameter->getName())->getValue($value));
        }
        $name = '\\'.$value::class;

        return ($value instanceof Band ? $name.'::of(' : 'new '.$name.'(').implode(',', $given).')';
    }
}
