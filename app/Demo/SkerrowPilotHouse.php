<?php

declare(strict_types=1);

namespace App\Demo;

use App\Assembly\Assembly;
use App\Derived\Structure;
use App\Editing\Editor;
use App\Editing\NewProject;
use App\Exports\SheetPlans;
use App\Files\Store;
use App\Models\Opening;
use App\Models\Project;
use App\Models\Role;
use App\Models\Storey;
use App\Models\UnitType;
use App\Models\User;
use App\Models\Wall;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Design\Finish;
use Isleward\Core\Drawing\Plan;
use Isleward\Core\Exchange\CsvReader;
use Isleward\Core\Given\Column;
use Isleward\Core\Given\Headings;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Sheet\Paper;
use Isleward\Core\Sheet\SheetPlaces;
use Isleward\Core\Tracing\Vectors;

/**
 * The demo: an invented pilot house on an invented tidal island. Four storeys, a watch room on the roof's south-east corner, a boat
 * workshop at its west and a curved lookout at its east; rooms behind inner walls, setting-out lines, sets, and one finding that is
 * accepted. Two of its openings are placed wrongly on purpose, to be found.
 */
final class SkerrowPilotHouse
{
    public const EMAIL = 'pilot@skerrow.example';

    public const MATE = 'mate@skerrow.example';

    public const GUEST = 'guest@skerrow.example';

    public const PASSWORD = 'harbour-light';

    private Project $project;

    private User $owner;

    /** @var array<string, string> name → id */
    private array $storeys = [];

    /** @var array<string, string> mark → id */
    private array $types = [];

    public function __construct(
        private readonly NewProject $new,
        private readonly Editor $editor,
        private readonly Assembly $assembly,
        private readonly Store $files,
        private readonly SheetPlans $plans,
    ) {
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
        Project::query()->toBase()->where('id', $this->project->id)->update(['demo' => true]);
        $this->project->members()->attach($guest->id, ['role' => Role::Viewer->value]);
        $this->project->members()->attach($this->person('Ebba Stroom', self::MATE)->id, ['role' => Role::Editor->value]);
        $this->storeys = Storey::query()->where('project_id', $this->project->id)->pluck('id', 'name')->all();
        $this->types = UnitType::query()->where('project_id', $this->project->id)->pluck('id', 'mark')->all();

        $main = $this->outline('Main house', [[0, 0], [18000, 0], [18000, 11400], [0, 11400]], 300, 'Quay', 'Office');
        $watch = $this->outline('Watch room', [[10800, 0], [18000, 0], [18000, 5400], [10800, 5400]], 200, 'Watch', 'Watch');
        $workshop = $this->outline('Boat workshop', [[-13000, 3000], [-2000, 3000], [-2000, 10200], [-13000, 10200]], 250, 'Quay', 'Quay');

        $this->mainHouse($main);
        $this->watchRoom($watch);
        $this->workshop($workshop);
        $this->innerWalls();
        $lookout = $this->lookout();
        (new GlassHouses($this->run(...), $this->storeys, $this->types))->make();
        (new Fins($this->run(...), $this->storeys))->make($lookout, $watch[0], $workshop[2]);
        $this->run('settings.change', ['finishes' => [
            ...array_map(static fn (Finish $f): array => $f->toArray(), $this->project->refresh()->settings()->finishes),
            ['id' => 'sea', 'name' => 'Sea blue', 'colour' => '#3c7f96', 'sheen' => 'satin'],
        ]]);
        (new Screens($this->run(...), $this->storeys))->make($main[2]);
        $this->settingOut($main[0], $main[1]);
        $this->sets($main[0]);
        $this->run('section.keep', ['name' => 'A', 'fromX' => 14900, 'fromY' => -2000, 'toX' => 14900, 'toY' => 13400]);
        $this->tracing();
        $this->given();
        (new Roofs($this->run(...), $this->storeys, $this->types))->make($main, $watch, $workshop);
        $this->sheets();
        $this->mistakes($main[0], $main[3]);

        return $this->project;
    }

    /** @param  list<string>  $walls */
    private function mainHouse(array $walls): void
    {
        [$south, $east, $north, $west] = $walls;
        $this->row($south, 'Quay', 'G-01', 1200, 4200, 1);
        $this->row($south, 'Quay', 'D-06', 7300, 0, 1);
        $this->row($south, 'Quay', 'D-04', 11800, 0, 1);
        $charts = [
            ...$this->row($south, 'Charts', 'W-03', 1730, 2280, 7),
            ...$this->row($east, 'Charts', 'W-11', 900, 3450, 3),
            ...$this->row($north, 'Charts', 'W-05', 1500, 3250, 5),
            ...$this->row($west, 'Charts', 'W-07', 1800, 3225, 3),
        ];
        $this->run('opening.stack', ['ids' => $charts, 'storeys' => [$this->storeys['Crew'], $this->storeys['Office']]]);
        $this->row($east, 'Quay', 'W-05', 1250, 3450, 3);
        $this->row($north, 'Quay', 'W-09', 1500, 2280, 6);
        $this->row($north, 'Quay', 'D-02', 15600, 0, 1);
        $this->row($west, 'Quay', 'D-01', 5200, 0, 1);
    }

