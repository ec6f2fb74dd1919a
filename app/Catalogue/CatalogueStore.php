<?php

declare(strict_types=1);

namespace App\Catalogue;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\CatalogueReader;
use Crown\Catalogue\Compiled;
use Crown\Reading\Grammar\Lexicons;
use Crown\Words\KeptWords;
use Error;

/**
 * The reference catalogue, read and checked once, then kept as PHP that makes each entry when it is asked for, and the
 * words of recipes and of messages beside it. Opcache holds such files in memory that all workers share, so that to
 * open them costs a request next to nothing.
 */
final class CatalogueStore
{
    private ?Catalogue $catalogue = null;

    public function __construct(
        private readonly string $directory,
        private readonly string $file,
        private readonly string $lexicons,
        private readonly string $words,
    ) {
        Lexicons::keepIn($lexicons);
        KeptWords::in($words);
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
        self::write($this->file, Compiled::file($catalogue));
        self::write($this->lexicons, Lexicons::compiled());
        self::write($this->words, KeptWords::compiled());

        return $catalogue;
    }

    /** Written beside and moved, so that no reader sees half a file. */
    private static function write(string $file, string $php): void
    {
        $temporary = $file.'.'.bin2hex(random_bytes(4));
        file_put_contents($temporary, $php);
        rename($temporary, $file);
    }
}
