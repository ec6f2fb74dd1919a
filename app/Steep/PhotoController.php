<?php

declare(strict_types=1);

namespace App\Steep;

use App\Catalogue\StudioCatalogue;
use App\Pantry\KeepPicture;
use App\Pantry\Picture;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Pictures of a jar that stands on its plants. */
final class PhotoController
{
    public function __construct(private readonly KeepPicture $keep, private readonly StudioCatalogue $catalogue)
    {
    }

    #[Speaks('Steep', 'PhotoDraft', 201, 'Keep a picture of a jar, on this machine', 'multipart/form-data')]
    public function store(int $steep, Request $request): JsonResponse
    {
        $row = Steep::held($steep);
        $this->keep->of('steep_id', $row->id, $request);

        return new JsonResponse($this->view($row->id), 201);
    }

    #[Speaks('Steep', does: 'Take out a picture')]
    public function destroy(int $photo): JsonResponse
    {
        $picture = Picture::query()->whereNotNull('steep_id')->findOrFail($photo);
        $this->keep->discard($picture);

        return new JsonResponse($this->view((int) $picture->steep_id));
    }

    /** @return array<string, mixed> */
    private function view(int $steep): array
    {
        $tools = $this->catalogue->kitchen()->tools;

        return (new SteepResource(Steep::whole($steep), $this->catalogue->get(), $tools))->toArray();
    }
}
