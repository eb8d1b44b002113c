<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;

/** Drawings of others: read, laid under a storey, served safely, and what cannot be read is said. */
final class TracingsTest extends ProjectCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake(config()->string('isleward.files_disk'));
    }

    public function test_a_page_of_a_pdf_is_read_as_lines_laid_under_a_storey_and_its_marks_make_openings(): void
    {
        // the south wall at 1:100: faces with two gaps, and the lines across at their jambs
        $svg = '<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="100mm" viewBox="0 0 200 100"><g fill="none" stroke="#000" stroke-width=".2">'
            .'<path d="M10 90H30M42 90H80M95 90H130M10 87H30M42 87H80M95 87H130"/><path d="M30 90V87M42 90V87M80 90V87M95 90V87M10 90V10H130V90"/></g></svg>';
        file_put_contents($file = sys_get_temp_dir().'/t'.getmypid().'.svg', $svg);
        exec("rsvg-convert -f pdf -o $file.pdf $file", $out, $code);
        self::assertSame(0, $code);
        $read = $this->upload((string) file_get_contents("$file.pdf"))
            ->assertOk()
            ->assertJsonPath('kind', 'vector')
            ->assertJsonPath('pages', 1);
        $this->assertProblem($this->upload((string) file_get_contents("$file.pdf"), 'page=2'), 422, 'pdf.page');
        self::assertEqualsWithDelta(200 * 96 / 25.4, $read->json('width'), 0.1);
        // one unit is 1/96 inch at 1:100; the wall's left end lies at (10, 10) mm of paper
        $scale = 100 * 25.4 / 96;
        $tracing = $this->edit(
            'tracing.keep',
            [
                'name' => 'Quay',
                'storeys' => [$this->storey()],
                'file' => $read->json('file'),
                'width' => $read->json('width'),
                'height' => $read->json('height'),
                'x' => -1000,
                'y' => -1000,
                'scale' => $scale,
            ],
        )->assertOk()->json('chosen.0');
        $this->getJson($this->at('files/'.$read->json('file')))
            ->assertOk()
            ->assertHeader('X-Content-Type-Options', 'nosniff')
            ->assertHeader('Content-Type', 'application/json');
        $marks = $this->getJson($this->at("marks/{$this->storey()}"))->assertOk();
        self::assertEqualsWithDelta(
            [[2000, 3200], [7000, 8500]],
            array_map(static fn (array $c): array => [$c['from'], $c['to']], $marks->json('candidates')),
            1.0,
        );
        $this->edit(
            'opening.from-marks',
            [
                'storey' => $this->storey(),
                'type' => $this->type('W-01'),
                'marks' => array_map(
                    static fn (array $c): array => array_intersect_key($c, ['host' => 1, 'from' => 1, 'to' => 1]),
                    $marks->json('candidates'),
                ),
            ],
        )->assertOk()->assertJsonCount(2, 'chosen');
        $this->getJson($this->at("marks/{$this->storey()}"))->assertOk()->assertJsonPath('candidates', [])->assertJsonPath('off', []);
        $this->edit('settings.change', ['setting' => 0.001])->assertOk();
        $this->edit('tracing.place', ['id' => $tracing, 'a' => [0, 0], 'to' => [25, 0]])->assertOk();
        self::assertCount(2, $this->getJson($this->at("marks/{$this->storey()}"))->json('off'));
        $this->getJson($this->at("marks/{$this->storey(1)}"))->assertOk()->assertJsonPath('lines', 0);
        array_map(unlink(...), [$file, "$file.pdf"]);
    }

    /** @return iterable<string, array{string, string}> */
    public static function bad(): iterable
    {
        yield 'no picture' => ['hello', 'tracing.unknown'];
        yield 'a page with a script' => ['<html><script>alert(1)</script></html>', 'tracing.unknown'];
        yield 'a broken PNG' => ["\x89PNG\r\n\x1a\nbroken", 'picture.unreadable'];
        yield '100 megapixel' => [
            "\x89PNG\r\n\x1a\n\x00\x00\x00\x0DIHDR".pack('N', 10000).pack('N', 10000)."\x08\x02\x00\x00\x00",
            'picture.too_large',
        ];
        yield 'a PDF that is none' => ['%PDF-1.7 nothing', 'pdf.unreadable'];
        yield 'an SVG with entities' => ['<!DOCTYPE svg [<!ENTITY a "b">]><svg xmlns="http://www.w3.org/2000/svg"/>', 'svg.entities'];
        yield 'packed' => ["\x1F\x8B\x08svgz", 'tracing.packed'];
    }

    #[DataProvider('bad')]
    public function test_what_cannot_be_read_is_said_and_nothing_is_kept(string $content, string $code): void
    {
        $this->assertProblem($this->upload($content), 422, $code);
        self::assertSame([], Storage::disk(config()->string('isleward.files_disk'))->allFiles());
    }

    public function test_an_encrypted_pdf_and_one_with_a_scan_only(): void
    {
        $image = imagecreatetruecolor(300, 200);
        self::assertNotFalse($image);
        ob_start();
        imagepng($image);
        $png = (string) ob_get_clean();
        $svg = '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="300" height="200"><image width="300" height="200" xlink:href="data:image/png;base64,'
                    .base64_encode($png)
                    .'"/></svg>';
        file_put_contents($file = sys_get_temp_dir().'/s'.getmypid().'.svg', $svg);
        exec("rsvg-convert -f pdf -o $file.pdf $file", $out, $code);
        self::assertSame(0, $code);
        $read = $this->upload((string) file_get_contents("$file.pdf"))->assertOk()->assertJsonPath('kind', 'picture');
        $this->get($this->at('files/'.$read->json('file')))->assertOk()->assertHeader('Content-Type', 'image/png');
        $this->get($this->at('files/..%2F..%2F.env'))->assertNotFound();
        // a trailer that names an encryption, as poppler reports it
        $pdf = (string) file_get_contents("$file.pdf");
        $locked = preg_replace(
            '/\/Root (\d+) 0 R/',
            '/Root $1 0 R /Encrypt << /Filter /Standard /V 1 /R 2 /O (aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa) /U (bbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbb) /P -4 >> /ID [(a) (b)]',
            $pdf,
            1,
            $n,
        );
        self::assertSame(1, $n, 'its trailer is found');
        $this->assertProblem($this->upload((string) $locked), 422, 'pdf.encrypted');
        $kept = $this->edit(
            'picture.keep',
            [
                'name' => 'Sketch',
                'file' => $this->call(
                    'POST',
                    $this->at('uploads/tracing?picture=1'),
                    server: ['CONTENT_TYPE' => 'application/octet-stream'],
                    content: $png,
                )
                    ->assertOk()
                    ->json('file'),
            ],
        );
        $kept->assertOk();
        self::assertSame('Sketch', $this->getJson(rtrim($this->at(''), '/'))->json('pictures.0.name'));
        array_map(unlink(...), [$file, "$file.pdf"]);
    }

    private function upload(string $content, string $query = ''): TestResponse
    {
        return $this->call(
            'POST',
            $this->at("uploads/tracing?$query"),
            server: ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json'],
            content: $content,
        );
    }

    private function at(string $path): string
    {
        return "/api/projects/{$this->project->id}/$path";
    }
}
