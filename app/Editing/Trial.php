<?php

declare(strict_types=1);

namespace App\Editing;

use App\Assembly\Assembly;
use App\Derived\BandView;
use App\Derived\CurtainView;
use App\Derived\FieldView;
use App\Derived\FloorBandView;
use App\Derived\RoofView;
use App\Derived\ScreenView;
use App\Models\Project;
use Isleward\Core\Building\Bodies;
use Isleward\Core\Building\Places;
use Isleward\Core\Check\Findings;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\LineAxis;
use Isleward\Core\Design\Opening as DesignOpening;
use Isleward\Core\Design\SettingOutLine;
use Isleward\Core\Design\Wall;
use Isleward\Core\Edit\Edits;
use Isleward\Core\Edit\Scope;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** An edit tried: as it would be done, and written nowhere. */
final readonly class Trial
{
    /** So many openings are told of: they are drawn before it is done. */
    private const MOST_PLACED = 2500;

    /** Findings are looked for in so many walls; more would keep the ghost waiting. */
    private const MOST_WALLS = 12;

    public function __construct(private Assembly $assembly, private Ids $ids)
    {
    }

    /**
     * What it would come to, what would not fit, and what would be found doubtful about it.
     *
     * @param  array<array-key, mixed>  $args
     *
     * @throws Refusal
     */
    public function of(Project $project, string $name, array $args): Outcome
    {
        $edit = Edits::make($name, new Fields($args, $project->settings()->units));
        $scope = $edit->scope();
        $design = $this->assembly->design($project, $scope, again: true);
        $change = $edit->apply($design, $this->ids);
        $after = $design->after($change);

        $findings = $this->findings($project, $after, $scope, $change);
        $said = $findings === null
                    ? [sprintf('Findings are looked for when it is done: it touches more than %d walls.', self::MOST_WALLS)]
                    : [];

        return new Outcome(
            $project->change_number,
            $project->standing,
            $change,
            null,
            null,
            Outcome::places($after, $change, self::MOST_PLACED),
            $findings ?? [],
            lines: self::lines($after, $change),
            standing: self::walls($change),
            said: $said,
            curtains: CurtainView::tried($after, $change),
            bands: [
                ...ScreenView::tried($after, $change), ...FieldView::tried($after, $change), ...FloorBandView::tried($after, $change),
                ...RoofView::tried($after, $change),
                ...BandView::tried($after, $change),
            ],
        );
    }

    /** @return list<array<string, mixed>> */
    private static function walls(Change $change): array
    {
        $walls = [];
        foreach ($change->operations as $operation) {
            if ($operation->after instanceof Wall) {
                $walls[] = array_intersect_key(
                    $operation->after->toArray(),
                    array_flip(['id', 'fromX', 'fromY', 'toX', 'toY', 'rise', 'thickness', 'base', 'top']),
                );
            }
        }

        return $walls;
    }

    /** @return list<array<string, mixed>> */
    private static function lines(Design $after, Change $change): array
    {
        $lines = [];
        foreach ($change->operations as $operation) {
            $line = $operation->after;
            if ($line instanceof SettingOutLine) {
                $upright = $line->axis === LineAxis::Upright;
                $lines[] = [
                    'id' => $line->id,
                    'host' => $line->host,
                    'u' => $upright ? Places::in($after)->line($line) : null,
                    'levels' => $upright ? [] : array_column(Places::in($after)->lineLevels($line), 1),
                ];
            }
        }

        return $lines;
    }

    /** @return list<array<string, mixed>>|null about what was touched; null when it is too much to look through */
    private function findings(Project $project, Design $after, Scope $scope, Change $change): ?array
    {
        $walls = $storeys = [];
        foreach ($change->operations as $operation) {
            if ($operation->after instanceof DesignOpening) {
                $placed = Places::in($after)->of($operation->after);
                $walls[$operation->after->host] = true;
                $storeys += array_flip($after->storeys->around($operation->after->storey, $placed->sill, $placed->head));
            }
        }
        if ($walls === [] || count($walls) > self::MOST_WALLS) {
            return $walls === [] ? [] : null;
        }
        if (! $scope->everything && ! $scope->wallsToo && array_diff(array_keys($walls), $scope->walls) !== []) {
            $after = $this->assembly->design($project, Scope::onStoreys(array_keys($walls), array_keys($storeys)), again: true)
                ->after($change);
        }
        $touched = array_flip($change->touched());
        $findings = [];
        foreach (array_keys($walls) as $wall) {
            foreach (Findings::of($after, Bodies::one($after, $after->host($wall)), $touched) as $finding) {
                $findings[] = $finding->toArray();
            }
        }

        return $findings;
    }
}
