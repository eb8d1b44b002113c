<?php

declare(strict_types=1);

namespace App\Console;

use App\Assembly\Assembly;
use App\Editing\NewProject;
use App\Editing\Revisions;
use App\Models\Change;
use App\Models\Project;
use App\Models\Role;
use App\Models\User;
use Illuminate\Console\Command;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** For ./isleward trial: makes people with a project each and one they share; afterwards holds every project against its log. */
final class TrialCommand extends Command
{
    protected $signature = 'isleward:trial {people=20} {--verify : read keys from the standard input and say what became of them}';

    protected $description = 'People and projects to be tried, and whether all that was acknowledged is there';

    public function handle(NewProject $new, Assembly $assembly, Revisions $revisions): int
    {
        $this->line(json_encode(
            $this->option('verify') === true ? $this->verify($assembly, $revisions) : $this->make($new),
            JSON_THROW_ON_ERROR,
        ));

        return self::SUCCESS;
    }

    /** @return array{shared: string, people: array<string, string>} */
    private function make(NewProject $new): array
    {
        $asked = static fn (string $name): Fields => new Fields(['name' => $name, 'units' => 'mm', 'rectangle' => [
            'width' => 60000, 'depth' => 20000, 'thickness' => 300,
        ],
            'storeys' => array_map(static fn (int $i): array => ['name' => "Storey $i", 'height' => 3600], range(1, 6))]);
        $people = [];
        $shared = null;
        for ($i = 0; $i <= (int) $this->argument('people'); $i++) {
            $user = User::query()->create(['name' => "Person $i", 'email' => "person$i@trial.example", 'password' => 'harbour-light']);
            $shared ??= $new->create($user, $asked('Shared'));
            if ($i > 0) {
                $shared->members()->attach($user->id, ['role' => Role::Editor->value]);
            }
            $people[$user->email] = $new->create($user, $asked("Of person $i"))->id;
        }

        return ['shared' => $shared->id, 'people' => $people];
    }

    /**
     * @return array{lost: list<string>, doubled: list<string>, false: list<string>, half: list<string>, changes: int}
     */
    private function verify(Assembly $assembly, Revisions $revisions): array
    {
        /** @var array{acknowledged: array<string, array{string, string}>, denied: array<string, string>} $told */
        $told = json_decode((string) file_get_contents('php://stdin'), true, flags: JSON_THROW_ON_ERROR);
        $counts = Change::query()->toBase()->whereNotNull('key')->selectRaw('`key`, count(*) as n')->groupBy('key')->pluck(
            'n',
            'key',
        )->all();
        $lost = $doubled = $false = $half = [];
        foreach ($told['acknowledged'] as $key => [, $summary]) {
            $n = (int) ($counts[$key] ?? 0);
            $n === 0 ? $lost[] = "$key $summary" : null;
            $n > 1 ? $doubled[] = "$key $summary" : null;
        }
        foreach (array_keys($told['denied']) as $key) {
            isset($counts[$key]) ? $false[] = (string) $key : null;
        }
        foreach (Project::query()->get() as $project) {
            try {
                // each element is as the last change of it left it, and each change is in the row of numbers
                $assembly->requireAsLeft($project, $revisions->since($project, 0)->operations);
                if (Change::query()->where('project_id', $project->id)->count() !== $project->change_number) {
                    $half[] = "$project->id has another number of changes than it says";
                }
            } catch (Refusal $refusal) {
                $half[] = "$project->id ".implode(' ', $refusal->elements);
            }
        }

        return [
            'lost' => $lost, 'doubled' => $doubled, 'false' => $false, 'half' => $half,
            'changes' => array_sum(array_map(intval(...), $counts)),
        ];
    }
}
