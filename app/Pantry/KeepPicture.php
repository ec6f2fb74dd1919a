<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Studio\Day;
use App\Support\Refused;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;

/** Keeps a picture of a jar or a bottle on this machine. */
final class KeepPicture
{
    private const MOST = 60;

    public function __construct(private readonly PictureFiles $files)
    {
    }

    /**
     * @param  string  $owner column of whose picture it is: steep_id or lot_id
     *
     * @throws Refused when it is no picture, or there are too many
     */
    public function of(string $owner, int $id, Request $request): void
    {
        $upload = $request->file('photo');
        if (! ($upload instanceof UploadedFile) || ! $upload->isValid()) {
            throw Refused::because('photo', 'A picture is needed: JPEG, PNG or WebP, at most 4 MB.');
        }
        if (Picture::query()->where($owner, $id)->count() >= self::MOST) {
            throw Refused::because(
                'photo',
                sprintf('There are %d pictures of it already. Take one out first.', self::MOST),
            );
        }
        $kept = $this->files->keep($upload->getPathname());
        Picture::query()->create([
            $owner => $id,
            'on_date' => Day::today(),
            'file' => $kept->file,
            'width' => $kept->width,
            'height' => $kept->height,
        ]);
    }

    public function discard(Picture $picture): void
    {
        $picture->delete();
        $this->files->discard($picture->file);
    }
}
