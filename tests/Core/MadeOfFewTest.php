<?php

declare(strict_types=1);

namespace Tests\Core;

use Crown\Catalogue\Composition;
use Crown\Catalogue\Ingredient;
use Crown\Catalogue\OwnEntry;
use Crown\Formula\Formula;
use Crown\Formula\Line;
use Crown\Head\Profile;
use Crown\Measure\Amount;
use Crown\Measure\Kitchen;
use Crown\Pantry\LotDraft;
use Crown\Reading\ReadLine;
use Crown\Reading\Recipe;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use ReflectionClass;
use ReflectionMethod;

/** A value is made of at most seven things, so that who makes one can hold them all in mind. */
final class MadeOfFewTest extends TestCase
{
    private const MOST = 7;

    /** These are read out of a file, a kept document or a text, whose parts are as many as they are. */
    private const READ = [
        Composition::class, Ingredient::class, OwnEntry::class, Formula::class, Line::class, Profile::class,
        Amount::class, Kitchen::class, LotDraft::class, ReadLine::class, Recipe::class,
    ];

    public function test_nothing_is_made_of_more_than_seven(): void
    {
        $more = [];
        foreach (self::classes() as $class) {
            $made = $class->getConstructor();
            if ($made instanceof ReflectionMethod && $made->getNumberOfParameters() > self::MOST) {
                $more[] = $class->getName();
            }
        }
        sort($more);

        self::assertSame(self::READ, $more);
    }

    /** @return iterable<ReflectionClass<object>> of core and app */
    private static function classes(): iterable
    {
        $root = dirname(__DIR__, 2);
        foreach (['core' => 'Crown', 'app' => 'App'] as $folder => $namespace) {
            foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("$root/$folder")) as $file) {
                $path = substr($file->getPathname(), strlen("$root/$folder"), -4);
                $class = $namespace.str_replace('/', '\\', $path);
                if ($file->getExtension() === 'php' && class_exists($class)) {
                    yield new ReflectionClass($class);
                }
            }
        }
    }
}
