<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Book\Picture;
use Ironwort\Core\Calc\BadInput;
use PHPUnit\Framework\TestCase;

/** Of a photo only what is seen is kept. */
final class PictureTest extends TestCase
{
    /** Red on the left, blue on the right. */
    private static function twoColours(int $width, int $height, \Closure $write): string
    {
        $image = imagecreatetruecolor($width, $height);
        imagefilledrectangle($image, 0, 0, intdiv($width, 2) - 1, $height, 0xff0000);
        imagefilledrectangle($image, intdiv($width, 2), 0, $width, $height, 0x0000ff);
        ob_start();
        $write($image);

        return (string) ob_get_clean();
    }

    /** A note of how the camera was held, and of where, as cameras write it behind the first two bytes. */
    private static function held(string $jpeg, int $orientation): string
    {
        $tiff = "II*\0" . pack('V', 8) . pack('v', 1) . pack('vvVvv', 0x0112, 3, 1, $orientation, 0) . pack('V', 0);
        $exif = "Exif\0\0" . $tiff;
        $place = 'GPS 51.5 N 0.1 W';

        return substr($jpeg, 0, 2) .
            "\xFF\xE1" .
            pack('n', strlen($exif) + 2) .
            $exif .
            "\xFF\xFE" .
            pack('n', strlen($place) + 2) .
            $place .
            substr($jpeg, 2);
    }

    private static function at(string $jpeg, float $x, float $y): string
    {
        $image = imagecreatefromstring($jpeg);
        self::assertNotFalse($image);
        $colour = imagecolorat($image, (int) ($x * (imagesx($image) - 1)), (int) ($y * (imagesy($image) - 1)));

        return $colour >> 16 > 128 ? 'red' : 'blue';
    }

    public function test_it_stands_upright_however_the_camera_was_held_and_its_place_is_gone(): void
    {
        $jpeg = self::twoColours(400, 200, static fn($image) => imagejpeg($image, null, 95));
        $expected = [1 => [400, 200, 'red', 'red'], 3 => [400, 200, 'blue', 'blue']];
        $expected += [6 => [200, 400, 'red', 'red'], 8 => [200, 400, 'blue', 'blue']];
        foreach ($expected as $orientation => [$width, $height, $topLeft]) {
            $sent = self::held($jpeg, $orientation);
            self::assertStringContainsString('GPS', $sent);
            $kept = Picture::read(base64_encode($sent));
            self::assertStringNotContainsString('GPS', $kept);
            self::assertStringNotContainsString('Exif', $kept);
            self::assertSame([$width, $height], array_slice((array) getimagesizefromstring($kept), 0, 2));
            self::assertSame($topLeft, self::at($kept, 0.1, 0.1), "held as {$orientation}");
            // Turned by a quarter the colours lie above one another, else side by side.
            $turned = in_array($orientation, [6, 8], true);
            self::assertSame($topLeft, self::at($kept, $turned ? 0.9 : 0.1, $turned ? 0.1 : 0.9));
        }
    }

    public function test_it_is_scaled_down_and_what_is_seen_through_is_white(): void
    {
        $large = self::twoColours(3200, 800, static fn($image) => imagepng($image));
        $kept = Picture::read('data:image/png;base64,' . base64_encode($large));
        self::assertSame([1600, 400], array_slice((array) getimagesizefromstring($kept), 0, 2));
        self::assertStringStartsWith("\xFF\xD8\xFF", $kept);
        self::assertLessThan(200_000, strlen($kept));
    }

    public function test_bombs_scripts_and_damage_are_refused(): void
    {
        // A header that promises 30,000 by 30,000 pixels, and nothing behind it.
        $head = pack('NN', 30000, 30000) . "\x08\x02\0\0\0";
        $bomb = "\x89PNG\r\n\x1a\n" . pack('N', 13) . 'IHDR' . $head . pack('N', crc32('IHDR' . $head));
        $jpeg = self::twoColours(400, 200, static fn($image) => imagejpeg($image));
        foreach ([$bomb, '<script>', '', substr($jpeg, 0, 60), 'GIF89a' . str_repeat("\0", 40)] as $bytes) {
            try {
                Picture::read(base64_encode($bytes));
                self::fail('It was taken.');
            } catch (BadInput $bad) {
                self::assertArrayHasKey('photo', $bad->errors);
            }
        }
    }
}
