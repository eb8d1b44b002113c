<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Operation;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Roof\Pitch;
use Isleward\Core\Roof\Roof;
use Isleward\Core\Roof\Roofs;
use Isleward\Core\Roof\RoofShape;
use Isleward\Core\Roof\RoofSide;

/**
 * Lays a roof over an "outline", or with "id" changes what is given of one; with "edge" what is given of it over one wall.
 * "eaves" and "ridge" give its heights in place of its level and its pitch.
 */
final readonly class RoofAdd implements Edit
{
    /** Pitches are found to 1e-12 of the range. */
    private const HALVINGS = 40;

    private function __construct(private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args);
    }

    public function scope(): Scope
    {
        return Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $before = $this->args->has('id') ? Roofs::roof($design, $this->args->string('id')) : null;
        $values = $before?->toArray() ?? [
            'id' => $ids->next(Kind::Roof), 'position' => BandRules::lastPosition($design) + 1,
            'name' => BandRules::freeName($design, 'Roof'),
        ];
        $given = array_diff_key($this->args->all(), ['eaves' => 1, 'ridge' => 1]);
        if ($this->args->has('edge')) {
            $given['edges'] = $this->edges($design, $before?->toArray()['edges'] ?? []);
        }
        $outline = $given['outline'] ?? $values['outline'] ?? null;
        if (! is_string($outline)) {
            throw Refusal::because('roof.where', 'A roof lies over an outline: say which.', details: ['field' => 'outline']);
        }
        $given += $before === null ? ['storey' => self::highest($design, $outline)] : [];
        $roof = Roof::from(new Fields([...$values, ...$given], $this->args->units()));
        BandRules::requireLayer($design, $roof, $roof->finish);
        array_map($design->outline(...), [...$roof->also, ...$roof->through]);
        if (array_intersect($roof->outlines(), $roof->through) !== []) {
            throw Refusal::because('roof.through_itself', sprintf('%s lies over that outline: it is not cut round it.', $roof->name),
                [$roof->id], ['field' => 'through']);
        }
        $roof = $this->atHeights($design, $roof);
        foreach ($design->layers as $other) {
            if ($other instanceof Roof && $other->id !== $roof->id && $other->storey === $roof->storey
                && array_intersect($other->outlines(), $roof->outlines()) !== []) {
                throw Refusal::because('roof.there', sprintf('%s lies over that outline already.', $other->name), [$other->id],
                    ['field' => 'outline']);
            }
        }
        $change = new Change('', [$before === null ? Operation::add($roof) : Operation::alter($before, $roof)]);
        $shape = Roofs::in($design->after($change))->of($roof);

        return new Change(
            $before === null
                ? sprintf('Laid %s of %s', $roof->name, Words::counts(['face' => count($shape->slopes())]))
                : sprintf('Changed %s', $roof->name),
            $change->operations, [$roof->id], wanted: count($shape->slopes()),
        );
    }

    /** With the level and the pitch that bring its eaves and its highest line to the levels that are given. */
    private function atHeights(Design $design, Roof $roof): Roof
    {
        if ($this->args->has('eaves')) {
            $roof = $roof->atLevel($roof->level + $this->args->length('eaves') - RoofShape::of($design, $roof)->foot());
        }
        if (! $this->args->has('ridge')) {
            return $roof;
        }
        $wanted = $this->args->length('ridge');
        $whole = $roof->withoutHips();
        $top = static fn (float $pitch): float => RoofShape::of($design, $whole->pitched($pitch))->top();
        [$low, $high] = [Pitch::LEAST, Pitch::MOST];
        if ($wanted < $top($low) || $wanted > $top($high)) {
            throw Refusal::because('roof.ridge', Length::said(sprintf(
                'At no pitch does %s reach %s: between %s° and %s° its highest line lies from %s to %s.',
                $roof->name, Length::mark($wanted), Pitch::LEAST, Pitch::MOST, Length::mark($top($low)), Length::mark($top($high)),
            ), $this->args->units()), [$roof->id], ['field' => 'ridge']);
        }
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = ($low + $high) / 2;
            $top($middle) < $wanted ? $low = $middle : $high = $middle;
        }

        return $roof->pitched(($low + $high) / 2);
    }

    /**
     * @param  mixed  $edges  as they were
     * @return list<mixed>
     */
    private function edges(Design $design, mixed $edges): array
    {
        $edge = $this->args->fields('edge');
        $wall = $design->wall($edge->string('wall'))->id;
        $kept = ['wall' => $wall];
        $others = [];
        foreach (is_array($edges) ? $edges : [] as $old) {
            if (is_array($old) && ($old['wall'] ?? null) === $wall) {
                $kept = $old;
            } else {
                $others[] = $old;
            }
        }

        $given = array_diff_key($edge->all(), ['halfHip' => 1]);
        if ($edge->bool('halfHip', false)) {
            $whole = [...$kept, 'gable' => true, 'hip' => null];
            $given = [...$given, 'gable' => true, 'hip' => $this->halfWayUp($design, [...$others, $whole], $wall)];
        }

        return [...$others, [...$kept, ...$given]];
    }

    /**
     * Where a half hip begins until it is said: half way up the gable that is there without it.
     *
     * @param  list<mixed>  $edges
     */
    private function halfWayUp(Design $design, array $edges, string $wall): float
    {
        $roof = Roofs::roof($design, $this->args->string('id'));
        $shape = RoofShape::of($design, Roof::from(new Fields([...$roof->toArray(), 'edges' => $edges])));
        $levels = array_merge(...array_map(static fn (RoofSide $s): array => array_column($s->corners, 2), $shape->over($wall)));

        return round((max([$shape->foot(), ...$levels]) - $shape->foot()) / 2);
    }

    /** The storey under whose head the walls of an outline end that reach highest. */
    private static function highest(Design $design, string $outline): string
    {
        $storeys = $design->storeys;
        $best = null;
        foreach ($design->wallsOf($design->outline($outline)->id) as $wall) {
            $best = $best === null || $storeys->indexOf($wall->top) > $storeys->indexOf($best) ? $wall->top : $best;
        }

        return $best ?? throw Refusal::because('roof.no_walls', 'That outline has no walls to lay a roof on.', [$outline]);
    }
}
