<?php

declare(strict_types=1);

namespace App\Console;

use App\Demo\SkerrowPilotHouse;
use App\Models\User;
use Illuminate\Console\Command;

/** Makes the demo people and the demo project. */
final class DemoCommand extends Command
{
    protected $signature = 'isleward:demo {--if-empty : only when there is nobody in the database}';

    protected $description = 'Make the demo project, Skerrow Pilot House';

    public function handle(SkerrowPilotHouse $demo): int
    {
        if ($this->option('if-empty') === true && User::query()->exists()) {
            return self::SUCCESS;
        }
        $demo->make();

        return self::SUCCESS;
    }
}
