<?php

declare(strict_types=1);

namespace Bench\Trial;

/**
 * People who edit without end: openings placed, moved, undone, by long edits and short, each under a key of its own and asked for again
 * until there is an answer. Written down is what was acknowledged and what was said not to have been done.
 */
final class Work
{
    /** @var array<string, array{string, string}> project and summary of what was acknowledged, by key */
    public array $acknowledged = [];

    /** @var array<string, string> project of what was said not to be done, by key */
    public array $denied = [];

    /** @var array<string, string> key under which a task's change is in the log, by task */
    public array $tasks = [];

    public int $refused = 0;

    public int $busy = 0;

    public int $unsure = 0;

    /** @var array<string, int> answers of 500 and above but for 503, by what they say */
    public array $failures = [];

    private bool $going = true;

    /**
     * @param  list<Person>  $people
     * @param  array<string, array<string, mixed>>  $own  each one's own project as it was, by email
     * @param  array<string, mixed>  $shared  that all are in
     */
    public function __construct(
        private readonly Fleet $fleet,
        private readonly array $people,
        private readonly array $own,
        private readonly array $shared,
    ) {
    }

    public function begin(): void
    {
        $this->going = true;
        foreach ($this->people as $person) {
            $this->next($person);
        }
    }

    public function end(): void
    {
        $this->going = false;
    }

    private function next(Person $person): void
    {
        if (! $this->going) {
            return;
        }
        $project = mt_rand(0, 2) === 0 ? $this->shared : $this->own[$person->email];
        $path = "/api/projects/{$project['id']}";
        $wall = $project['walls'][mt_rand(0, count($project['walls']) - 1)];
        $storey = $project['storeys'][mt_rand(0, count($project['storeys']) - 1)]['id'];
        $place = [
            'host' => $wall['id'], 'storey' => $storey, 'type' => $project['types'][2]['id'],
            'position' => ['from' => 'left', 'value' => mt_rand(0, (int) $wall['length']), 'to' => 'near'],
        ];
        $key = $person->key();
        $edit = ['edit' => 'opening.place', 'args' => $place, 'base' => 0, 'key' => $key];
        match (mt_rand(0, 9)) {
            0, 1 => $this->until($person, "$path/undo", ['key' => $key], $project['id'], $key),
            2 => $this->task($person, $path, $edit, $project['id'], $key),
            default => $this->until($person, "$path/edits", $edit, $project['id'], $key),
        };
    }

    /** @param  array<string, mixed>  $body */
    private function until(Person $person, string $path, array $body, string $project, string $key): void
    {
        $this->fleet->ask($person, 'POST', $path, $body, function (Answer $a) use ($person, $path, $body, $project, $key): void {
            $this->note($a);
            if ($a->isUnsure() || $a->status === 423) {
                $a->status === 423 ? $this->busy++ : $this->unsure++;
                $this->fleet->later(0.3, fn () => $this->until($person, $path, $body, $project, $key));

                return;
            }
            if ($a->status === 200) {
                // an edit that changes nothing leaves nothing in the log
                $this->acknowledged[$key] = [$project, (string) $a->get('summary')];
            } else {
                $this->refused++;
                $this->denied[$key] = $project;
            }
            $this->next($person);
        });
    }

    /** @param  array<string, mixed>  $edit */
    private function task(Person $person, string $path, array $edit, string $project, string $key): void
    {
        $this->fleet->ask(
            $person, 'POST', "$path/edits?job=1", $edit, function (Answer $a) use ($person, $path, $edit, $project, $key): void {
                $this->note($a);
                if ($a->isUnsure()) {
                    $this->unsure++;
                    $this->fleet->later(0.3, fn () => $this->task($person, $path, $edit, $project, $key));
                } elseif ($a->status === 202) {
                    $this->follow($person, "$path/tasks/".$a->get('id'), $project, $key);
                } else {
                    $this->refused++;
                    $this->next($person);
                }
            });
    }

    private function follow(Person $person, string $path, string $project, string $key): void
    {
        $this->fleet->ask($person, 'GET', $path, null, function (Answer $a) use ($person, $path, $project, $key): void {
            $this->note($a);
            $state = $a->get('state');
            if ($state === 'done') {
                $this->acknowledged[$key] = [$project, 'task'];
            } elseif ($state === 'refused' || $state === 'cancelled') {
                $this->denied[$key] = $project;
            } else {
                $this->fleet->later(0.3, fn () => $this->follow($person, $path, $project, $key));

                return;
            }
            $this->next($person);
        });
    }

    private function note(Answer $a): void
    {
        if ($a->status >= 500 && $a->status !== 503) {
            $said = "$a->status ".substr($a->content, 0, 160);
            $this->failures[$said] = ($this->failures[$said] ?? 0) + 1;
        }
    }
}
