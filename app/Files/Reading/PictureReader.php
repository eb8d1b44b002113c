<?php

declare(strict_types=1);

namespace App\Files\Reading;

use Isleward\Core\Measure\Refusal;

/** PNG and JPEG, drawn anew by GD. */
final class PictureReader
{
    /** Pixels of a picture that is opened: with what is made of them they fit into the memory that reading has. */
    private const MOST_PIXELS = 36_000_000;

    /** Pixels along the longer side of a picture as it is kept. */
    private const KEPT_SIDE = 6000;

    /** Pixels of one that is kept as it is (writing it takes 8 bytes each), and of one that had to be made smaller. */
    private const KEPT_WHOLE = 27_000_000;

    private const KEPT_SMALLER = 20_000_000;

    /** @throws Refusal */
    public static function read(string $path): Read
    {
        $size = @getimagesize($path);
        if ($size === false || ! in_array($size[2], [IMAGETYPE_PNG, IMAGETYPE_JPEG], true)) {
            throw Refusal::because('picture.unreadable', 'This picture cannot be read: it is damaged, or neither PNG nor JPEG.');
        }
        [$width, $height] = $size;
        if ($width * $height > self::MOST_PIXELS) {
            throw Refusal::because(
                'picture.too_large', sprintf('This picture has %d × %d pixels, %d million; %d million can be opened. Save it smaller.',
                    $width, $height, (int) ceil($width * $height / 1e6), intdiv(self::MOST_PIXELS, 1_000_000)));
        }
        $png = $size[2] === IMAGETYPE_PNG;
        $image = $png ? @imagecreatefrompng($path) : @imagecreatefromjpeg($path);
        if ($image === false) {
            throw Refusal::because('picture.unreadable', 'This picture cannot be read: it is damaged, or it breaks off.');
        }
        $notes = [];
        if (max($width, $height) > self::KEPT_SIDE || $width * $height > self::KEPT_WHOLE) {
            $share = min(self::KEPT_SIDE / max($width, $height), sqrt(self::KEPT_SMALLER / ($width * $height)));
            $smaller = imagescale($image, max(1, (int) round($width * $share)), max(1, (int) round($height * $share)));
            if ($smaller === false) {
                throw Refusal::because('picture.too_large', 'This picture could not be made smaller here. Save it smaller.');
            }
            $image = $smaller;
            $notes[] = sprintf('Kept with %d × %d pixels instead of %d × %d.', imagesx($image), imagesy($image), $width, $height);
        }
        imagesavealpha($image, $png);
        ob_start();
        $written = $png ? imagepng($image, null, 3) : imagejpeg($image, null, 88);
        $content = (string) ob_get_clean();
        if (! $written || @getimagesizefromstring($content) === false) {
            throw Refusal::because('picture.too_large', 'This picture could not be written here: it is too large. Save it smaller.');
        }

        return new Read($content, $png ? 'png' : 'jpg',
            [
                'kind' => 'picture',
                'width' => (float) imagesx($image),
                'height' => (float) imagesy($image),
                'lines' => 0,
                'pages' => 1,
                'page' => 1,
                'notes' => $notes,
            ]);
    }
}
