<?php

declare(strict_types=1);

namespace App\Today;

/** What is to be done of one kind, and the jars that are under way. */
final readonly class Work
{
    /**
     * @param  list<TodayItem>  $items in any order
     * @param  list<ShelfJar>  $shelf
     */
    public function __construct(public array $items, public array $shelf = [])
    {
    }
}
