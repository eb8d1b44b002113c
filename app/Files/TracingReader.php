<?php

declare(strict_types=1);

namespace App\Files;

use App\Models\Project;
use Illuminate\Support\Facades\Process;
use Isleward\Core\Exchange\SvgReader;
use Isleward\Core\Refusal;
use Isleward\Core\Tracing\Vectors;

/**
 * Reads a drawing or picture that was sent: PNG and JPEG are drawn anew, SVG and PDF pages become lines (a PDF page through poppler;
 * one that has only a scan on it becomes a picture). What came is never kept or served as it came.
 */
final readonly class TracingReader
{
    /** Pixels of a picture that is opened. */
    private const MOST_PIXELS = 40_000_000;

    /** Pixels along the longer side of a picture as it is kept. */
    private const KEPT_SIDE = 6000;

    /** A page that would take poppler more memory than this is not drawn. */
    private const KEPT_SMALL = ['prlimit', '--as=3000000000'];

    public function __construct(private Store $files)
    {
    }

    /**
     * @param  int  $page  of a PDF, from 1
     * @return array{file: string, kind: 'vector'|'picture', width: float, height: float, lines: int, pages: int, page: int, notes: list<string>}
     *
     * @throws Refusal when it cannot be read
     */
    public function read(Project $project, string $content, int $page = 1): array
    {
        if (str_starts_with($content, '%PDF-')) {
            return $this->pdf($project, $content, $page);
        }
        if (str_starts_with($content, "\x89PNG") || str_starts_with($content, "\xFF\xD8")) {
            return $this->picture($project, $content);
        }
        if (preg_match('/<svg[\s>]/i', substr($content, 0, 4000)) === 1) {
            return $this->vectors($project, SvgReader::read($content));
        }
        if (str_starts_with($content, "\x1F\x8B")) {
            throw Refusal::because('tracing.packed', 'This file is packed. Unpack it first: PNG, JPEG, SVG and PDF are read.');
        }
        throw Refusal::because('tracing.unknown', 'This is no drawing or picture that is read here: PNG, JPEG, SVG and PDF are.');
    }

    /** @return array{file: string, kind: 'vector'|'picture', width: float, height: float, lines: int, pages: int, page: int, notes: list<string>} */
    public function picture(Project $project, string $content): array
    {
        $size = @getimagesizefromstring($content);
        if ($size === false || ! in_array($size[2], [IMAGETYPE_PNG, IMAGETYPE_JPEG], true)) {
            throw Refusal::because('picture.unreadable', 'This picture cannot be read: it is damaged, or neither PNG nor JPEG.');
        }
        [$width, $height] = $size;
        if ($width * $height > self::MOST_PIXELS) {
            throw Refusal::because('picture.too_large', sprintf('This picture has %d × %d pixels, %d million; %d million can be opened. Save it smaller.', $width, $height, (int) ceil($width * $height / 1e6), intdiv(self::MOST_PIXELS, 1_000_000)));
        }
        $image = @imagecreatefromstring($content);
        if ($image === false) {
            throw Refusal::because('picture.unreadable', 'This picture cannot be read: it is damaged, or it breaks off.');
        }
        $notes = [];
        if (max($width, $height) > self::KEPT_SIDE) {
            $smaller = imagescale($image, (int) round($width * self::KEPT_SIDE / max($width, $height)));
            $image = $smaller === false ? $image : $smaller;
            $notes[] = sprintf('Kept with %d × %d pixels instead of %d × %d.', imagesx($image), imagesy($image), $width, $height);
        }
        $png = $size[2] === IMAGETYPE_PNG;
        ob_start();
        if ($png) {
            imagesavealpha($image, true);
            imagepng($image, null, 6);
        } else {
            imagejpeg($image, null, 88);
        }

        return ['file' => $this->files->put($project, (string) ob_get_clean(), $png ? 'png' : 'jpg'), 'kind' => 'picture', 'width' => (float) imagesx($image), 'height' => (float) imagesy($image), 'lines' => 0, 'pages' => 1, 'page' => 1, 'notes' => $notes];
    }

    /** @return array{file: string, kind: 'vector', width: float, height: float, lines: int, pages: int, page: int, notes: list<string>} */
    private function vectors(Project $project, Vectors $v): array
    {
        $file = $this->files->put($project, json_encode($v->toArray(), JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE), 'json');

        return ['file' => $file, 'kind' => 'vector', 'width' => $v->width, 'height' => $v->height, 'lines' => $v->count(), 'pages' => 1, 'page' => 1, 'notes' => $v->notes];
    }

    /** @return array{file: string, kind: 'vector'|'picture', width: float, height: float, lines: int, pages: int, page: int, notes: list<string>} */
    private function pdf(Project $project, string $content, int $page): array
    {
        $folder = sys_get_temp_dir().'/isleward-pdf-in-'.bin2hex(random_bytes(6));
        mkdir($folder, 0o700);
        try {
            file_put_contents("$folder/in.pdf", $content);
            $info = Process::timeout(20)->run([...self::KEPT_SMALL, 'pdfinfo', "$folder/in.pdf"]);
            $said = $info->output().$info->errorOutput();
            if (preg_match('/Incorrect password|^Encrypted:\s+yes/mi', $said) === 1) {
                throw Refusal::because('pdf.encrypted', 'This PDF is encrypted. Save it without a password first.');
            }
            $pages = preg_match('/^Pages:\s+(\d+)/m', $said, $m) === 1 ? (int) $m[1] : 0;
            if (! $info->successful() || $pages === 0) {
                throw Refusal::because('pdf.unreadable', $info->successful() ? 'This PDF has no pages.' : 'This PDF cannot be read: it is damaged, or has no pages.');
            }
            if ($page < 1 || $page > $pages) {
                throw Refusal::because('pdf.page', sprintf('This PDF has %d page%s; page %d was asked for.', $pages, $pages === 1 ? '' : 's', $page));
            }
            $made = Process::timeout(60)->run([...self::KEPT_SMALL, 'pdftocairo', '-svg', '-noshrink', '-nocenter', '-f', (string) $page, '-l', (string) $page, "$folder/in.pdf", "$folder/out.svg"]);
            if (! $made->successful() || ! is_file("$folder/out.svg")) {
                throw Refusal::because('pdf.unreadable', sprintf('Page %d of this PDF cannot be drawn: it is damaged.', $page));
            }
            try {
                $vectors = filesize("$folder/out.svg") > 60_000_000 ? null : SvgReader::read((string) file_get_contents("$folder/out.svg"));
            } catch (Refusal) {
                $vectors = null; // nothing but a scan on it, or more lines than are read: it is laid down as a picture
            }
            $read = $vectors !== null && $vectors->count() >= 12 ? $this->vectors($project, $vectors) : $this->scan($project, $folder, $page);

            return ['pages' => $pages, 'page' => $page, 'notes' => [...($read['kind'] === 'picture' ? ['The page has no lines that can be caught on; it is laid down as a picture.'] : []), ...$read['notes']]] + $read;
        } finally {
            array_map(unlink(...), glob("$folder/*") ?: []);
            rmdir($folder);
        }
    }

    /** @return array{file: string, kind: 'vector'|'picture', width: float, height: float, lines: int, pages: int, page: int, notes: list<string>} */
    private function scan(Project $project, string $folder, int $page): array
    {
        $made = Process::timeout(60)->run([...self::KEPT_SMALL, 'pdftoppm', '-png', '-singlefile', '-scale-to', '4500', '-f', (string) $page, '-l', (string) $page, "$folder/in.pdf", "$folder/out"]);
        if (! $made->successful() || ! is_file("$folder/out.png")) {
            throw Refusal::because('pdf.unreadable', sprintf('Page %d of this PDF cannot be drawn: it is damaged.', $page));
        }

        return $this->picture($project, (string) file_get_contents("$folder/out.png"));
    }
}
