<?php

declare(strict_types=1);

namespace Crown\Assessment;

/** The sentences of one room's findings: the one place where a code, its subjects and its figures become words. */
interface FindingWords
{
    /** A whole sentence, or several. */
    public function of(Finding $finding): string;
}
