<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Geometry\Contour;
use Isleward\Core\Measure\Refusal;

/**
 * What a user has put in, or the part of it that an edit or a drawing needs: all storeys, outlines, walls and types, and
 * the openings of the walls in question. Nothing derived is kept in it.
 */
final readonly class Design
{
    public Storeys $storeys;

    private WorkedOut $workedOut;

    /**
     * @param  array<string, Storey>  $storeyList
     * @param  array<string, Outline>  $outlines
     * @param  array<string, Wall>  $walls
     * @param  array<string, UnitType>  $types
     * @param  array<string, Pattern>  $grids  grid types
     * @param  array<string, Opening>  $openings
     * @param  array<string, SettingOutLine>  $lines
     * @param  array<string, Layered>  $layers  what stands before walls
     * @param  array<string, Kept>  $kept  what is kept under names, of all kinds
     * @param  array<string, Acceptance>  $acceptances
     */
    private function __construct(
        public Settings $settings,
        private array $storeyList,
        public array $outlines,
        public array $walls,
        public array $types,
        public array $grids,
        public array $openings,
        public array $lines,
        public array $layers,
        public array $kept,
        public array $acceptances,
    ) {
        $this->storeys = new Storeys($storeyList, $settings->baseLevel);
        $this->workedOut = new WorkedOut;
    }

    /** @param  iterable<Element>  $elements */
    public static function of(Settings $settings, iterable $elements = []): self
    {
        $storeys = $outlines = $walls = $types = $grids = $openings = $lines = $layers = $kept = $acceptances = [];
        foreach ($elements as $element) {
            match (true) {
                $element instanceof Settings => $settings = $element,
                $element instanceof Storey => $storeys[$element->id] = $element,
                $element instanceof Outline => $outlines[$element->id] = $element,
                $element instanceof Wall => $walls[$element->id] = $element,
                $element instanceof UnitType => $types[$element->id] = $element,
                $element instanceof Pattern => $grids[$element->id()] = $element,
                $element instanceof Opening => $openings[$element->id] = $element,
                $element instanceof SettingOutLine => $lines[$element->id] = $element,
                $element instanceof Layered => $layers[$element->id()] = $element,
                $element instanceof Kept => $kept[$element->id()] = $element,
                $element instanceof Acceptance => $acceptances[$element->id] = $element,
                default => throw new \LogicException('A design holds no '.$element::class.'.'),
            };
        }

        return new self($settings, $storeys, $outlines, $walls, $types, $grids, $openings, $lines, $layers, $kept, $acceptances);
    }

    /** The design after a change. */
    public function after(Change $change): self
    {
        $elements = $this->elements();
        foreach ($change->operations as $operation) {
            if ($operation->after === null) {
                unset($elements[$operation->id]);
            } else {
                $elements[$operation->id] = $operation->after;
            }
        }

        return self::of($this->settings, $elements);
    }

    /** @return array<string, Element> by id; the settings included */
    public function elements(): array
    {
        return [
            $this->settings->id => $this->settings,
        ] + $this->storeyList + $this->outlines + $this->walls + $this->types + $this->grids
            + $this->openings + $this->lines + $this->layers + $this->kept + $this->acceptances;
    }

    public function wall(string $id): Wall
    {
        return $this->walls[$id] ?? throw Refusal::because('wall.unknown', 'That wall is not in this project any more.', [$id]);
    }

    /** What openings and lines stand in. */
    public function host(string $id): Host
    {
        return $this->wall($id);
    }

    /** @return array<string, Host> */
    public function hosts(): array
    {
        return $this->walls;
    }

    public function outline(string $id): Outline
    {
        return $this->outlines[$id] ?? throw Refusal::because('outline.unknown', 'That outline is not in this project any more.', [$id]);
    }

    public function opening(string $id): Opening
    {
        return $this->openings[$id] ?? throw Refusal::because('opening.unknown', 'That opening is not in this project any more.', [$id]);
    }

    public function type(string $id): UnitType
    {
        return $this->types[$id] ?? throw Refusal::because('type.unknown', 'That unit type is not in this project any more.', [$id]);
    }

    public function grid(string $id): Pattern
    {
        return $this->grids[$id] ?? throw Refusal::because('grid.unknown', 'That grid type is not in this project any more.', [$id]);
    }

    public function line(string $id): SettingOutLine
    {
        return $this->lines[$id] ?? throw Refusal::because('line.unknown', 'That setting-out line is not in this project any more.', [$id]);
    }

    /** Something kept under a name, of this kind. */
    public function kept(Kind $kind, string $id): Kept
    {
        $found = $this->kept[$id] ?? null;

        return $found?->kind() === $kind
                    ? $found
                    : throw Refusal::because(
                        $kind->value.'.unknown',
                        sprintf('That %s is not in this project any more.', $kind->word()),
                        [$id],
                    );
    }

    /** Whether it stands inside the building, between rooms. */
    public function isInner(Host $host): bool
    {
        return ($this->outlines[$host->outline()] ?? null)?->inner === true;
    }

    /** The outline of an opening as seen from outside the wall, from its left jamb and sill; null for a rectangle. */
    public function outlineOf(Opening $opening): ?Contour
    {
        $type = $opening->type === null ? null : $this->types[$opening->type] ?? null;
        if ($type === null || ! $type->shaped) {
            return $opening->contour();
        }
        $outline = $type->tree()->outline->contour($opening->width, $opening->height);

        return $opening->seenMirrored() ? $outline->mirrored($opening->width) : $outline;
    }

    /**
     * Something worked out from this design, once: it cannot change.
     *
     * @template T of object
     *
     * @param  class-string<T>  $what
     * @param  \Closure(self): T  $make
     * @return T
     */
    public function once(string $what, \Closure $make): object
    {
        return $this->workedOut->once($what, fn (): object => $make($this));
    }

    /** @return list<Opening> */
    public function openingsOf(string $host): array
    {
        return $this->once(OpeningsByHost::class, static fn (self $d): OpeningsByHost => new OpeningsByHost($d->openings))->of($host);
    }

    /** @return list<Wall> in the order of the chain */
    public function wallsOf(string $outline): array
    {
        $walls = array_values(array_filter($this->walls, static fn (Wall $w): bool => $w->outline === $outline));
        usort($walls, static fn (Wall $a, Wall $b): int => $a->position <=> $b->position);

        return $walls;
    }

    /** What people call an opening: its type's mark, or "bare opening". */
    public function label(Opening $opening): string
    {
        if ($opening->curtain !== null) {
            return ($this->grids[$opening->curtain->grid] ?? null)?->mark() ?? 'curtain wall';
        }

        return $opening->type === null ? 'bare opening' : ($this->types[$opening->type]->mark ?? 'unit');
    }
}
