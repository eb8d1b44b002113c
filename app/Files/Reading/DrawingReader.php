<?php

declare(strict_types=1);

namespace App\Files\Reading;

use App\Files\Foreign;
use Isleward\Core\Exchange\SvgReader;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Tracing\Vectors;
use Symfony\Component\Process\Exception\ProcessSignaledException;
use Symfony\Component\Process\Process;

/**
 * A drawing or picture that was sent: PNG and JPEG are drawn anew, SVG and PDF pages become lines (a PDF page through poppler; one that has
 * only a scan on it becomes a picture).
 */
final class DrawingReader
{
    /** Bytes of SVG that poppler may make of a page and that are read as lines. */
    private const MOST_SVG = 60_000_000;

    /**
     * @param  string  $folder  with the file as "in"; what is made on the way lies beside it
     * @param  int  $page  of a PDF, from 1
     *
     * @throws Refusal
     */
    public static function read(string $folder, int $page): Read
    {
        $content = (string) file_get_contents("$folder/in");
        $start = substr($content, 0, 4000);
        if (str_starts_with($start, '%PDF-')) {
            return self::pdf($folder, $page);
        }
        if (str_starts_with($start, "\x89PNG") || str_starts_with($start, "\xFF\xD8")) {
            return PictureReader::read("$folder/in");
        }
        // also where every letter takes two or four bytes
        if (preg_match('/<svg[\s>]|<[\w.-]+:svg[\s>]/i', str_replace("\0", '', $start)) === 1) {
            return self::vectors(SvgReader::read($content));
        }
        if (str_starts_with($start, "\x1F\x8B")) {
            throw Refusal::because('tracing.packed', 'This file is packed. Unpack it first: PNG, JPEG, SVG and PDF are read.');
        }
        throw Refusal::because('tracing.unknown', 'This is no drawing or picture that is read here: PNG, JPEG, SVG and PDF are.');
    }

    private static function vectors(Vectors $v): Read
    {
        return new Read(json_encode($v->toArray(), JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE), 'json',
            [
                'kind' => 'vector',
                'width' => $v->width,
                'height' => $v->height,
                'lines' => $v->count(),
                'pages' => 1,
                'page' => 1,
                'notes' => $v->notes,
            ]);
    }

    private static function pdf(string $folder, int $page): Read
    {
        [$done, $said] = self::run(['pdfinfo', "$folder/in"]);
        if (preg_match('/Incorrect password|^Encrypted:\s+yes/mi', $said) === 1) {
            throw Refusal::because('pdf.encrypted', 'This PDF is encrypted. Save it without a password first.');
        }
        $pages = preg_match('/^Pages:\s+(\d{1,9})/m', $said, $m) === 1 ? (int) $m[1] : 0;
        if (! $done || $pages === 0) {
            throw Refusal::because(
                'pdf.unreadable',
                $done ? 'This PDF has no pages.' : 'This PDF cannot be read: it is damaged, or has no pages.',
            );
        }
        if ($page < 1 || $page > $pages) {
            throw Refusal::because(
                'pdf.page',
                sprintf('This PDF has %d page%s; page %d was asked for.', $pages, $pages === 1 ? '' : 's', $page),
            );
        }
        [$drawn] = self::run([
            'pdftocairo', '-svg', '-noshrink', '-nocenter', '-f', (string) $page, '-l', (string) $page, "$folder/in",
            "$folder/page.svg",
        ]);
        $vectors = null;
        if ($drawn && is_file("$folder/page.svg") && filesize("$folder/page.svg") <= self::MOST_SVG) {
            try {
                $vectors = SvgReader::read((string) file_get_contents("$folder/page.svg"));
            } catch (Refusal) {
                $vectors = null; // nothing but a scan on it, or more lines than are read: it is laid down as a picture
            }
        }
        $read = $vectors !== null && $vectors->count() >= 12 ? self::vectors($vectors) : self::scan($folder, $page);
        $notes = is_array($read->told['notes']) ? $read->told['notes'] : [];
        $why = $vectors === null
        && $drawn
                        ? 'The page has no lines, or more than can be caught on; it is laid down as a picture.'
                        : 'The page has no lines that can be caught on; it is laid down as a picture.';

        return new Read(
            $read->content,
            $read->kind,
            [
                'pages' => $pages, 'page' => $page,
                'notes' => [...($read->told['kind'] === 'picture' ? [$why] : []), ...$notes],
            ] + $read->told,
        );
    }

    private static function scan(string $folder, int $page): Read
    {
        [$drawn] = self::run([
            'pdftoppm', '-png', '-singlefile', '-scale-to', '4500', '-f', (string) $page, '-l', (string) $page,
            "$folder/in", "$folder/page",
        ]);
        if (! $drawn || ! is_file("$folder/page.png")) {
            throw Refusal::because('pdf.unreadable', sprintf('Page %d of this PDF cannot be drawn: it is damaged.', $page));
        }

        return PictureReader::read("$folder/page.png");
    }

    /**
     * Under the limits of time and memory that we are under ourselves.
     *
     * @param  list<string>  $command
     * @return array{bool, string} whether it did it, and what it said
     *
     * @throws Refusal when its time was over
     */
    private static function run(array $command): array
    {
        $process = new Process($command, timeout: null);
        try {
            $process->run();
        } catch (ProcessSignaledException $ended) {
            // the system ends what has used up its time of the processor
            throw in_array($ended->getSignal(), [SIGXCPU, SIGKILL], true) ? Foreign::tooSlow() : $ended;
        }

        return [$process->isSuccessful(), $process->getOutput().$process->getErrorOutput()];
    }
}
