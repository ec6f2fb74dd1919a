<?php

declare(strict_types=1);

namespace App\Make;

use App\Formula\Bench;
use App\Support\Speaks;
use Crown\Formula\FormulaDocument;
use Crown\Make\Procedure;
use Crown\Make\Task;
use Crown\Reading\Method;
use Illuminate\Http\JsonResponse;

/** How a draft will be made: its method read, and merged with what has to be done. Keeps nothing. */
final class ProcedureController
{
    public function __construct(private readonly Bench $bench)
    {
    }

    #[Speaks('Procedure', 'ProcedureAsk', does: 'How a draft will be made, task by task')]
    public function __invoke(ProcedureRequest $request): JsonResponse
    {
        $given = $request->given();
        $formula = $request->exists('method')
            ? $given->formula->withSteps(Method::read($request->string('method')->value()))
            : $given->formula;
        $assessment = $this->bench->assess($formula, $given->profile());
        $tasks = $assessment->subject->composition->counted() === [] ? [] : Procedure::of($assessment)->tasks;

        return new JsonResponse([
            'steps' => FormulaDocument::write($formula)['steps'],
            'tasks' => array_map(static fn (Task $t): array => [
                'id' => $t->id(),
                'kind' => $t->kind->value,
                'act' => $t->act,
                'gate' => $t->gate,
                'caution' => $t->caution ?? '',
                'lines' => $t->lines,
                'hers' => $t->hers->words ?? '',
                'doubt' => $t->hers->doubt ?? '',
            ], $tasks),
        ]);
    }
}
