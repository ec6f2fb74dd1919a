<?php

declare(strict_types=1);

namespace App\Catalogue;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\CatalogueReader;
use Crown\Catalogue\Pack;

/**
 * The reference catalogue, read once and kept as a PHP file of plain arrays: opcache holds such a
 * file in memory that all workers share, so that opening it costs a request next to nothing.
 */
final class CatalogueStore
{
    private ?Catalogue $catalogue = null;

    public function __construct(
        private readonly string $directory,
        private readonly string $file,
    ) {
    }

    public function reference(): Catalogue
    {
        return $this->catalogue ??= ($this->kept() ?? $this->read())->open();
    }

    private function kept(): ?Pack
    {
        $kept = is_file($this->file) ? include $this->file : null;

        return is_array($kept) ? new Pack(...$kept) : null;
    }

    /** Reads and checks the files anew: after one of them has changed, and at every start. */
    public function read(): Pack
    {
        $pack = (new CatalogueReader($this->directory))->pack();
        // Written beside and moved, so that no reader sees half a file.
        $temporary = $this->file.'.'.bin2hex(random_bytes(4));
        file_put_contents($temporary, '<?php return '.var_export(get_object_vars($pack), true).';');
        rename($temporary, $this->file);

        return $pack;
    }
}