    /** @param  list<string>  $walls */
    private function watchRoom(array $walls): void
    {
        $this->row($walls[0], 'Watch', 'W-03', 400, 1750, 4);
        $this->row($walls[1], 'Watch', 'W-03', 450, 1600, 3);
        // over the roof that lies before them
        $this->row($walls[2], 'Watch', 'W-39', 950, 2200, 3);
        $this->row($walls[3], 'Watch', 'W-39', 1150, 0, 1);
    }

    /** @param  list<string>  $walls */
    private function workshop(array $walls): void
    {
        $this->place(
            $walls[0],
            'Quay',
            null,
            ['from' => 'middle', 'value' => 0, 'to' => 'centre'],
            ['width' => 4200, 'height' => 3400, 'sill' => ['from' => 'floor', 'height' => 0]],
        );
        $window = $this->row($walls[0], 'Quay', 'W-01', 600, 0, 1);
        $this->run('opening.mirror', ['ids' => $window, 'about' => 'middle', 'copy' => true]);
        $this->row($walls[2], 'Quay', 'W-39', 1250, 2000, 5);
        $this->row($walls[3], 'Quay', 'D-18', 1650, 0, 1);
    }

    /**
     * The curved lookout on the point east of the house: an arc towards the sea and a straight wall behind. Below it is cut with parallel
     * jambs for hung windows, above with fixed lights that are bent to it.
     */
    private function lookout(): string
    {
        [$arc, $back] = $this->outline('Lookout', [[23000, 6400], ['x' => 31000, 'y' => 6400, 'radius' => 4400]], 250, 'Quay', 'Charts');
        $this->place($arc, 'Quay', 'W-27', ['from' => 'middle', 'value' => 0, 'to' => 'centre']);
        foreach ([0.2, 0.35, 0.65, 0.8] as $share) {
            $this->place($arc, 'Quay', 'W-27', ['from' => 'fraction', 'value' => $share, 'to' => 'centre']);
        }
        foreach ([0.1, 0.25, 0.4, 0.55, 0.7, 0.85] as $share) {
            $this->place($arc, 'Charts', 'W-01', ['from' => 'fraction', 'value' => $share + 0.025, 'to' => 'centre'], [
                'width' => 1300, 'jambs' => 'bent',
            ]);
        }
        $this->row($back, 'Quay', 'D-01', 3550, 0, 1);
        $this->row($back, 'Charts', 'W-13', 1700, 2000, 3);

        return $arc;
    }

    /** Rooms on two storeys: a corridor wall, and walls between the rooms with a door at a nib in each; one nib is agreed to be less. */
    private function innerWalls(): void
    {
        $corridor = $this->inner('Corridor, Charts', [[300, 7425], [17700, 7425]], 'Charts')[0];
        $doors = $this->row($corridor, 'Charts', 'D-01', 200, 6900, 3);
        $this->inner('Chart library', [[7140, 7425], [7140, 11100]], 'Charts');
        $this->inner('Reading room', [[14040, 7425], [14040, 11100]], 'Charts');
        $this->run('wall.stack', ['walls' => [$corridor], 'from' => $this->storeys['Charts'], 'storeys' => [$this->storeys['Crew']]]);
        $this->run('opening.change', ['id' => $doors[0], 'value' => 150]);
        $this->run(
            'finding.accept',
            [
                'host' => $corridor,
                'finding' => 'door.nib '.$doors[0],
                'figure' => 150,
                'note' => 'The shelf beside it is fixed: agreed with the chart room.',
            ],
        );
    }

    /** Lines that the day's work hangs on: two uprights, the sill over every floor, and one of them brought round the corner. */
    private function settingOut(string $south, string $east): void
    {
        $entrance = $this->line($south, ['name' => 'Entrance', 'axis' => 'upright', 'rule' => ['from' => 'middle', 'value' => 0]]);
        $quay = $this->line($south, ['name' => 'Quay edge', 'axis' => 'upright', 'rule' => ['from' => 'right', 'value' => 1200]]);
        $this->line($south, ['name' => 'Sills', 'axis' => 'level', 'rule' => ['from' => 'floor', 'height' => 900]]);
        $this->run('line.across', ['id' => $quay, 'side' => 'right']);
        $door = Opening::query()->where('host_id', $south)->where('unit_type_id', $this->types['D-06'])->value('id');
        $this->run('opening.change', ['id' => $door, 'measure' => ['from' => 'line', 'ref' => $entrance, 'to' => 'centre']]);
        $this->run('opening.change', ['id' => $door, 'value' => 0]);
    }

