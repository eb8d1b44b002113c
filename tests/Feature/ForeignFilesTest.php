<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Files\StorageFull;
use App\Files\Store;
use App\Files\Whole;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Tests\Support\HostileFiles;
use Tests\Support\Pace;

/** Foreign files are read under limits and end in a sentence; what cannot be kept whole is not kept; what a file holds is known. */
final class ForeignFilesTest extends ProjectCase
{
    /** What each comes to: the code of a refusal, or null when it is read. */
    private const COMES_TO = [
        'a workbook of a hundred merges of a million cells' => 'table.too_many_cells',
        'a workbook of two cells far apart on forty sheets' => 'table.too_many_cells',
        'a workbook that unpacks to a gigabyte' => 'table.unreadable',
        'a workbook of an entity in UTF-16' => 'table.entities',
        'references ten deep, ten times each' => 'svg.too_much',
        'a group within a group, 300 000 deep' => 'svg.too_deep',
        '300 000 groups beside each other' => null,
        'entities in UTF-16' => 'svg.entities',
        'a path of nineteen megabytes' => 'svg.too_much',
        'numbers past all bounds' => 'svg.range',
        'five million points' => 'svg.too_much',
        'a page of forms that multiply' => 'file.too_slow',
        'twenty megabytes of commas' => 'table.too_many_cells',
        'twenty megabytes in one quoted cell' => null,
        'a picture of 39 million pixels' => 'picture.too_large',
        'a picture of 35 million pixels' => null,
        'a picture that says it is far larger than it is' => 'picture.unreadable',
        'nothing' => 'tracing.unknown',
    ];

    /** @return array<string, array{string}> */
    public static function hostile(): array
    {
        return array_map(
            static fn (string $name): array => [$name],
            array_combine(array_keys(HostileFiles::all()), array_keys(HostileFiles::all())),
        );
    }

    #[DataProvider('hostile')]
    public function test_a_hostile_file_ends_in_a_sentence_in_time(string $name): void
    {
        [$kind, $make] = HostileFiles::all()[$name];
        $content = $make();
        $began = microtime(true);
        $answer = $this->upload($kind, $content);
        self::assertFalse(Pace::over($began, 25.0));
        if (self::COMES_TO[$name] === null) {
            $answer->assertOk();
        } else {
            $this->assertProblem($answer, 422, self::COMES_TO[$name]);
        }
        self::assertSame([], glob(sys_get_temp_dir().'/isleward-in-*'), 'nothing is left of it');
    }

    public function test_one_person_has_one_file_read_at_a_time(): void
    {
        $lock = fopen(storage_path("framework/cache/reading-{$this->owner->id}.lock"), 'c');
        self::assertNotFalse($lock);
        flock($lock, LOCK_EX);
        $answer = $this->upload('tracing', '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><line x2="5"/></svg>');
        $this->assertProblem($answer, 429, 'file.waiting');
        self::assertSame('1', $answer->headers->get('Retry-After'));
        fclose($lock);
        $this->upload('tracing', '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><line x2="5"/></svg>')->assertOk();
    }

    public function test_letters_in_other_encodings_are_read_and_unknown_ones_named(): void
    {
        $svg = '<svg xmlns="http://www.w3.org/2000/svg" width="90" height="90"><line x2="5"/><text x="1" y="9">Höhe</text></svg>';
        foreach ([
            'UTF-16LE' => "\xFF\xFE", 'UTF-16BE' => "\xFE\xFF", 'UTF-32LE' => "\xFF\xFE\0\0", 'UTF-8' => "\xEF\xBB\xBF",
        ] as $encoding => $mark) {
            $file = $this->upload('tracing', $mark.mb_convert_encoding($svg, $encoding, 'UTF-8'))->assertOk()->json('file');
            $this->getJson("/api/projects/{$this->project->id}/files/$file")->assertOk()->assertJsonPath('texts.0.text', 'Höhe');
        }
        $file = $this->upload(
            'tracing',
            '<?xml version="1.0" encoding="ISO-8859-1"?>'.mb_convert_encoding($svg, 'ISO-8859-1', 'UTF-8'),
        )->assertOk()->json('file');
        $this->getJson("/api/projects/{$this->project->id}/files/$file")->assertJsonPath('texts.0.text', 'Höhe');
        $this->assertProblem($this->upload('tracing', '<?xml version="1.0" encoding="UTF-7"?>'.$svg), 422, 'xml.encoding');
        $this->assertProblem($this->upload('tracing', mb_convert_encoding($svg, 'ISO-8859-1', 'UTF-8')), 422, 'xml.encoding');
    }

