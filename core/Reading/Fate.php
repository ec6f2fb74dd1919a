<?php

declare(strict_types=1);

namespace Crown\Reading;

/** What words of a pasted text became. */
enum Fate: string
{
    case Title = 'title';
    case Heading = 'heading';
    case Amount = 'amount';
    case Name = 'name';
    case Step = 'step';
    case Size = 'yield';
    case Negated = 'negated';
    case Remark = 'remark';
    case Unplaced = 'unplaced';
}
