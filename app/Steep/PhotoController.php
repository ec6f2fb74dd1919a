<?php

declare(strict_types=1);

namespace App\Steep;

use App\Catalogue\StudioCatalogue;
use App\Studio\Day;
use App\Support\Refused;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Pictures of a jar. */
final class PhotoController
{
    private const MOST = 60;

    public function __construct(private readonly PictureFiles $files, private readonly StudioCatalogue $catalogue)
    {
    }

    #[Speaks('Steep', 'PhotoDraft', 201, 'Keep a picture of a jar, on this machine', 'multipart/form-data')]
    public function store(int $steep, Request $request): JsonResponse
    {
        $row = Steep::held($steep);
        $upload = $request->file('photo');
        if (! ($upload instanceof UploadedFile) || ! $upload->isValid()) {
            throw Refused::because('photo', 'A picture is needed: JPEG, PNG or WebP, at most 4 MB.');
        }
        if (SteepPhoto::query()->where('steep_id', $row->id)->count() >= self::MOST) {
            throw Refused::because(
                'photo',
                sprintf('This jar has %d pictures already. Take one out first.', self::MOST),
            );
        }
        $picture = $this->files->keep($upload->getPathname());
        SteepPhoto::query()->create([
            'steep_id' => $row->id,
            'on_date' => Day::today(),
            'file' => $picture->file,
            'width' => $picture->width,
            'height' => $picture->height,
        ]);

        return new JsonResponse($this->view($row->id), 201);
    }

    public function show(int $photo): BinaryFileResponse
    {
        $path = $this->files->path(SteepPhoto::query()->findOrFail($photo)->file);
        if (! is_file($path)) {
            throw Refused::missing('photo', 'The picture is not on this machine any more.');
        }

        return new BinaryFileResponse(
            $path,
            200,
            ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=86400'],
            false,
        );
    }

    #[Speaks('Steep', does: 'Take out a picture')]
    public function destroy(int $photo): JsonResponse
    {
        $row = SteepPhoto::query()->findOrFail($photo);
        $row->delete();
        $this->files->discard($row->file);

        return new JsonResponse($this->view($row->steep_id));
    }

    /** @return array<string, mixed> */
    private function view(int $steep): array
    {
        $tools = $this->catalogue->kitchen()->tools;

        return (new SteepResource(Steep::whole($steep), $this->catalogue->get(), $tools))->toArray();
    }
}
