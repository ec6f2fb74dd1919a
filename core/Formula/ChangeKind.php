<?php

declare(strict_types=1);

namespace Crown\Formula;

enum ChangeKind: string
{
    case SetAmounts = 'set-amounts';
    case SetPhase = 'set-phase';
    case SetForm = 'set-form';
    case SetIngredient = 'set-ingredient';
    case RemoveLines = 'remove-lines';
    case AddLine = 'add-line';
    case SetWetUse = 'set-wet-use';
    case SetMass = 'set-mass';

    public function takesLines(): bool
    {
        return ! in_array($this, [self::AddLine, self::SetWetUse, self::SetMass], true);
    }
}
