<?php

declare(strict_types=1);

namespace App\Derived;

use App\Assembly\Assembly;
use App\Models\Project;
use Illuminate\Database\Query\Builder;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Kind;
use Isleward\Core\Wall\Bodies;
use Isleward\Core\Wall\Body;
use Isleward\Core\Wall\Frontage;
use Isleward\Core\Wall\Frontages;

/** A project's storeys, outlines, walls and types, how the walls stand, and any part of its openings on request. */
final class Structure
{
    /** @var array<string, list<array<string, mixed>>> */
    private array $rows;

    private ?Design $bare = null;

    /** @var array<string, Body>|null */
    private ?array $bodies = null;

    /** @var list<Frontage>|null */
    private ?array $frontages = null;

    public function __construct(private readonly Assembly $assembly, private readonly Project $project)
    {
        $this->rows = [];
        foreach ([Kind::Storey, Kind::Outline, Kind::Wall, Kind::Type] as $kind) {
            $this->rows[$kind->value] = $assembly->rows($kind, $project);
        }
    }

    public function design(): Design
    {
        return $this->bare ??= Design::of($this->project->settings(), $this->assembly->elements($this->rows));
    }

    /** @return array<string, Body> */
    public function bodies(): array
    {
        return $this->bodies ??= Bodies::of($this->design());
    }

    /** @return list<Frontage> */
    public function frontages(): array
    {
        return $this->frontages ??= Frontages::of($this->design(), $this->bodies());
    }

    public function frontage(string $id): ?Frontage
    {
        foreach ($this->frontages() as $frontage) {
            if ($frontage->id === $id) {
                return $frontage;
            }
        }

        return null;
    }

    /** @return list<array<string, mixed>> rows of the openings in a frontage's walls */
    public function openingsOf(Frontage $frontage): array
    {
        return $this->openings(static fn (Builder $q) => $q->whereIn('wall_id', array_keys($frontage->walls)));
    }

    /**
     * @param  \Closure(Builder): mixed|null  $narrow
     * @return list<array<string, mixed>>
     */
    public function openings(?\Closure $narrow = null): array
    {
        return $this->assembly->rows(Kind::Opening, $this->project, $narrow);
    }

    /** @param  list<array<string, mixed>>  $openings rows */
    public function with(array $openings): Design
    {
        $design = $this->design();

        return Design::of($design->settings, [...array_values($design->elements()), ...$this->assembly->elements([Kind::Opening->value => $openings])]);
    }

    /**
     * A name for all that a derived thing is worked out from; equal content has an equal hash, also after an undo.
     *
     * @param  list<array<string, mixed>>  $openings
     */
    public function hash(string $what, array $openings): string
    {
        $build = config('isleward.build');

        return hash('xxh128', serialize([$what, $build, $this->project->settings()->toArray(), $this->rows, $openings]));
    }
}
