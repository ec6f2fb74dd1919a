<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Pantry\Picture;
use App\Pantry\PictureFiles;
use App\Steep\SweepCommand;
use GdImage;
use Illuminate\Filesystem\Filesystem;
use RuntimeException;

/** Pictures stand upright, tell nothing of where they were taken, are private, and go when their thing goes. */
final class PictureTest extends StudioTestCase
{
    private string $folder = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/crown-pictures-'.bin2hex(random_bytes(4));
        app()->instance(PictureFiles::class, new PictureFiles($this->folder));
    }

    protected function tearDown(): void
    {
        (new Filesystem())->deleteDirectory($this->folder);
        parent::tearDown();
    }

    public function test_a_picture_that_lies_on_its_side_is_turned_upright_and_tells_nothing_more(): void
    {
        // Left half red, right half blue, and a note that it is to be turned a quarter to the right: red stands above.
        $photo = $this->asPicture($this->steep()['id'], self::onItsSide())->assertCreated()->json('photos.0');
        self::assertSame([40, 80], [$photo['width'], $photo['height']]);
        $bytes = (string) file_get_contents($this->files()[0]);
        self::assertStringNotContainsString('Exif', $bytes);
        self::assertStringNotContainsString('Somewhere', $bytes);
        $kept = imagecreatefromstring($bytes);
        self::assertInstanceOf(GdImage::class, $kept);
        self::assertSame([true, true], [self::isRed($kept, 20, 15), ! self::isRed($kept, 20, 65)]);
    }

    public function test_it_is_sent_to_its_studio_and_kept_by_no_cache_between(): void
    {
        $id = $this->asPicture($this->steep()['id'], self::picture())->json('photos.0.id');
        self::assertSame(
            'no-cache, private',
            $this->ask('GET', '/photos/'.$id)
                ->assertOk()
                ->headers->get('Cache-Control'),
        );
        $this->ask('GET', '/photos/'.$id, as: $this->stranger)->assertNotFound();
    }

    public function test_a_bottle_has_pictures_as_a_jar_has_and_only_its_studio_sees_them(): void
    {
        $lot = $this->got('ShelfList', 'POST', 'pantry/lots', [
            'lots' => [['ingredient' => 'argan-oil', 'grams' => 100]],
        ])['items'][0]['id'];
        $page = $this->asPicture($lot, self::picture(), of: 'pantry/lots')->assertCreated();
        $id = $page->json('pictures.0.id');
        self::assertSame([$id], array_column($this->got('LotPage', 'GET', 'pantry/lots/'.$lot)['pictures'], 'id'));
        $this->ask('GET', '/photos/'.$id)->assertOk();
        $this->asPicture($lot, self::picture(), $this->stranger, 'pantry/lots')->assertNotFound();
        $this->ask('DELETE', 'pantry/photos/'.$id, as: $this->stranger)->assertNotFound();
        // What is of a bottle is not taken out of a jar.
        $this->ask('DELETE', 'steep-photos/'.$id)->assertNotFound();
        app(PictureFiles::class)->sweep();
        self::assertCount(1, $this->files());
        self::assertSame([], $this->got('LotPage', 'DELETE', 'pantry/photos/'.$id)['pictures']);
        self::assertSame([], $this->files());
        $this->asPicture($lot, 'no picture', of: 'pantry/lots')->assertStatus(422)->assertJsonValidationErrors('photo');
    }

    public function test_one_too_large_to_be_read_is_refused_before_it_is(): void
    {
        $steep = $this->steep()['id'];
        $bomb = self::bomb(30_000, 30_000);
        $before = memory_get_peak_usage();
        $this->asPicture($steep, $bomb)
            ->assertStatus(422)
            ->assertJsonPath('errors.photo.0', 'This picture has more than 16 million pixels. Take a smaller one.');
        self::assertLessThan(20_000_000, memory_get_peak_usage() - $before);
        self::assertSame([], $this->files());
    }

    public function test_nothing_is_left_of_one_that_was_not_kept(): void
    {
        Picture::creating(static fn (): never => throw new RuntimeException('on the way'));
        $this->asPicture($this->steep()['id'], self::picture())->assertStatus(500);
        self::assertSame([], $this->files());
    }

    public function test_the_files_go_with_what_they_belong_to(): void
    {
        $jar = $this->steep();
        $first = $this->asPicture($jar['id'], self::picture())->json('photos.0.id');
        $this->asPicture($jar['id'], self::picture());
        self::assertCount(2, $this->files());
        $this->ask('DELETE', 'steep-photos/'.$first)->assertOk();
        self::assertCount(1, $this->files());
        // A studio is deleted with all its rows by the database itself: what they named is swept up.
        $this->amara->studio->delete();
        touch($this->folder.'/abandoned.jpg.part', time() - 7_200);
        touch($this->folder.'/underway.jpg.part');
        $this->artisan(SweepCommand::class)->assertSuccessful();
        self::assertSame([$this->folder.'/underway.jpg.part'], $this->files());
    }

    public function test_one_that_was_committed_in_the_moment_of_a_crash_gets_its_name(): void
    {
        $this->asPicture($this->steep()['id'], self::picture());
        $file = $this->files()[0];
        rename($file, $file.'.part');
        $this->artisan(SweepCommand::class)->assertSuccessful();
        self::assertSame([$file], $this->files());
    }

    /** @return list<string> */
    private function files(): array
    {
        return glob($this->folder.'/*.jpg*') ?: [];
    }

    private static function isRed(GdImage $image, int $x, int $y): bool
    {
        $colour = imagecolorsforindex($image, (int) imagecolorat($image, $x, $y));

        return $colour['red'] > 150 && $colour['blue'] < 100;
    }

    /** A JPEG of 80 by 40 with an orientation of 6 and a place in its EXIF. */
    private static function onItsSide(): string
    {
        $image = imagecreatetruecolor(80, 40);
        imagefilledrectangle($image, 0, 0, 39, 39, (int) imagecolorallocate($image, 220, 20, 20));
        imagefilledrectangle($image, 40, 0, 79, 39, (int) imagecolorallocate($image, 20, 20, 220));
        ob_start();
        imagejpeg($image, null, 95);
        $jpeg = (string) ob_get_clean();
        // TIFF header; two entries: orientation (0x0112, SHORT, 6) and description (0x010e, ASCII, at the end).
        $tiff = "MM\0*"
            .pack('N', 8)
            .pack('n', 2)
            .pack('nnNN', 0x010E, 2, 10, 38)
            .pack('nnNnn', 0x0112, 3, 1, 6, 0)
            .pack('N', 0)
            ."Somewhere\0";
        $exif = "Exif\0\0".$tiff;

        return substr($jpeg, 0, 2)."\xff\xe1".pack('n', strlen($exif) + 2).$exif.substr($jpeg, 2);
    }

    /** The head of a PNG that says it is so large, and little more. */
    private static function bomb(int $width, int $height): string
    {
        $chunk = static fn (string $type, string $data): string => pack('N', strlen($data))
            .$type
            .$data
            .pack('N', crc32($type.$data));

        return "\x89PNG\r\n\x1a\n"
            .$chunk('IHDR', pack('NNCCCCC', $width, $height, 8, 2, 0, 0, 0))
            .$chunk('IDAT', (string) gzcompress(''))
            .$chunk('IEND', '');
    }
}
