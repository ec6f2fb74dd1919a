<?php

declare(strict_types=1);

namespace App\Catalogue;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\CatalogueReader;
use Crown\Catalogue\Shelf;
use Crown\Measure\Band;
use Error;
use ReflectionClass;

/**
 * The reference catalogue, read and checked once, then kept as PHP that makes each entry when it is asked for. Opcache
 * holds such a file in memory that all workers share, so that opening the catalogue costs a request next to nothing.
 */
final class CatalogueStore
{
    private ?Catalogue $catalogue = null;

    public function __construct(private readonly string $directory, private readonly string $file)
    {
    }

    public function reference(): Catalogue
    {
        if ($this->catalogue === null) {
            try {
                $kept = is_file($this->file) ? include $this->file : null;
            } catch (Error) {
                // It was written for entries as they were made before an update.
                $kept = null;
            }
            $this->catalogue = $kept instanceof Catalogue ? $kept : $this->read();
        }

        return $this->catalogue;
    }

    /** Reads and checks the files anew: after one of them has changed, and at every start. */
    public function read(): Catalogue
    {
        $catalogue = (new CatalogueReader($this->directory))->read();
        // Written beside and moved, so that no reader sees half a file.
        $temporary = $this->file.'.'.bin2hex(random_bytes(4));
        file_put_contents($temporary, '<?php return '.self::code($catalogue).';');
        rename($temporary, $this->file);

        return $catalogue;
    }

    /** PHP that makes an equal value: core's values are made of their constructor's own parameters. */
    private static function code(mixed $value): string
    {
        if (is_array($value)) {
            return '['
                .implode(
                    ',',
                    array_map(
                        static fn (mixed $v, int|string $k): string => (is_string($k)
                            ? var_export($k, true).'=>'
                            : (array_is_list($value)
                                ? ''
                                : $k.'=>')).self::code($v),
                        $value,
                        array_keys($value),
                    ),
                )
                .']';
        }
        if (! is_object($value) || $value instanceof \UnitEnum) {
            return var_export($value, true);
        }
        $name = '\\'.$value::class;
        if ($value instanceof Shelf) {
            return 'new '
                .$name
                .'(['
                .implode(
                    ',',
                    array_map(
                        static fn (mixed $v, string $k): string => var_export($k, true)
                            .'=>static fn()=>'
                            .self::code($v),
                        $value->all(),
                        array_keys($value->all()),
                    ),
                )
                .'])';
        }
        $class = new ReflectionClass($value);
        $given = [];
        foreach ($class->getConstructor()?->getParameters() ?? [] as $parameter) {
            $given[] = self::code($class->getProperty($parameter->getName())->getValue($value));
        }

        return ($value instanceof Band ? $name.'::of(' : 'new '.$name.'(').implode(',', $given).')';
    }
}
