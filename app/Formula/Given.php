<?php

declare(strict_types=1);

namespace App\Formula;

use App\Head\Head;
use App\Support\Refused;
use Crown\Formula\Formula as Composed;
use Crown\Formula\FormulaDocument;
use Crown\Head\Profile;
use Crown\Problem;
use Illuminate\Http\Request;

/** A formula as a request brings it, and whom it is for: a head, a type of hair, or nobody in particular. */
final readonly class Given
{
    /**
     * @param  array<array-key, mixed>|null  $hair
     * @param  Composed|null  $before the maker's earlier version, to see what was forgotten since
     */
    public function __construct(
        public Composed $formula,
        public ?Head $head,
        public ?array $hair,
        public ?Composed $before = null,
    ) {
    }

    public static function in(Request $request): self
    {
        $document = $request->json('formula');
        if (! is_array($document)) {
            throw Refused::because('formula', 'A formula is needed.');
        }
        $hair = $request->json('hair');
        $before = $request->json('before');

        return new self(
            Problem::within('formula', static fn (): Composed => FormulaDocument::read($document)),
            Head::chosen($request),
            // Nothing else of it is kept.
            is_array($hair)
                ? array_filter(array_intersect_key($hair, ['strand' => 1, 'porosity' => 1]), is_string(...))
                : null,
            is_array($before)
                ? Problem::within('before', static fn (): Composed => FormulaDocument::read($before))
                : null,
        );
    }

    public function profile(): ?Profile
    {
        return Bench::profile($this->head, $this->hair);
    }
}
