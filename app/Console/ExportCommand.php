<?php

declare(strict_types=1);

namespace App\Console;

use App\Exports\Exporter;
use App\Models\Project;
use Illuminate\Console\Command;
use Isleward\Core\Exchange\Csv;
use Isleward\Core\Exchange\XlsxWriter;
use Isleward\Core\Measure\Refusal;

/** Writes a project to a file in an open format. */
final class ExportCommand extends Command
{
    protected $signature = 'isleward:export {project : id or name} {--format= : svg, glb, csv or xlsx} {--table=by-type : for csv and xlsx: by-type, each, types, walls, or the id of a layout that was kept} {--scale=1 : for svg: 50 for 1:50} {--out= : file to write}';

    protected $description = 'Write a project to a file';

    public function handle(Exporter $exporter): int
    {
        $wanted = $this->text($this->argument('project'));
        $out = $this->text($this->option('out'));
        $projects = Project::query()->where('id', $wanted)->orWhere('name', $wanted)->get();
        if ($projects->count() !== 1) {
            return $this->refuse(
                $projects->isEmpty() ? "There is no project “{$wanted}”." : "More than one project is called “{$wanted}”: give its id.",
            );
        }
        $project = $projects->firstOrFail();
        $table = $this->text($this->option('table'));
        try {
            $content = match ($this->text($this->option('format'))) {
                'svg' => $exporter->svg($project, (float) $this->text($this->option('scale'))),
                'glb' => $exporter->glb($project),
                'csv' => ($report = $exporter->schedule($project, $table)) === null ? null : Csv::write($report->table()),
                'xlsx' => ($report = $exporter->schedule($project, $table)) === null ? null : XlsxWriter::write([$report->table()]),
                default => null,
            };
        } catch (Refusal $refusal) {
            return $this->refuse($refusal->getMessage());
        }
        if ($content === null) {
            return $this->refuse('The format is svg, glb, csv or xlsx; a table is by-type, each, types, walls or the id of a layout.');
        }
        if ($out === '') {
            return $this->refuse('Say where to with --out FILE.');
        }
        $folder = dirname($out);
        if (! is_dir($folder) || @file_put_contents($out, $content) === false) {
            return $this->refuse("“{$out}” cannot be written.");
        }
        $this->info(sprintf('%s: %s bytes', $out, number_format(strlen($content))));

        return self::SUCCESS;
    }

    private function text(mixed $value): string
    {
        return is_string($value) ? $value : '';
    }

    private function refuse(string $sentence): int
    {
        $this->error($sentence);

        return self::FAILURE;
    }
}
