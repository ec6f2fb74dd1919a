<?php

declare(strict_types=1);

namespace Crown\Reading\Internal;

use Crown\Catalogue\Catalogue;
use Crown\Catalogue\NameMatch;
use Crown\Reading\ReadingError;

/**
 * What the names in a text may mean. Each is looked up once, however often it stands there, and a text with more of
 * them than any recipe has is refused before it takes long.
 */
final class Names
{
    /** Different names in one text. Three hundred lines, each asked for whole and in pieces, stay far below. */
    private const MOST = 1_000;

    private const MATCHES = 4;

    /** @var array<string, list<NameMatch>> by what was asked for */
    private array $known = [];

    public function __construct(private readonly Catalogue $catalogue)
    {
    }

    /** Before another text. */
    public function forget(): void
    {
        $this->known = [];
    }

    /** Whether a thing is called just so. */
    public function exactly(string $name): bool
    {
        return $this->catalogue->isCalled($name);
    }

    /**
     * @return list<NameMatch> best first
     *
     * @throws ReadingError when the text has named more than any recipe does
     */
    public function matching(string $name): array
    {
        if (! isset($this->known[$name]) && count($this->known) >= self::MOST) {
            throw ReadingError::tooManyNames(self::MOST);
        }

        return $this->known[$name] ??= $this->catalogue->search($name, self::MATCHES);
    }
}
