<?php

declare(strict_types=1);

namespace Crown\Formula;

/** What a change to a formula does; a cure is a list of changes. */
enum ChangeKind: string
{
    case SetAmounts = 'set-amounts';
    case SetPhase = 'set-phase';
    case SetForm = 'set-form';
    case SetIngredient = 'set-ingredient';
    case ConfirmLines = 'confirm-lines';
    case RemoveLines = 'remove-lines';
    case AddLine = 'add-line';
    case SetWetUse = 'set-wet-use';
    case SetMass = 'set-mass';

    public function takesLines(): bool
    {
        return ! in_array($this, [self::AddLine, self::SetWetUse, self::SetMass], true);
    }
}
