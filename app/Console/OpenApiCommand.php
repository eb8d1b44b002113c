<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;
use Isleward\Core\Edit\Arguments;
use Isleward\Core\Measure\Argument;
use OpenApi\Generator;
use OpenApi\Processors\AugmentProperties;
use OpenApi\Processors\DocBlockDescriptions;
use OpenApi\Processors\ProcessorInterface;

/** Writes docs/openapi.json from the attributes on the controllers, or says that it is out of date. */
final class OpenApiCommand extends Command
{
    protected $signature = 'isleward:openapi {--check : only compare}';

    protected $description = 'Write the description of the API';

    public function handle(): int
    {
        $generator = new Generator;
        // schemas stand beside what makes them: what is said of a class is not said of the first of its schemas
        $generator->setProcessors(array_values(array_filter(
            $generator->getProcessors(),
            static fn (callable|ProcessorInterface $p): bool => ! $p instanceof DocBlockDescriptions && ! $p instanceof AugmentProperties,
        )));
        $document = self::withProblems($generator->generate([app_path('Http'), app_path('Derived'), app_path('Editing')])->toJson());
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

    /**
     * What every operation has: its refusals come as problem+json (RFC 9457), and any may come (not signed in, no such project, busy …).
     */
    private static function withProblems(string $document): string
    {
        $read = json_decode($document, false, 512, JSON_THROW_ON_ERROR);
        $problem = (object) ['application/problem+json' => (object) ['schema' => (object) ['$ref' => '#/components/schemas/Problem']]];
        foreach ($read->paths as $methods) {
            foreach (array_intersect_key(
                (array) $methods,
                ['get' => 1, 'post' => 1, 'put' => 1, 'patch' => 1, 'delete' => 1],
            ) as $operation) {
                foreach ((array) $operation->responses as $status => $response) {
                    if ((int) $status >= 400) {
                        $response->content = $problem;
                    }
                }
                $operation->responses->default = (object) ['description' => 'Refused, with its reason', 'content' => $problem];
            }
        }

        self::withEdits($read);

        return json_encode($read, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }

    /** An edit is one of those there are, each with the arguments that it has and no others. */
    private static function withEdits(\stdClass $document): void
    {
        $content = $document->paths->{'/projects/{project}/edits'}->post->requestBody->content->{'application/json'};
        $plain = $content->schema;
        $one = [];
        foreach (Arguments::all() as $edit => $arguments) {
            $name = str_replace(' ', '', ucwords(strtr($edit, '.-', '  '))).'Args';
            $document->components->schemas->$name = (object) Argument::closed($arguments);
            $one[] = (object) [
                'type' => 'object', 'required' => $plain->required,
                'properties' => (object) [
                    'edit' => (object) ['type' => 'string', 'const' => $edit],
                    'args' => (object) ['$ref' => "#/components/schemas/$name"],
                    'base' => $plain->properties->base, 'key' => $plain->properties->key,
                ],
            ];
        }
        $content->schema = (object) ['oneOf' => $one];
    }
}