    private function sets(string $south): void
    {
        $doors = array_keys(
            array_filter($this->types, static fn (string $id, string $mark): bool => str_starts_with($mark, 'D'), ARRAY_FILTER_USE_BOTH),
        );
        $ids = Opening::query()->where('project_id', $this->project->id)
            ->whereIn('unit_type_id', array_map(fn (string $mark): string => $this->types[$mark], $doors))
            ->pluck('id')
            ->all();
        $this->run('set.keep', ['name' => 'Doors', 'members' => $ids]);
        $this->run(
            'set.keep',
            [
                'name' => 'South windows',
                'members' => Opening::query()->where('host_id', $south)->where('unit_type_id', $this->types['W-03'])->pluck('id')->all(),
            ],
        );
    }

    /**
     * A plan drawing (invented too) under the crew's floor, at 1:50: one wall's windows are drawn 25 off, and a window more than there is.
     */
    private function tracing(): void
    {
        $structure = new Structure($this->assembly, $this->project);
        [$plan] = Plan::of($structure->with($structure->openings()), $structure->bodies(), $this->storeys['Crew']);
        $lines = [16500.0, 0.0, 16500.0, 300.0, 17200.0, 0.0, 17200.0, 300.0, 16500.0, 150.0, 17200.0, 150.0];
        foreach ($plan->shapes as $shape) {
            foreach ($shape->rings as $ring) {
                for ($i = 0, $n = count($ring); $i < $n; $i += 2) {
                    foreach ([$i, ($i + 2) % $n] as $j) {
                        $off = $ring[$j] < 310 && $ring[$j + 1] > 400 && $ring[$j + 1] < 11000 ? 25.0 : 0.0;
                        array_push($lines, $ring[$j], $ring[$j + 1] + $off);
                    }
                }
            }
        }
        $drawn = new Vectors(
            420.0,
            297.0,
            array_map(static fn (float $mm, int $i): float => ($mm + ($i % 2 === 0 ? 1500 : 1700)) / 50, $lines, array_keys($lines)),
            [],
            [],
            [['x' => 150.0, 'y' => 130.0, 'size' => 6.0, 'angle' => 0.0, 'text' => 'Crew, 1:50']],
            [],
        );
        $file = $this->files->put($this->project, json_encode($drawn->toArray(), JSON_THROW_ON_ERROR), 'json');
        $this->run(
            'tracing.keep',
            [
                'name' => 'Plan of the crew’s floor',
                'storeys' => [$this->storeys['Crew']],
                'file' => $file,
                'width' => 420,
                'height' => 297,
                'x' => -1500,
                'y' => -1700,
                'scale' => 50,
                'opacity' => 0.7,
                'locked' => true,
            ],
        );
    }

    /** Two sheets: the elevations with the schedule of openings, a plan with the section that is cut through it. */
    private function sheets(): void
    {
        $drawings = $this->plans->drawings($this->project);
        $frontages = array_map(static fn (Frontage $f): string => $f->id, (new Structure($this->assembly, $this->project))->frontages());
        $section = array_keys($drawings->design->kept)[0];
        foreach ([
            [
                'A-01',
                'Elevations',
                [
                    ...array_map(static fn (string $f): array => ['elevation', $f, 100.0], array_slice($frontages, 0, 4)),
                    ['schedule', 'by-type'],
                    // all of it from the south, with the lookout’s curved face foreshortened
                    ['elevation', 'from:180', 100.0],
                ],
            ],
            ['A-02', 'Charts floor and section', [['plan', $this->storeys['Charts']], ['section', $section]]],
        ] as [$number, $name, $items]) {
            $this->run('sheet.keep', ['number' => $number, 'name' => $name, 'paper' => 'A1',
                'items' => SheetPlaces::of(
                    $drawings,
                    Paper::A1,
                    array_map(
                        static fn (array $i): array => [
                            'kind' => $i[0],
                            'ref' => $i[1],
                            'scale' => $i[2] ?? null,
                            'x' => null,
                            'y' => null,
                        ],
                        $items,
                    ),
                )]);
        }
    }

