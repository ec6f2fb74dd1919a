<?php

declare(strict_types=1);

namespace Tests\Core\Words;

use Crown\Words\KeptWords;
use Crown\Words\Message;
use FilesystemIterator;
use LogicException;
use MessageFormatter;
use PhpParser\Node;
use PhpParser\Node\Expr\Array_;
use PhpParser\Node\Expr\New_;
use PhpParser\Node\Expr\StaticCall;
use PhpParser\Node\Expr\Variable;
use PhpParser\Node\Identifier;
use PhpParser\Node\Name;
use PhpParser\Node\Scalar\String_;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use PHPUnit\Framework\Attributes\RunInSeparateProcess;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** What is said in code and the message files belong together: no sentence without words, and no words unsaid. */
final class MessagesTest extends TestCase
{
    /** Written into the record of a batch, or looked for in what a maker wrote. */
    private const NOT_SAID = ["'One fresh dose, used at once. What is left is thrown away.'", "'let it cool'"];

    /** Knows the words of documents as they were kept once. */
    private const OLD_DOCUMENTS = 'FormulaFormat.php';

    /** Rooms of core whose words stand in message files. */
    private const ROOMS = ['Steep', 'Make', 'Rhythm', 'Pantry', 'Solving', 'Formula', 'Head', 'Papers', 'Learning'];

    public function test_every_sentence_of_the_code_has_words_and_all_words_are_said(): void
    {
        $written = $said = [];
        foreach (self::files() as $room => $patterns) {
            foreach (array_keys($patterns) as $key) {
                $written[] = "$room.$key";
            }
        }
        foreach (self::messages() as $message) {
            $said[] = self::key($message);
        }

        self::assertSame([], array_values(array_diff($said, $written)), 'said without words');
        self::assertSame([], array_values(array_diff($written, $said)), 'words that nothing says');
    }

    public function test_what_stands_in_a_sentence_is_what_the_code_gives(): void
    {
        $patterns = self::files();
        $seen = 0;
        foreach (self::messages() as $message) {
            $given = self::given($message);
            if ($given === null) {
                continue;
            }
            [$room, $key] = explode('.', self::key($message), 2);
            $wanted = self::named($patterns[$room][$key]);
            sort($given);
            self::assertSame($wanted, $given, "$room.$key");
            $seen++;
        }
        self::assertGreaterThan(50, $seen);
    }

    public function test_a_room_with_message_files_has_no_sentence_in_its_rules(): void
    {
        foreach (self::ROOMS as $room) {
            foreach (glob(dirname(__DIR__, 3)."/core/$room/{,Internal/}*.php", GLOB_BRACE) ?: [] as $file) {
                if (basename($file) === self::OLD_DOCUMENTS) {
                    continue;
                }
                $code = (string) file_get_contents($file);
                // A sentence: three words of small letters beside each other.
                $sentence = '/\'[^\'\n]*[a-z]{2,} [a-z]{2,} [a-z]{2,}[^\'\n]*\'/';
                preg_match_all($sentence, self::withoutComments($code), $found);
                self::assertSame([], array_diff($found[0], self::NOT_SAID), basename($file));
            }
        }
    }

    public function test_every_pattern_can_be_put_together(): void
    {
        foreach (self::files() as $room => $patterns) {
            foreach ($patterns as $key => $pattern) {
                foreach ([0, 1, 2, 1440] as $number) {
                    $with = array_fill_keys(self::named($pattern), $number);
                    $words = (new Message("$room.$key", $with))->words();
                    self::assertStringNotContainsString('{', $words, "$room.$key");
                    self::assertStringNotContainsString('  ', $words, "$room.$key");
                }
            }
        }
    }

    public function test_what_is_counted_has_its_plural(): void
    {
        $missed = static fn (int $days): string => (new Message('steep.next.missed', ['days' => $days]))->words();

        self::assertStringEndsWith('for 1 day.', $missed(1));
        self::assertStringEndsWith('for 3 days.', $missed(3));
    }

    public function test_a_plain_sentence_is_put_together_as_icu_does(): void
    {
        foreach (self::files() as $room => $patterns) {
            foreach ($patterns as $key => $pattern) {
                $with = array_fill_keys(self::named($pattern), "shea's {own} 2.50");
                $words = MessageFormatter::formatMessage('en_GB', $pattern, $with);
                if (! str_contains($pattern, ', plural,') && ! str_contains($pattern, ', number')) {
                    self::assertSame($words, (new Message("$room.$key", $with))->words(), "$room.$key");
                }
            }
        }
    }

