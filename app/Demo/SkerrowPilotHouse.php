<?php

declare(strict_types=1);

namespace App\Demo;

use App\Editing\Editor;
use App\Editing\NewProject;
use App\Models\Project;
use App\Models\Role;
use App\Models\Storey;
use App\Models\UnitType;
use App\Models\User;
use App\Models\Wall;
use Isleward\Core\Fields;

/**
 * The demo: an invented pilot house on an invented tidal island. Four storeys, a watch room on the roof's south-east corner
 * and a boat workshop at its west. Two of its openings are placed wrongly on purpose, to be found.
 */
final class SkerrowPilotHouse
{
    public const EMAIL = 'pilot@skerrow.example';

    public const GUEST = 'guest@skerrow.example';

    public const PASSWORD = 'harbour-light';

    private Project $project;

    private User $owner;

    /** @var array<string, string> name → id */
    private array $storeys = [];

    /** @var array<string, string> mark → id */
    private array $types = [];

    public function __construct(private readonly NewProject $new, private readonly Editor $editor)
    {
    }

    public function make(): Project
    {
        $this->owner = $this->person('Runa Vell', self::EMAIL);
        $guest = $this->person('Tam Orrin', self::GUEST);
        $this->project = $this->new->create($this->owner, new Fields([
            'name' => 'Skerrow Pilot House', 'units' => 'mm',
            'storeys' => [
                ['name' => 'Quay', 'height' => 4200], ['name' => 'Charts', 'height' => 3600], ['name' => 'Crew', 'height' => 3600],
                ['name' => 'Office', 'height' => 3600], ['name' => 'Watch', 'height' => 3000],
            ],
        ]));
        $this->project->members()->attach($guest->id, ['role' => Role::Viewer->value]);
        $this->storeys = Storey::query()->where('project_id', $this->project->id)->pluck('id', 'name')->all();
        $this->types = UnitType::query()->where('project_id', $this->project->id)->pluck('id', 'mark')->all();

        $main = $this->outline('Main house', [[0, 0], [18000, 0], [18000, 11400], [0, 11400]], 300, 'Quay', 'Office');
        $watch = $this->outline('Watch room', [[10800, 0], [18000, 0], [18000, 5400], [10800, 5400]], 200, 'Watch', 'Watch');
        $workshop = $this->outline('Boat workshop', [[-13000, 3000], [-2000, 3000], [-2000, 10200], [-13000, 10200]], 250, 'Quay', 'Quay');

        [$south, $east, $north, $west] = $main;
        $this->row($south, 'Quay', 'G-01', 1200, 4200, 1);
        $this->row($south, 'Quay', 'D-06', 7300, 0, 1);
        $this->row($south, 'Quay', 'D-04', 11800, 0, 1);
        foreach (['Charts', 'Crew', 'Office'] as $storey) {
            $this->row($south, $storey, 'W-03', 1730, 2280, 7);
            $this->row($east, $storey, 'W-11', 900, 3450, 3);
            $this->row($north, $storey, 'W-05', 1500, 3250, 5);
            $this->row($west, $storey, 'W-07', 1800, 3225, 3);
        }
        $this->row($east, 'Quay', 'W-05', 1250, 3450, 3);
        $this->row($north, 'Quay', 'W-09', 1500, 2280, 6);
        $this->row($north, 'Quay', 'D-02', 15600, 0, 1);
        $this->row($west, 'Quay', 'D-01', 5200, 0, 1);
        $this->row($watch[0], 'Watch', 'W-03', 300, 1300, 5);
        $this->row($watch[1], 'Watch', 'W-03', 450, 1600, 3);
        $this->row($watch[2], 'Watch', 'W-09', 1200, 1800, 3);
        $this->row($watch[3], 'Watch', 'D-01', 2200, 0, 1);
        $this->place($workshop[0], 'Quay', null, ['from' => 'middle', 'value' => 0, 'to' => 'centre'], ['width' => 4200, 'height' => 3400, 'sill' => ['from' => 'floor', 'height' => 0]]);
        $this->row($workshop[0], 'Quay', 'W-01', 600, 8900, 2);
        $this->row($workshop[2], 'Quay', 'W-09', 1400, 2000, 5);
        $this->row($workshop[3], 'Quay', 'D-04', 2700, 0, 1);
        $this->mistakes($south, $west);

        return $this->project;
    }

    /** Set too near to a corner, and on top of each other. */
    private function mistakes(string $south, string $west): void
    {
        $this->place($west, 'Quay', 'W-09', ['from' => 'left', 'value' => 65, 'to' => 'near']);
        $this->place($south, 'Quay', 'W-02', ['from' => 'right', 'value' => 3900, 'to' => 'near']);
    }

    private function person(string $name, string $email): User
    {
        return User::query()->firstOrCreate(['email' => $email], ['name' => $name, 'password' => self::PASSWORD]);
    }

    /**
     * @param  list<array{int, int}>  $points
     * @return list<string> wall ids in order
     */
    private function outline(string $name, array $points, float $thickness, string $base, string $top): array
    {
        $id = $this->run('outline.draw', ['name' => $name, 'points' => $points, 'thickness' => $thickness, 'base' => $this->storeys[$base], 'top' => $this->storeys[$top]])[0];

        return array_values(Wall::query()->where('outline_id', $id)->orderBy('position')->pluck('id')->all());
    }

    private function row(string $wall, string $storey, string $mark, float $first, float $pitch, int $count): void
    {
        for ($i = 0; $i < $count; $i++) {
            $this->place($wall, $storey, $mark, ['from' => 'left', 'value' => $first + $i * $pitch, 'to' => 'near']);
        }
    }

    /**
     * @param  array{from: string, value: float|int, to: string}  $position
     * @param  array<string, mixed>  $more
     */
    private function place(string $wall, string $storey, ?string $mark, array $position, array $more = []): void
    {
        $this->run('opening.place', ['wall' => $wall, 'storey' => $this->storeys[$storey], 'type' => $mark === null ? null : $this->types[$mark], 'position' => $position] + $more);
    }

    /**
     * @param  array<string, mixed>  $args
     * @return list<string>
     */
    private function run(string $edit, array $args): array
    {
        $outcome = $this->editor->run($this->project, $this->owner, $edit, $args, Project::query()->findOrFail($this->project->id)->change_number);

        return $outcome->change->chosen;
    }
}
