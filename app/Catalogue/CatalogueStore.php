<?php

declare(strict_types=1);

namespace App\Catalogue;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\CatalogueReader;

/** The reference catalogue, read once and kept serialised until a file of it changes. */
final class CatalogueStore
{
    private ?Catalogue $catalogue = null;

    public function __construct(
        private readonly string $directory,
        private readonly string $cache,
    ) {
    }

    public function reference(): Catalogue
    {
        return $this->catalogue ??= $this->kept() ?? $this->read();
    }

    private function kept(): ?Catalogue
    {
        $file = $this->file();
        $kept = is_file($file) ? @unserialize((string) file_get_contents($file)) : false;

        return $kept instanceof Catalogue ? $kept : null;
    }

    private function read(): Catalogue
    {
        $catalogue = (new CatalogueReader($this->directory))->read();
        // Written beside and moved, so that no reader sees half a file.
        $temporary = $this->file().'.'.bin2hex(random_bytes(4));
        file_put_contents($temporary, serialize($catalogue));
        rename($temporary, $this->file());

        return $catalogue;
    }

    /** Named after the newest change of the files and of the code that reads them. */
    private function file(): string
    {
        $newest = max(array_map(filemtime(...), [
            $this->directory.'/catalogue',
            ...(glob($this->directory.'/catalogue/*.json') ?: []),
            ...(glob($this->directory.'/*.json') ?: []),
            ...(glob(base_path('core/{Catalogue,Measure}/*.php'), GLOB_BRACE) ?: []),
        ]) ?: [0]);

        return $this->cache.'/catalogue-'.$newest.'.bin';
    }
}
