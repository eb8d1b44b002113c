<?php

declare(strict_types=1);

namespace App\Console;

use App\Safekeeping\Restore;
use App\Safekeeping\Unsafe;
use Illuminate\Console\Command;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Str;

final class RestoreCommand extends Command
{
    protected $signature = 'isleward:restore {file} {--yes : without asking}';

    protected $description = 'Put a backup in the place of what is there';

    public function handle(Migrator $migrator): int
    {
        $file = $this->argument('file');
        $file = is_string($file) ? $file : '';
        if ($this->option('yes') !== true && ! $this->confirm("Everything that is there now gives way to what is in $file. Go on?")) {
            $this->line('Nothing was changed.');

            return self::FAILURE;
        }
        try {
            $done = Restore::from($file, $migrator);
        } catch (Unsafe $why) {
            $this->error($why->getMessage());

            return self::FAILURE;
        }
        $this->line(sprintf(
            "Restored %d %s, %d %s and %d %s from the backup of %s. Everybody signs in again.\n"
            .'What was there before is kept in the database %s until the next restore.',
            $done['projects'], Str::plural('project', $done['projects']), $done['people'], Str::plural('person', $done['people']),
            $done['files'], Str::plural('file', $done['files']), $done['made'], $done['before'],
        ));

        return self::SUCCESS;
    }
}