    public function test_what_a_file_holds_is_known_where_it_is_used(): void
    {
        $lines = $this->upload(
            'tracing',
            '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><line x2="5"/></svg>',
        )->json('file');
        $table = $this->upload('schedule', "Mark,Width,Height\nW1,1200,1500\n")->json('file');
        $picture = $this->upload('tracing', (string) file_get_contents(base_path('docs/screenshots/plan.png')))->json('file');
        $given = ['name' => 'G', 'sheet' => 0, 'header' => 0, 'columns' => []];
        $tracing = ['name' => 'T', 'storeys' => [$this->storey()], 'width' => 9, 'height' => 9, 'scale' => 1, 'x' => 0, 'y' => 0];
        $this->assertProblem($this->edit('given.keep', $given + ['file' => $lines]), 422, 'file.kind');
        $this->assertProblem($this->edit('given.keep', $given + ['file' => $picture]), 422, 'file.kind');
        $this->assertProblem($this->edit('tracing.keep', $tracing + ['file' => $table]), 422, 'file.kind');
        $this->assertProblem($this->edit('picture.keep', ['name' => 'P', 'file' => $lines]), 422, 'file.kind');
        $this->assertProblem($this->edit('picture.keep', ['name' => 'P', 'file' => str_repeat('0', 32).'.png']), 422, 'file.unknown');
        $this->edit('given.keep', $given + ['file' => $table])->assertOk();
        $id = $this->edit('tracing.keep', $tracing + ['file' => $picture])->assertOk()->json('chosen.0');

        // one that was kept before that was looked at is said too, where it is held
        $bad = \App\Models\GivenSchedule::query()->where('project_id', $this->project->id)->sole();
        \App\Models\GivenSchedule::query()->toBase()->where('id', $bad->id)->update(['file' => $lines]);
        $this->assertProblem($this->getJson("/api/projects/{$this->project->id}/givens/$bad->id/held"), 422, 'file.kind');
        $this->assertProblem($this->postJson("/api/projects/{$this->project->id}/readings", ['file' => $lines]), 422, 'file.kind');

        // a file that went missing is said, what names it can still be changed, and the same file given again is back in its place
        Storage::disk('local')->delete("projects/{$this->project->id}/$picture");
        $this->assertProblem($this->getJson("/api/projects/{$this->project->id}/files/$picture"), 404, 'file.missing');
        $this->edit('tracing.keep', ['id' => $id, 'x' => 500])->assertOk();
        self::assertSame(
            $picture,
            $this->upload('tracing', (string) file_get_contents(base_path('docs/screenshots/plan.png')))->json('file'),
        );
        $this->get("/api/projects/{$this->project->id}/files/$picture")->assertOk();
    }

    public function test_where_nothing_can_be_written_that_is_said_and_nothing_refers_to_it(): void
    {
        // under /proc no one writes, not even root
        config(['filesystems.disks.full' => ['driver' => 'local', 'root' => '/proc/isleward'], 'isleward.files_disk' => 'full']);
        $this->assertProblem(
            $this->upload('tracing', '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><line x2="5"/></svg>'),
            507,
            'storage.full',
        );
        // of what was worked out only time is lost
        config(['cache.stores.nowhere' => ['driver' => 'file', 'path' => '/proc/isleward'], 'isleward.derived_store' => 'nowhere']);
        $this->getJson("/api/projects/{$this->project->id}/plans/{$this->storey()}")->assertOk();
        $this->postJson(
            "/api/projects/{$this->project->id}/edits?try=1",
            ['edit' => 'opening.place', 'args' => $this->placing(1000), 'base' => 0],
        )->assertOk();
    }

    public function test_a_file_that_does_not_fit_is_not_there_at_all(): void
    {
        $folder = sys_get_temp_dir().'/isleward-whole-'.getmypid();
        @mkdir($folder);
        Whole::write("$folder/file", 'before');
        // a limit on the size of files breaks a write off in its middle, as a full disk does
        $code = sprintf(
            'pcntl_signal(SIGXFSZ, SIG_IGN); require %s; try { App\Files\Whole::write(%s, str_repeat("x", 90000)); echo "written"; } catch (App\Files\StorageFull) { echo "full"; }',
            var_export(base_path('vendor/autoload.php'), true), var_export("$folder/file", true));
        $process = new Process(['prlimit', '--fsize=40000', PHP_BINARY, '-r', $code]);
        $process->mustRun();
        self::assertSame('full', $process->getOutput());
        self::assertSame(["$folder/file"], glob("$folder/*"));
        self::assertSame('before', file_get_contents("$folder/file"), 'and what was there stays');
        unlink("$folder/file");
        rmdir($folder);
        $this->expectException(StorageFull::class);
        Whole::write('/proc/isleward/file', 'x');
    }

    public function test_a_part_of_a_file_is_never_found(): void
    {
        $store = new Store;
        $name = $store->put($this->project, '[]', 'json');
        self::assertSame(["projects/{$this->project->id}/$name"], Storage::disk('local')->files("projects/{$this->project->id}"));
        $store->forget($this->project);
    }

    private function upload(string $kind, string $content): \Illuminate\Testing\TestResponse
    {
        return $this->call(
            'POST',
            "/api/projects/{$this->project->id}/uploads/$kind?name=given.csv",
            server: ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json'],
            content: $content,
        );
    }
}
