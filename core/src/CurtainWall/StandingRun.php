<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Design\Design;
use Isleward\Core\Design\Wall;
use Isleward\Core\Measure\Refusal;

/** A run where it stands: stretches of an outline that follow one another, worked out as one. */
final readonly class StandingRun
{
    /**
     * @param  non-empty-list<Wall>  $walls  the stretches, in order
     * @param  list<float>  $starts  where along each its curtain wall begins, mm from its left end: past what it ends against
     * @param  non-empty-list<GridType>  $grids  of each
     * @param  float  $foot  level, mm over the datum
     */
    public function __construct(
        public array $walls,
        public array $starts,
        public array $grids,
        public Run $run,
        public RunPath $path,
        public float $foot,
        public float $height,
    ) {
    }

    /** The id of the stretch it is told by: its first. */
    public function id(): string
    {
        return $this->walls[0]->id;
    }

    /** Which of its stretches this is, from 0. */
    public function indexOf(string $wall): int
    {
        foreach ($this->walls as $i => $one) {
            if ($one->id === $wall) {
                return $i;
            }
        }
        throw new \LogicException("No stretch of this run is $wall.");
    }

    /** @return list<RunPart> what stands along one of its stretches: the stretch, or its facets */
    public function partsOf(int $index): array
    {
        return array_values(array_filter($this->run->parts, static fn (RunPart $p): bool => $p->path === $index));
    }

    /**
     * That one of its stretches can be built, the units in its cells too.
     *
     * @throws Refusal with figures
     */
    public function requireStretch(Design $design, int $index): void
    {
        try {
            foreach ($this->partsOf($index) as $part) {
                Runs::requireUnits($design, $part->stretch);
            }
        } catch (Refusal $refusal) {
            throw $refusal->of($this->walls[$index]->id);
        }
    }

    /** Cosine of how far a stretch leans: by so much less it is high than its face is long. */
    public function upright(int $index): float
    {
        return cos($this->path->stretches[$index]->lean);
    }

    /**
     * What stands at an end of a stretch, or of one of its facets.
     *
     * @param  string|null  $facet  {@see RunPart::$line}
     * @return array{string, string, RunMember}|null the stretch it is of, its name within that, and the first of what stands there
     */
    public function corner(string $wall, ?string $facet, bool $atLeft): ?array
    {
        $of = $this->indexOf($wall);
        $lines = array_map(static fn (RunPart $p): ?string => $p->line, $this->partsOf($of));
        $at = (int) array_search($facet, $lines, true) + ($atLeft ? 0 : 1);
        if ($at === 0) {
            // it is the right end of the stretch before
            $of = $of > 0 ? $of - 1 : count($this->walls) - 1;
        }
        $name = PartName::corner($at === 0 ? null : $lines[$at] ?? null);
        foreach ($this->run->corners as $i => $member) {
            if ($this->run->cornerOf[$i] === $of && $this->run->cornerName[$i] === $name) {
                return [$this->walls[$of]->id, $name, $member];
            }
        }

        return null;
    }
}