    #[RunInSeparateProcess]
    public function test_words_kept_as_php_are_used_while_they_are_as_new_as_their_files(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'words');
        file_put_contents($file, str_replace('Shake it today.', 'Shake it now.', KeptWords::compiled()));
        KeptWords::in($file);

        self::assertSame('Shake it now.', (new Message('steep.next.shake'))->words());
        unlink($file);
    }

    #[RunInSeparateProcess]
    public function test_words_kept_as_php_that_are_older_than_a_file_are_not_used(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'words');
        $old = preg_replace('/(steep\.json\' => )\d+/', '${1}1', KeptWords::compiled());
        file_put_contents($file, str_replace('Shake it today.', 'Shake it now.', (string) $old));
        KeptWords::in($file);

        self::assertSame('Shake it today.', (new Message('steep.next.shake'))->words());
        unlink($file);
    }

    public function test_a_sentence_that_nobody_wrote_is_refused(): void
    {
        $this->expectException(LogicException::class);
        (new Message('steep.nothing'))->words();
    }

    private static function withoutComments(string $code): string
    {
        $comments = [T_COMMENT, T_DOC_COMMENT];
        $kept = array_filter(
            token_get_all($code),
            static fn (array|string $t): bool => ! is_array($t) || ! in_array($t[0], $comments, true),
        );

        return implode('', array_map(static fn (array|string $t): string => is_array($t) ? $t[1] : $t, $kept));
    }

    /** @return array<string, array<string, string>> by room: pattern by key */
    private static function files(): array
    {
        $all = [];
        foreach (glob(dirname(__DIR__, 3).'/data/words/en/*.json') ?: [] as $file) {
            $all[basename($file, '.json')] = json_decode(
                (string) file_get_contents($file),
                true,
                flags: JSON_THROW_ON_ERROR,
            );
        }

        return $all;
    }

    /** @return list<string> names of what stands in a pattern, sorted */
    private static function named(string $pattern): array
    {
        $place = 0;
        $names = array_values(array_unique(self::namesIn($pattern, $place)));
        sort($names);

        return $names;
    }

    /**
     * @param  int  $place the character to read on from; afterwards the one behind the sentence's closing brace
     * @return list<string>
     */
    private static function namesIn(string $pattern, int &$place): array
    {
        $names = [];
        while ($place < strlen($pattern) && $pattern[$place] !== '}') {
            if ($pattern[$place++] !== '{') {
                continue;
            }
            $names[] = substr($pattern, $place, $length = strcspn($pattern, ',}', $place));
            $place += $length;
            while ($pattern[$place] !== '}') {
                // The choices of "select" and "plural" are sentences of their own.
                if ($pattern[$place++] === '{') {
                    array_push($names, ...self::namesIn($pattern, $place));
                }
            }
            $place++;
        }
        $place++;

        return $names;
    }

    /** @return list<New_|StaticCall> */
    private static function messages(): array
    {
        static $found = null;
        if ($found !== null) {
            return $found;
        }
        $parser = (new ParserFactory())->createForHostVersion();
        $found = [];
        foreach (['core', 'app'] as $layer) {
            $folder = dirname(__DIR__, 3)."/$layer";
            $files = new RecursiveIteratorIterator(
                new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS),
            );
            foreach ($files as $file) {
                $code = $file instanceof SplFileInfo ? (string) file_get_contents($file->getPathname()) : '';
                if (str_contains($code, 'Crown\\Words\\Message')) {
                    array_push($found, ...(new NodeFinder())->find(
                        $parser->parse($code) ?? [],
                        static fn (Node $n): bool => ($n instanceof New_
                                || ($n instanceof StaticCall && $n->name instanceof Identifier
                                    && $n->name->name === 'said'))
                            && $n->class instanceof Name && $n->class->getLast() === 'Message',
                    ));
                }
            }
        }

        return $found;
    }

    private static function key(New_|StaticCall $message): string
    {
        $key = $message->getArgs()[0]->value;
        self::assertInstanceOf(String_::class, $key, 'the key is written where it is said');

        return $key->value;
    }

    /** @return list<string>|null the names that are given; null where they are handed on */
    private static function given(New_|StaticCall $message): ?array
    {
        $with = $message->getArgs()[1]->value ?? null;
        if ($with instanceof Variable) {
            return null;
        }
        $given = [];
        foreach ($with instanceof Array_ ? $with->items : [] as $item) {
            if ($item->unpack || ! $item->key instanceof String_) {
                return null;
            }
            $given[] = $item->key->value;
        }

        return $given;
    }
}
