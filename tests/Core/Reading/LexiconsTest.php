<?php

declare(strict_types=1);

namespace Tests\Core\Reading;

use Crown\Reading\Grammar\Lexicons;
use Crown\Reading\Grammar\Vocabulary;
use PHPUnit\Framework\Attributes\RunInSeparateProcess;
use PHPUnit\Framework\TestCase;

final class LexiconsTest extends TestCase
{
    public function test_words_kept_as_php_are_those_of_the_files(): void
    {
        $kept = self::included(Lexicons::compiled());
        foreach (Vocabulary::LANGUAGES as $language) {
            self::assertSame(Lexicons::of($language), $kept['words'][$language]);
            self::assertSame(Lexicons::numbers($language), $kept['numbers'][$language]);
        }
    }

    #[RunInSeparateProcess]
    public function test_a_kept_file_is_used_while_it_is_as_new_as_the_lexicons(): void
    {
        $kept = self::included(Lexicons::compiled());
        $kept['words']['en']['tuppence'] = ['unit' => 'oz'];
        Lexicons::keepIn(self::written($kept));

        self::assertSame(['unit' => 'oz'], Lexicons::of('en')['tuppence']);
    }

    #[RunInSeparateProcess]
    public function test_a_kept_file_that_is_older_than_a_lexicon_is_not_used(): void
    {
        $kept = self::included(Lexicons::compiled());
        $kept['words']['en']['tuppence'] = ['unit' => 'oz'];
        $kept['made of'][array_key_first($kept['made of'])]--;
        Lexicons::keepIn(self::written($kept));

        self::assertArrayNotHasKey('tuppence', Lexicons::of('en'));
        self::assertSame(12.0, Lexicons::numbers('en')['twelve']);
    }

    /** @return array<string, mixed> */
    private static function included(string $php): array
    {
        $file = self::file($php);
        $kept = include $file;
        unlink($file);

        return $kept;
    }

    /** @param  array<string, mixed>  $kept */
    private static function written(array $kept): string
    {
        return self::file('<?php return '.var_export($kept, true).';');
    }

    private static function file(string $php): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'words');
        file_put_contents($file, $php);

        return $file;
    }
}
