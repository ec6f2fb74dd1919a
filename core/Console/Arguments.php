<?php

declare(strict_types=1);

namespace Crown\Console;

use DateTimeImmutable;

/** A command line taken apart: words in order, and options as --name value, --name=value or --name alone. */
final readonly class Arguments
{
    private const FLAGS = ['json', 'wet-use', 'for-sale', 'pressed'];

    /**
     * @param  list<string>  $words
     * @param  array<string, string>  $options the last that was said of each
     * @param  array<string, list<string>>  $every all that was said of each, in order
     */
    private function __construct(public array $words, private array $options, private array $every)
    {
    }

    /** @param  list<string>  $argv without the program's name */
    public static function of(array $argv): self
    {
        $words = $options = $every = [];
        for ($i = 0; $i < count($argv); $i++) {
            if (! str_starts_with($argv[$i], '--')) {
                $words[] = $argv[$i];

                continue;
            }
            [$name, $value] = [...explode('=', substr($argv[$i], 2), 2), "\0"];
            if (in_array($name, self::FLAGS, true)) {
                $options[$name] = 'yes';
            } else {
                $options[$name]
                    = $value !== "\0" ? $value : $argv[++$i] ?? throw UsageError::missing('a value for --'.$name);
                $every[$name][] = $options[$name];
            }
        }

        return new self($words, $options, $every);
    }

    /** @return list<string> what was said of an option that may be given more than once */
    public function all(string $name): array
    {
        return $this->every[$name] ?? [];
    }

    public function flag(string $name): bool
    {
        return isset($this->options[$name]);
    }

    public function text(string $name, string $fallback): string
    {
        return $this->options[$name] ?? $fallback;
    }

    public function required(string $name): string
    {
        return $this->options[$name] ?? throw UsageError::missing('--'.$name);
    }

    public function number(string $name, float $fallback): float
    {
        if (! isset($this->options[$name])) {
            return $fallback;
        }

        return is_numeric($this->options[$name])
            ? (float) $this->options[$name]
            : throw UsageError::option($name, 'a number');
    }

    public function date(string $name, string $fallback): DateTimeImmutable
    {
        $text = $this->text($name, $fallback);
        $date = DateTimeImmutable::createFromFormat('!Y-m-d', $text);

        return $date !== false && $date->format('Y-m-d') === $text
            ? $date
            : throw UsageError::option($name, 'a date as 2027-01-31');
    }

    public function word(int $n, string $what): string
    {
        return $this->words[$n] ?? throw UsageError::missing($what);
    }
}
