<?php

declare(strict_types=1);

namespace App\Steep;

use App\Catalogue\StudioCatalogue;
use App\Support\Refused;
use App\Support\Speaks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Pictures of a jar: read as pictures, made small, and written anew, so that nothing but the picture is kept. */
final class PhotoController
{
    private const LONGEST_SIDE = 1280;

    private const MOST = 60;

    #[Speaks('Steep', '', 201, 'Keep a picture of a jar, on this machine')]
    public function store(int $steep, Request $request, StudioCatalogue $catalogue): JsonResponse
    {
        $row = Steep::query()->findOrFail($steep);
        $file = $request->file('photo');
        $bytes = $file instanceof UploadedFile && $file->isValid() ? (string) file_get_contents($file->getPathname()) : '';
        $size = $bytes === '' ? false : @getimagesizefromstring($bytes);
        if ($size === false || ! in_array($size[2], [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP], true) || $size[0] * $size[1] > 40_000_000) {
            throw new Refused('photo', 'A picture is needed: JPEG, PNG or WebP, at most 4 MB.');
        }
        if (SteepPhoto::query()->where('steep_id', $row->id)->count() >= self::MOST) {
            throw new Refused('photo', sprintf('This jar has %d pictures already. Take one out first.', self::MOST));
        }
        $picture = @imagecreatefromstring($bytes);
        if ($picture === false) {
            throw new Refused('photo', 'This picture cannot be read. Try another.');
        }
        $scale = min(1.0, self::LONGEST_SIDE / max($size[0], $size[1]));
        $small = imagescale($picture, max(1, (int) round($size[0] * $scale)), max(1, (int) round($size[1] * $scale)));
        $photo = new SteepPhoto(['steep_id' => $row->id, 'on_date' => today(), 'file' => bin2hex(random_bytes(16)).'.jpg', 'width' => imagesx($small ?: $picture), 'height' => imagesy($small ?: $picture)]);
        @mkdir(dirname($photo->path()), 0775, true);
        imagejpeg($small ?: $picture, $photo->path(), 82);
        $photo->save();

        return new JsonResponse(SteepView::page(Steep::query()->with(['shakes', 'lots', 'events', 'photos'])->findOrFail($steep), $catalogue->get()), 201);
    }

    public function show(int $photo): BinaryFileResponse
    {
        $row = SteepPhoto::query()->findOrFail($photo);
        if (! is_file($row->path())) {
            throw new Refused('photo', 'The picture is not on this machine any more.', 404);
        }

        return new BinaryFileResponse($row->path(), 200, ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=86400', 'X-Content-Type-Options' => 'nosniff']);
    }

    #[Speaks('Steep', does: 'Take out a picture')]
    public function destroy(int $photo, StudioCatalogue $catalogue): JsonResponse
    {
        $row = SteepPhoto::query()->findOrFail($photo);
        @unlink($row->path());
        $row->delete();

        return new JsonResponse(SteepView::page(Steep::query()->with(['shakes', 'lots', 'events', 'photos'])->findOrFail($row->steep_id), $catalogue->get()));
    }
}
