<?php

declare(strict_types=1);

namespace Crown\Assessment;

/** One question asked of a composition. Adding a check is adding a file to Checks/ and naming it in Assessor. */
interface Check
{
    /** @return list<Finding> */
    public function examine(Examined $subject): array;
}
