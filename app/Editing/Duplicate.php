<?php

declare(strict_types=1);

namespace App\Editing;

use App\Assembly\Assembly;
use App\Files\Store;
use App\Models\Project;
use App\Models\Role;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Element;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\Settings;
use Isleward\Core\Edit\Scope;
use Isleward\Core\Measure\Fields;

/** A project once more, as it is now: all that is in it under ids of its own, without its history, its people and its revisions. */
final readonly class Duplicate
{
    public function __construct(private Assembly $assembly, private Ids $ids, private Store $files)
    {
    }

    public function make(Project $project, User $user, string $name, ?Key $key): Project
    {
        return DB::transaction(function () use ($project, $user, $name, $key): Project {
            // as it stands between two changes
            DB::table('projects')->where('id', $project->id)->lockForUpdate()->value('id');
            $held = Project::query()->findOrFail($project->id);
            $elements = $this->assembly->design($held, Scope::everything())->elements();
            $operations = $this->renamed($elements);
            $settings = $operations[$held->id]->after;
            if (! $settings instanceof Settings) {
                throw new \LogicException('A project has settings.');
            }
            unset($operations[$held->id]);
            $settings = Settings::from(new Fields(['name' => $name] + $settings->toArray()));
            $copy = Project::query()->create([...Project::elements()->row($settings), 'change_number' => 0, 'key' => $key?->text]);
            $copy->members()->attach($user->id, ['role' => Role::Owner->value]);
            $this->assembly->write($copy, new Change('Duplicated the project', array_values($operations)));
            $copy->save();
            $this->files->copy($held, $copy);

            return $copy;
        });
    }

    /**
     * Each element added under another id, and named by it wherever another names it.
     *
     * @param  array<string, Element>  $elements
     * @return array<string, Operation> by the ids they had
     */
    private function renamed(array $elements): array
    {
        $ids = $this->inOrder($elements);
        $text = json_encode(
            array_map(static fn (Element $e): array => Operation::add($e)->toArray(), array_values($elements)),
            JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION,
        );
        // every id in one go: they are of random letters, and in texts of people there is none of them
        /** @var list<array<string, mixed>> $rows */
        $rows = json_decode(strtr($text, $ids), true, 512, JSON_THROW_ON_ERROR);

        return array_combine(array_keys($elements), array_map(
            static fn (array $row): Operation => Operation::from(new Fields($row)), $rows,
        ));
    }

    /**
     * New ids in the order of the old ones, kind by kind: what is drawn in the order of ids is drawn in the same.
     *
     * @param  array<string, Element>  $elements
     * @return array<string, string> by the old ones
     */
    private function inOrder(array $elements): array
    {
        $ids = $kinds = [];
        foreach ($elements as $id => $element) {
            $kinds[$element->kind()->value][] = (string) $id;
        }
        foreach ($kinds as $kind => $old) {
            $new = array_map(fn (): string => $this->ids->next(Kind::from($kind)), $old);
            sort($old);
            sort($new);
            $ids += array_combine($old, $new);
        }

        return $ids;
    }
}
