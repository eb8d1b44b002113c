<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;
use OpenApi\Generator;

/** Writes docs/openapi.json from the attributes on the controllers, or says that it is out of date. */
final class OpenApiCommand extends Command
{
    protected $signature = 'isleward:openapi {--check : only compare}';

    protected $description = 'Write the description of the API';

    public function handle(): int
    {
        $document = Generator::scan([app_path('Http')], ['validate' => true])->toJson();
        $path = base_path('docs/openapi.json');
        if ($this->option('check') === true) {
            if (! is_file($path) || file_get_contents($path) !== $document."\n") {
                $this->error('docs/openapi.json differs from the controllers: run php artisan isleward:openapi and npm run api.');

                return self::FAILURE;
            }

            return self::SUCCESS;
        }
        file_put_contents($path, $document."\n");

        return self::SUCCESS;
    }
}
