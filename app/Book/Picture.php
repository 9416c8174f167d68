<?php

declare(strict_types=1);

namespace App\Book;

use Ironwort\Core\Calc\BadInput;

/**
 * A photo as it is kept: decoded, turned upright, scaled down and written anew, so that nothing of it is left but what
 * is seen: no place, no device, nothing hidden behind the picture.
 */
final readonly class Picture
{
    /** Bytes of a file as a phone makes it. */
    private const MOST_BYTES = 12_000_000;

    /** A picture is unpacked at four bytes for each: a small file may hide a huge one. */
    private const MOST_PIXELS = 24_000_000;

    private const LONGEST_SIDE = 1600;

    private const QUALITY = 82;

    /** How a camera was held, by its number, to degrees to turn against the clock. */
    private const TURNED = [3 => 180, 6 => 270, 8 => 90];

    private const KINDS = [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP];

    /**
     * A picture as a form sends it, as it is kept; null where none was sent.
     *
     * @return ?array{type: string, picture: string}
     *
     * @throws BadInput at `photo`
     */
    public static function sent(mixed $sent): ?array
    {
        return !is_string($sent) || $sent === ''
            ? null
            : ['type' => 'image/jpeg', 'picture' => base64_encode(self::read($sent))];
    }

    /**
     * @param  string  $sent  base64, perhaps as a data address
     * @return string the bytes of a JPEG
     *
     * @throws BadInput at `photo`
     */
    public static function read(string $sent): string
    {
        $bytes = base64_decode((string) preg_replace('/^data:[a-z\/]+;base64,/', '', $sent), true);
        if ($bytes === false) {
            throw BadInput::at('photo', 'This is no picture.');
        }
        if (strlen($bytes) > self::MOST_BYTES) {
            throw BadInput::at('photo', 'The picture is larger than 12 MB.');
        }
        $size = @getimagesizefromstring($bytes);
        if ($size === false || !in_array($size[2], self::KINDS, true)) {
            throw BadInput::at('photo', 'A picture is a JPEG, PNG or WebP.');
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS) {
            throw BadInput::at('photo', 'The picture has more than 24 million pixels: take a smaller one.');
        }
        $image = @imagecreatefromstring($bytes);
        if ($image === false) {
            throw BadInput::at('photo', 'This picture is damaged.');
        }

        return self::jpeg(self::upright(self::scaled($image), $bytes, $size[2]));
    }

    private static function scaled(\GdImage $image): \GdImage
    {
        $width = imagesx($image);
        $height = imagesy($image);
        $share = min(1.0, self::LONGEST_SIDE / max($width, $height));
        $to = [max(1, (int) round($width * $share)), max(1, (int) round($height * $share))];
        $paper = imagecreatetruecolor(...$to);
        // What can be seen through stands on white.
        imagefill($paper, 0, 0, (int) imagecolorallocate($paper, 255, 255, 255));
        imagecopyresampled($paper, $image, 0, 0, 0, 0, $to[0], $to[1], $width, $height);

        return $paper;
    }

    private static function upright(\GdImage $image, string $bytes, int $kind): \GdImage
    {
        $stream = $kind === IMAGETYPE_JPEG ? fopen('php://memory', 'r+') : false;
        if ($stream === false) {
            return $image;
        }
        fwrite($stream, $bytes);
        rewind($stream);
        $exif = @exif_read_data($stream);
        fclose($stream);
        $held = is_array($exif) && is_int($exif['Orientation'] ?? null) ? $exif['Orientation'] : 1;
        $turned = isset(self::TURNED[$held]) ? imagerotate($image, self::TURNED[$held], 0) : $image;

        return $turned === false ? $image : $turned;
    }

    private static function jpeg(\GdImage $image): string
    {
        ob_start();
        imagejpeg($image, null, self::QUALITY);

        return (string) ob_get_clean();
    }
}
