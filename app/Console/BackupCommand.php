<?php

declare(strict_types=1);

namespace App\Console;

use App\Safekeeping\Backup;
use App\Safekeeping\Unsafe;
use Illuminate\Console\Command;
use Illuminate\Support\Str;

final class BackupCommand extends Command
{
    protected $signature = 'isleward:backup {file} {--force : write over a file that is there}';

    protected $description = 'Write all of Isleward, its database and its files, into one archive';

    public function handle(): int
    {
        $file = $this->argument('file');
        try {
            $made = Backup::to(is_string($file) ? $file : '', $this->option('force') === true);
        } catch (Unsafe $why) {
            $this->error($why->getMessage());

            return self::FAILURE;
        }
        $this->line(sprintf(
            '%d %s, %d %s and %d %s are backed up in %s (%.1f MB). Keep it where only you can read it.',
            $made['projects'], Str::plural('project', $made['projects']), $made['people'], Str::plural('person', $made['people']),
            $made['files'], Str::plural('file', $made['files']), is_string($file) ? $file : '', $made['bytes'] / 1e6,
        ));

        return self::SUCCESS;
    }
}