    /** The schedule that the (invented) client sent: nearly what is drawn. */
    private function given(): void
    {
        $csv = "Pilot House: schedule of windows and doors;;;;;;;;;\nMark;Description;Width;Height;Sill;Count;Quay;Charts;Crew;Office\nW-03;side-hung pair;1200;1450;900;21;;7;7;7\nW-05;three lights;2050;1450;900;18;3;5;5;5\n"
            ."W-07;pair under a toplight;1350;2100;250;9;;3;3;3\nW-09;small light;600;600;1600;6;6;;;\nW-11;four lights;2700;1450;900;9;;3;3;3\nW-51;tilt-and-turn;1100;1450;900;2;;;2;\nD-01;glazed door;1000;2150;0;1;1;;;\n"
            ."D-02;door under toplight;1000;2700;0;2;2;;;\nD-04;pair of doors;1800;2300;0;1;1;;;\nD-06;door with sidelights;2600;2400;0;1;1;;;\n";
        $sheet = CsvReader::read($csv, 'Pilot House');
        [$header, $columns] = Headings::find($sheet->rows, (new Structure($this->assembly, $this->project))->design()->storeys);
        $this->run(
            'given.keep',
            [
                'name' => 'Client’s schedule',
                'file' => $this->files->put($this->project, json_encode([$sheet->toArray()], JSON_THROW_ON_ERROR), 'json'),
                'sheet' => 0,
                'header' => $header,
                'columns' => array_map(static fn (Column $c): array => $c->toArray(), $columns),
            ],
        );
    }

    /** Set too near to a corner, and on top of each other. */
    private function mistakes(string $south, string $west): void
    {
        // put down beside the door, and then moved over it
        $moved = $this->place($south, 'Quay', 'W-02', ['from' => 'right', 'value' => 600, 'to' => 'near']);
        $this->run('opening.change', ['id' => $moved, 'position' => ['from' => 'right', 'value' => 3900, 'to' => 'near']]);
        $this->place($west, 'Quay', 'W-09', ['from' => 'left', 'value' => 365, 'to' => 'near']);
    }

    private function person(string $name, string $email): User
    {
        return User::query()->firstOrCreate(['email' => $email], ['name' => $name, 'password' => self::PASSWORD]);
    }

    /**
     * @param  list<array<array-key, int>>  $points
     * @return list<string> wall ids in order
     */
    private function outline(string $name, array $points, float $thickness, string $base, string $top): array
    {
        return $this->drawn(
            [
                'name' => $name,
                'points' => $points,
                'thickness' => $thickness,
                'base' => $this->storeys[$base],
                'top' => $this->storeys[$top],
            ],
        );
    }

    /**
     * @param  list<array{int, int}>  $points
     * @return list<string> wall ids in order
     */
    private function inner(string $name, array $points, string $storey): array
    {
        return $this->drawn(
            [
                'name' => $name,
                'points' => $points,
                'closed' => false,
                'inner' => true,
                'thickness' => 120,
                'base' => $this->storeys[$storey],
                'top' => $this->storeys[$storey],
            ],
        );
    }

    /**
     * @param  array<string, mixed>  $args
     * @return list<string> wall ids in order
     */
    private function drawn(array $args): array
    {
        return array_values(
            Wall::query()->where('outline_id', $this->run('outline.draw', $args)[0])->orderBy('position')->pluck('id')->all(),
        );
    }

    /** @param  array<string, mixed>  $args */
    private function line(string $wall, array $args): string
    {
        return $this->run('line.add', ['host' => $wall] + $args)[0];
    }

    /** @return list<string> */
    private function row(string $wall, string $storey, string $mark, float $first, float $pitch, int $count): array
    {
        $id = $this->place($wall, $storey, $mark, ['from' => 'left', 'value' => $first, 'to' => 'near']);

        return $count === 1 ? [$id] : [$id, ...$this->run('opening.repeat', ['ids' => [$id], 'pitch' => $pitch, 'count' => $count - 1])];
    }

    /**
     * @param  array{from: string, value: float|int, to: string}  $position
     * @param  array<string, mixed>  $more
     */
    private function place(string $wall, string $storey, ?string $mark, array $position, array $more = []): string
    {
        return $this->run(
            'opening.place',
            [
                'host' => $wall,
                'storey' => $this->storeys[$storey],
                'type' => $mark === null ? null : $this->types[$mark],
                'position' => $position,
            ] + $more,
        )[0];
    }

    /**
     * @param  array<string, mixed>  $args
     * @return list<string>
     */
    private function run(string $edit, array $args): array
    {
        $outcome = $this->editor->run(
            $this->project,
            $this->owner,
            $edit,
            $args,
            Project::query()->findOrFail($this->project->id)->change_number,
        );

        return $outcome->change->chosen;
    }
}
