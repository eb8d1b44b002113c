<?php

declare(strict_types=1);

namespace App\Editing;

use App\Files\Content;
use App\Files\Store;
use App\Models\Project;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Picture;
use Isleward\Core\Design\Tracing;
use Isleward\Core\Given\GivenSchedule;
use Isleward\Core\Measure\Refusal;

/** Nothing refers to a file that is not here, or that holds something else than it is used for. */
final readonly class FilesNamed
{
    public function __construct(private Store $files)
    {
    }

    /** @throws Refusal */
    public function require(Project $project, Change $change): void
    {
        foreach ($change->operations as $operation) {
            $after = $operation->after;
            if (! $after instanceof GivenSchedule && ! $after instanceof Tracing && ! $after instanceof Picture) {
                continue;
            }
            $wanted = match (true) {
                $after instanceof GivenSchedule => [Content::Table],
                $after instanceof Tracing => [Content::Lines, Content::Picture],
                default => [Content::Picture],
            };
            $before = $operation->before;
            if ($before !== null && ($before->toArray()['file'] ?? null) === $after->file) {
                continue; // what was there before may be renamed or moved though its file has gone
            }
            $found = $this->files->content($project, $after->file);
            if ($found === null) {
                throw Refusal::because('file.unknown', 'That file is not here: read it in again.', details: ['field' => 'file']);
            }
            if (! in_array($found, $wanted, true)) {
                throw Refusal::because(
                    'file.kind',
                    sprintf(
                        'That file holds %s; %s is wanted here.',
                        $found->words(),
                        implode(' or ', array_map(static fn (Content $c): string => $c->words(), $wanted)),
                    ),
                    details: ['field' => 'file'],
                );
            }
        }
    }
}
