<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Support\Refused;
use Illuminate\Support\Facades\DB;
use Intervention\Image\Exceptions\RuntimeException;
use Intervention\Image\ImageManager;

/**
 * The files of pictures: read as pictures, turned upright, made small and written anew, so that nothing but the picture
 * is kept.
 *
 * A file gets its name when what names it is committed, and goes when its row has gone. What a crash leaves between the
 * two is swept up at the next start.
 */
final class PictureFiles
{
    private const LONGEST_SIDE = 1280;

    private const QUALITY = 82;

    /**
     * A picture being read takes some nine bytes a pixel, turned upright included: this stays well within a worker's
     * memory.
     */
    private const MOST_PIXELS = 16_000_000;

    private const TYPES = [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP];

    /** Seconds after which an unnamed file belongs to nothing that is still under way. */
    private const ABANDONED = 3_600;

    public function __construct(private readonly string $folder)
    {
    }

    public function path(string $file): string
    {
        return $this->folder.'/'.basename($file);
    }

    /** @throws Refused when it is no picture, or too large */
    public function keep(string $upload): KeptPicture
    {
        $size = @getimagesize($upload);
        if ($size === false || ! in_array($size[2], self::TYPES, true)) {
            throw Refused::because('photo', 'A picture is needed: JPEG, PNG or WebP, at most 4 MB.');
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS) {
            throw Refused::because('photo', 'This picture has more than 16 million pixels. Take a smaller one.');
        }
        @mkdir($this->folder, 0700, true);
        $file = bin2hex(random_bytes(16)).'.jpg';
        $picture = $this->oneAtATime(fn (): KeptPicture => $this->writeSmall($upload, $file));
        DB::afterCommit(fn (): bool => rename($this->path($file).'.part', $this->path($file)));
        DB::afterRollBack(fn (): bool => @unlink($this->path($file).'.part'));

        return $picture;
    }

    /** When the transaction that takes its row away is committed. */
    public function discard(string $file): void
    {
        DB::afterCommit(fn (): bool => @unlink($this->path($file)));
    }

    /** Takes away every file that no row names, and names those whose row was committed in the moment of a crash. */
    public function sweep(): void
    {
        $named = [];
        foreach (Picture::query()->withoutGlobalScopes()->get(['file']) as $photo) {
            $named[$photo->file] = true;
        }
        foreach (glob($this->folder.'/*.jpg*') ?: [] as $path) {
            $file = basename($path, '.part');
            $isPart = str_ends_with($path, '.part');
            match (true) {
                $isPart && isset($named[$file]) => rename($path, $this->path($file)),
                $isPart && time() - (int) filemtime($path) < self::ABANDONED => null,
                ! isset($named[$file]) => @unlink($path),
                default => null,
            };
        }
    }

    private function writeSmall(string $upload, string $file): KeptPicture
    {
        try {
            $picture = ImageManager::gd()->read($upload)->scaleDown(self::LONGEST_SIDE, self::LONGEST_SIDE);
            $picture->toJpeg(self::QUALITY)->save($this->path($file).'.part');
        } catch (RuntimeException) {
            throw Refused::because('photo', 'This picture cannot be read. Try another.');
        }

        return new KeptPicture($file, $picture->width(), $picture->height());
    }

    /**
     * Pictures are large while they are read: several people who send theirs at once wait for each other.
     *
     * @template T
     *
     * @param  callable(): T  $work
     * @return T
     */
    private function oneAtATime(callable $work): mixed
    {
        $turn = fopen($this->folder.'/.turn', 'c');
        if ($turn === false || ! flock($turn, LOCK_EX)) {
            throw Refused::unable('photo', 'The folder of the pictures cannot be written.');
        }
        try {
            return $work();
        } finally {
            fclose($turn);
        }
    }
}
