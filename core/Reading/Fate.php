<?php

declare(strict_types=1);

namespace Crown\Reading;

/** What words of a pasted text became. */
enum Fate: string
{
    private const WHY = [
        'title' => 'It stands first, and names no ingredient.',
        'heading' => 'It says what the rows under it are.',
        'amount' => 'How much of it goes in.',
        'name' => 'What goes in.',
        'form' => 'The state in which it goes in.',
        'alternative' => 'What may take its place.',
        'step' => 'It says what is done.',
        'time' => 'How long the step takes.',
        'temperature' => 'How warm the step is.',
        'yield' => 'How much the whole makes, or how long it keeps. Nothing goes in.',
        'audience' => 'Whom it is for. It is judged by that.',
        'negated' => 'It says what is left out. Nothing goes in.',
        'remark' => 'It names no amount and no act. It is kept as a note.',
        'unplaced' => 'No line and no step takes this figure.',
    ];

    case Title = 'title';
    case Heading = 'heading';
    case Amount = 'amount';
    case Name = 'name';
    case Form = 'form';
    case Alternative = 'alternative';
    case Step = 'step';
    case Time = 'time';
    case Temperature = 'temperature';
    case Size = 'yield';
    case Audience = 'audience';
    case Negated = 'negated';
    case Remark = 'remark';
    case Unplaced = 'unplaced';

    /** Why words become it, in a sentence, where nothing more is to be said of them. */
    public function why(): string
    {
        return self::WHY[$this->value];
    }
}
