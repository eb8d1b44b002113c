<?php

declare(strict_types=1);

namespace Bench\Trial;

/** Someone with a project of their own who looks and tries, all the time, one thing after the other: how long each takes. */
final class Stranger
{
    /** @var list<float> seconds */
    public array $times = [];

    private bool $going = true;

    /** @param  array<string, mixed>  $project */
    public function __construct(private readonly Fleet $fleet, private readonly Person $person, private readonly array $project)
    {
    }

    /**
     * @param  int|null  $count  how many, or without end
     * @param  (\Closure(): void)|null  $then  after so many
     */
    public function begin(?int $count = null, ?\Closure $then = null): void
    {
        $this->going = true;
        $this->next($count, $then);
    }

    private function next(?int $count, ?\Closure $then): void
    {
        $path = "/api/projects/{$this->project['id']}";
        $place = [
            'host' => $this->project['walls'][0]['id'], 'storey' => $this->project['storeys'][0]['id'],
            'type' => $this->project['types'][2]['id'],
            'position' => ['from' => 'left', 'value' => 900, 'to' => 'near'],
        ];
        $asked = count($this->times) % 3;
        if (! $this->going || $count === 0) {
            $then === null ? null : $then();

            return;
        }
        $this->fleet->ask($this->person, $asked === 2 ? 'POST' : 'GET', $path.[
            '', '/elevations/'.$this->project['frontages'][0]['id'], '/edits?try=1',
        ][$asked],
            $asked === 2 ? [
                'edit' => 'opening.place',
                'args' => $place,
                'base' => 0,
            ] : null, function (Answer $a) use ($count, $then): void {
                // what is away altogether is counted elsewhere
                if (! $a->isUnsure()) {
                    $this->times[] = $a->seconds;
                }
                $this->fleet->later($a->isUnsure() ? 0.1 : 0.02, fn () => $this->next($count === null ? null : $count - 1, $then));
            });
    }

    public function end(): void
    {
        $this->going = false;
    }

    /** Seconds that so large a share of the answers stayed under. */
    public function percentile(float $share): float
    {
        $times = $this->times;
        sort($times);

        return $times === [] ? 0.0 : $times[min(count($times) - 1, (int) floor($share * count($times)))];
    }
}
