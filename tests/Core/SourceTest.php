<?php

declare(strict_types=1);

namespace Tests\Core;

use FilesystemIterator;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** What no analysis sees: habits that have gone wrong once. */
final class SourceTest extends TestCase
{
    public function test_nothing_is_trimmed_by_bytes_of_characters(): void
    {
        // trim() takes its mask byte by byte: a dash in it is also a byte of other letters, which then fall apart.
        $found = [];
        foreach ($this->files() as $path => $code) {
            preg_match_all('/\b[lr]?trim\([^;\n]*?,\s*(["\'])((?:(?!\1).)*)\1\)/u', $code, $masks, PREG_SET_ORDER);
            foreach ($masks as $mask) {
                if (preg_match('/[^\x00-\x7f]/', $mask[2]) === 1) {
                    $found[] = $path.': '.$mask[0];
                }
            }
        }
        self::assertSame([], $found);
    }

    /** @return iterable<string, string> code by path */
    private function files(): iterable
    {
        foreach (['core', 'app'] as $folder) {
            $all = new RecursiveDirectoryIterator(dirname(__DIR__, 2).'/'.$folder, FilesystemIterator::SKIP_DOTS);
            /** @var SplFileInfo $file */
            foreach (new RecursiveIteratorIterator($all) as $file) {
                if ($file->getExtension() === 'php') {
                    yield $file->getPathname() => (string) file_get_contents($file->getPathname());
                }
            }
        }
    }
}
