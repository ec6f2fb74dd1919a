<?php

declare(strict_types=1);

namespace Crown\Solving;

/** What a maker asks for in her own words. */
enum Wish: string
{
    case Softer = 'softer';
    case Firmer = 'firmer';
    case Lighter = 'lighter';
    case Richer = 'richer';
    case KeepsLonger = 'keeps-longer';
    case Cheaper = 'cheaper';
    /** Of an allergen or an ingredient. */
    case Without = 'without';
    /** Of an ingredient. */
    case UseUp = 'use-up';
    /** Of an audience. */
    case SafeFor = 'safe-for';
    case Fewer = 'fewer';
    /** Only what stands in the cupboard, and no more than there is of it. */
    case AtHand = 'at-hand';
}
