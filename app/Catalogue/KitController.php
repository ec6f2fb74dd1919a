<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Studio\CurrentStudio;
use App\Support\Refused;
use App\Support\Speaks;
use Crown\Json\Node;
use Crown\Measure\Kit;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What a studio works with, over HTTP. Each thing is read by core, which names what is wrong in it. */
final class KitController
{
    public function __construct(private readonly CurrentStudio $studio, private readonly StudioCatalogue $catalogue)
    {
    }

    #[Speaks('Kit', does: 'What this studio works with, and what can be written down of each thing')]
    public function index(): JsonResponse
    {
        return new JsonResponse((new KitResource($this->studio->get()->ownKit()))->toArray());
    }

    #[Speaks('Kit', 'KitItemDraft', 201, 'Add a thing to the kit')]
    public function store(Request $request): JsonResponse
    {
        return new JsonResponse($this->kept(fn (Kit $kit): Kit => $kit->with($this->said($request))), 201);
    }

    #[Speaks('Kit', 'KitItemDraft', does: 'Change a thing of the kit')]
    public function update(int $item, Request $request): JsonResponse
    {
        return new JsonResponse($this->kept(
            fn (Kit $kit): Kit => self::there($kit, $item)->changed($item, $this->said($request)),
        ));
    }

    #[Speaks('Kit', does: 'Take a thing out of the kit')]
    public function destroy(int $item): JsonResponse
    {
        return new JsonResponse($this->kept(static fn (Kit $kit): Kit => self::there($kit, $item)->without($item)));
    }

    private static function there(Kit $kit, int $item): Kit
    {
        return $kit->has($item) ? $kit : throw Refused::missing('item', 'There is no such thing in this kitchen.');
    }

    /** What was said of a thing, with the name of what it was weighed with. */
    private function said(Request $request): Node
    {
        $said = $request->json()->all();
        $id = is_string($said['ingredient'] ?? null) ? $said['ingredient'] : '';
        $all = $this->catalogue->get();
        if ($id !== '' && ! $all->has($id)) {
            throw Refused::because('ingredient', 'There is no such ingredient.');
        }

        return Node::of([...$said, 'substance' => $id === '' ? '' : $all->get($id)->name]);
    }

    /**
     * @param  callable(Kit): Kit  $change
     * @return array<string, mixed>
     */
    private function kept(callable $change): array
    {
        $studio = $this->studio->held();
        $kit = $change($studio->ownKit());
        $studio->update(['kit' => $kit->document()]);

        return (new KitResource($kit))->toArray();
    }
}
