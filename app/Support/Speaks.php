<?php

declare(strict_types=1);

namespace App\Support;

use Attribute;

/**
 * What an action takes and answers: names of $defs in docs/formats/crown.schema.json. The API's document is made from
 * it. What is asked for in the address is taken from the rules of the action's form request.
 */
#[Attribute(Attribute::TARGET_METHOD)]
final readonly class Speaks
{
    public function __construct(
        public string $answers,
        public string $takes = '',
        public int $status = 200,
        public string $does = '',
        public string $as = 'application/json',
    ) {
    }
}
