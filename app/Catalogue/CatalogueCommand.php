<?php

declare(strict_types=1);

namespace App\Catalogue;

use Crown\Catalogue\CatalogueError;
use Illuminate\Console\Command;

/** Reads the catalogue's files anew; a wrong file is refused with its name, the key and what is allowed. */
final class CatalogueCommand extends Command
{
    protected $signature = 'crown:catalogue';

    protected $description = 'Read the catalogue\'s files anew';

    public function handle(CatalogueStore $store): int
    {
        try {
            $store->read();
        } catch (CatalogueError $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }

        return self::SUCCESS;
    }
}
