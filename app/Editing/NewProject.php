<?php

declare(strict_types=1);

namespace App\Editing;

use App\Assembly\Assembly;
use App\Models\Project;
use App\Models\Role;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Settings;
use Isleward\Core\Edit\Edits;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Units;
use Isleward\Core\Unit\Stock;

/** Starts a project: name, units, storeys, the ready rack, and a rectangular outline when one is asked for. */
final readonly class NewProject
{
    private const MOST_STOREYS = 200;

    public function __construct(private Assembly $assembly, private Ids $ids)
    {
    }

    /** @throws Refusal when something asked for cannot be */
    public function create(User $user, Fields $asked, ?Key $key = null): Project
    {
        $units = $asked->choice('units', Units::class, Units::Millimetre);
        $settings = Settings::create($this->ids->next(Kind::Settings), $asked->name('name'), $units);
        $design = $empty = Design::of($settings);
        $operations = [];
        $do = function (string $edit, array $args) use (&$design, &$operations, $units): Change {
            $change = Edits::make($edit, new Fields($args, $units))->apply($design, $this->ids);
            $design = $design->after($change);
            array_push($operations, ...$change->operations);

            return $change;
        };

        $storeys = $asked->list('storeys');
        if ($storeys === [] || count($storeys) > self::MOST_STOREYS) {
            throw Refusal::because(
                'storey.count',
                sprintf('A project has 1 to %d storeys; %d were given.', self::MOST_STOREYS, count($storeys)),
            );
        }
        $ids = [];
        foreach ($storeys as $storey) {
            $ids[] = $do(
                'storey.insert',
                ['name' => $storey->name('name'), 'height' => $storey->all()['height'] ?? null, 'above' => $ids === [] ? null : end($ids)],
            )->chosen[0];
        }
        foreach (Stock::types($units) as $type) {
            $do('type.add', $type);
        }
        if ($asked->has('rectangle')) {
            $rectangle = $asked->fields('rectangle')->all();
            $do(
                'outline.draw',
                [
                    'name' => 'Main outline',
                    'rectangle' => $rectangle,
                    'thickness' => $rectangle['thickness'] ?? 300,
                    'base' => $ids[0],
                    'top' => end($ids),
                ],
            );
        }

        return DB::transaction(function () use ($settings, $user, $design, $empty, $key): Project {
            $project = Project::query()->create([...Project::elements()->row($settings), 'change_number' => 0, 'key' => $key?->text]);
            $project->members()->attach($user->id, ['role' => Role::Owner->value]);
            $added = array_diff_key($design->elements(), $empty->elements());
            $this->assembly->write(
                $project,
                new Change('Started the project', array_values(array_map(\Isleward\Core\Design\Operation::add(...), $added))),
            );
            $project->save();

            return $project;
        });
    }
}
