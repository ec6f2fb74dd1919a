<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Support\Refused;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Pictures of a bottle: its paper, its label, how it looked. */
final class PictureController
{
    public function __construct(
        private readonly KeepPicture $keep,
        private readonly PictureFiles $files,
        private readonly LotPages $pages,
    ) {
    }

    #[Speaks('LotPage', 'PhotoDraft', 201, 'Keep a picture of a bottle, on this machine', 'multipart/form-data')]
    public function store(int $lot, Request $request): JsonResponse
    {
        $row = Lot::query()->findOrFail($lot);
        $this->keep->of('lot_id', $row->id, $request);

        return $this->pages->answer($row, 201);
    }

    #[Speaks('LotPage', does: 'Take out a picture of a bottle')]
    public function destroy(int $photo): JsonResponse
    {
        $picture = Picture::query()->whereNotNull('lot_id')->findOrFail($photo);
        $this->keep->discard($picture);

        return $this->pages->answer(Lot::query()->findOrFail($picture->lot_id));
    }

    /** The picture itself, of a jar or a bottle. */
    public function show(int $photo): BinaryFileResponse
    {
        $path = $this->files->path(Picture::query()->findOrFail($photo)->file);
        if (! is_file($path)) {
            throw Refused::missing('photo', 'The picture is not on this machine any more.');
        }

        return new BinaryFileResponse(
            $path,
            200,
            // Asked for again each time: whoever has signed out sees none from the browser's own store.
            ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, no-cache'],
            false,
            null,
            true,
        );
    }
}
