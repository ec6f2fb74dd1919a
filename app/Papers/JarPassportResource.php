<?php

declare(strict_types=1);

namespace App\Papers;

use App\Make\Batch;
use App\Make\BatchFinding;
use App\Make\BatchPlan;
use App\Studio\Studio;
use App\Support\Refused;
use Crown\Json\Node;
use Crown\Papers\Passport;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** What whoever holds a jar may know of it: $defs/JarPassport. */
final class JarPassportResource extends JsonResource
{
    public function __construct(
        private readonly Batch $batch,
        private readonly BatchPlan $plan,
        private readonly Studio $studio,
    ) {
        parent::__construct($batch);
    }

    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        $label = $this->batch->label ?? throw Refused::missing('token', 'This jar has no label any more.');
        $words = Node::of($label);
        $formula = $this->batch->made();

        return [
            'studio' => $this->studio->name,
            'label' => $label,
            'must_not_be_used' => $this->against(),
            'questions' => new Passport(
                $formula->kind,
                $formula->audience,
                $words->text('best_before') ?: null,
                $words->text('opened') ?: null,
                $words->text('store') ?: null,
                $words->texts('cautions'),
            ),
        ];
    }

    /** @return list<string> why it is not to be used, whatever its label says */
    private function against(): array
    {
        $bad = BatchFinding::query()->where('batch_id', $this->batch->id)->where('state', 'off')->exists();

        return [
            ...$this->plan->withdrawn($this->batch),
            ...$bad ? ['A jar of this batch was found bad: its smell or its look. Throw yours away.'] : [],
        ];
    }
}
