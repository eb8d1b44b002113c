<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Building\Frontage;
use Isleward\Core\Building\Places;
use Isleward\Core\Design\Design;

/** A stretch of a run, or a curtain wall that is let into an opening, with what stands there: what schedules are made of. */
final readonly class PlacedRun
{
    /**
     * @param  string  $element  the stretch or the opening
     * @param  string  $run  what people call what it is of
     * @param  list<RunMember>  $members
     * @param  list<RunPane>  $panes
     * @param  list<Stretch>  $stretches
     * @param  list<array{float, float}>  $cornerJoints  how wide and how long, mm
     * @param  float  $length  along its foot, mm
     * @param  float  $face  mm²
     */
    private function __construct(
        public string $element,
        public string $run,
        public GridType $grid,
        public Frontage $frontage,
        public string $storey,
        public array $members,
        public array $panes,
        private array $stretches,
        private array $cornerJoints,
        public float $length,
        public float $height,
        public float $face,
    ) {
    }

    /**
     * Those that can stand, frontage by frontage. What cannot is a finding.
     *
     * @param  list<Frontage>  $frontages
     * @return list<self>
     */
    public static function all(Design $design, array $frontages): array
    {
        $out = [];
        foreach ($frontages as $frontage) {
            foreach (array_keys($frontage->walls) as $wall) {
                $host = $design->host($wall);
                $standing = $host->curtain() === null ? null : Runs::in($design)->find($wall);
                if ($standing !== null) {
                    $out[] = self::stretch($design, $standing, $wall, $frontage);
                }
                foreach ($design->openingsOf($wall) as $opening) {
                    if ($opening->curtain === null) {
                        continue;
                    }
                    $run = LetIn::find($design, Places::in($design)->of($opening));
                    if ($run !== null) {
                        $out[] = new self(
                            $opening->id,
                            $opening->mark ?? $design->label($opening).' in '.$frontage->name,
                            Runs::type($design, $opening->curtain->grid),
                            $frontage,
                            $design->storeys->get($opening->storey)->name,
                            $run->members(),
                            $run->panes(),
                            $run->stretches,
                            [],
                            $opening->width,
                            $opening->height,
                            $run->faceArea(),
                        );
                    }
                }
            }
        }

        return $out;
    }

    /**
     * Where no member stands between infills, and where glass meets glass at a corner.
     *
     * @return list<array{string, float, float}> what it is, how wide, and how long in its middle, mm
     */
    public function joints(): array
    {
        $joints = array_map(static fn (array $j): array => ['corner joint', ...$j], $this->cornerJoints);
        foreach ($this->stretches as $stretch) {
            foreach ($stretch->drawn()->joints as [$joint, $seen]) {
                $upright = $joint->role->isUpright();
                $width = $upright ? $joint->x1 - $joint->x0 : $joint->y1 - $joint->y0;
                $joints[] = [$upright ? 'upright joint' : 'level joint', $width, $seen->area() / $width];
            }
        }

        return $joints;
    }

    private static function stretch(Design $design, StandingRun $standing, string $wall, Frontage $frontage): self
    {
        $index = $standing->indexOf($wall);
        $members = $panes = $joints = [];
        $face = 0.0;
        foreach ($standing->partsOf($index) as $part) {
            array_push($members, ...$part->stretch->members());
            array_push($panes, ...$part->stretch->panes());
            $face += $part->stretch->faceArea();
        }
        foreach ($standing->run->corners as $i => $member) {
            if ($standing->run->cornerOf[$i] === $index) {
                $members[] = $member;
            }
        }
        foreach ($standing->run->joints as [$path, $width, $length]) {
            if ($path === $index) {
                $joints[] = [$width, $length];
            }
        }

        return new self(
            $wall,
            $design->outlines[$standing->walls[0]->outline]->name ?? 'run',
            $standing->grids[$index],
            $frontage,
            $design->storeys->get($standing->walls[$index]->base)->name,
            $members,
            $panes,
            array_map(static fn (RunPart $p): Stretch => $p->stretch, $standing->partsOf($index)),
            $joints,
            $standing->path->stretches[$index]->curve->length(),
            $standing->height,
            $face,
        );
    }
}
