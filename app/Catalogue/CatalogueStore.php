<?php

declare(strict_types=1);

namespace App\Catalogue;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\CatalogueReader;
use Crown\Catalogue\Compiled;
use Error;

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
        file_put_contents($temporary, Compiled::file($catalogue));
        rename($temporary, $this->file);

        return $catalogue;
    }
}
