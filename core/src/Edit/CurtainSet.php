<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\CurtainWall\Corner;
use Isleward\Core\CurtainWall\Lost;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Curtain;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\SillDatum;
use Isleward\Core\Design\Wall;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Makes stretches of outlines curtain wall ("grid"), changes how they stand ("lean" in degrees, "foot" over the floor, "height" of their
 * own, "faceted", what stands at their left "corner"), or makes them walls again ("grid": null, with a "thickness"). With "base" and
 * "top" only those storeys of a wall: what is under and over them stays a wall. Openings that lie where curtain wall comes go with it, which
 * "withContents" allows.
 */
final readonly class CurtainSet implements Edit
{
    private const HOW = ['grid', 'lean', 'foot', 'footFrom', 'height', 'corner', 'faceted', 'square', 'bays', 'rows'];

    /** @param  list<string>  $walls */
    private function __construct(private array $walls, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        return new self(array_values(array_unique($args->strings('walls'))), $args);
    }

    public function scope(): Scope
    {
        return Scope::ofWalls(...$this->walls, ...Curtained::alignedTo($this->args));
    }

    public function apply(Design $design, Ids $ids): Change
    {
        if ($this->walls === []) {
            throw Refusal::because('curtain.none_chosen', 'Choose the stretches first.');
        }
        $operations = $gone = [];
        foreach ($this->walls as $id) {
            $wall = $design->wall($id);
            if ($wall->curtain !== null && array_key_exists('grid', $this->args->all()) && ! $this->args->has('grid')) {
                $thickness = $this->args->size('thickness', 'The thickness of a wall');
                $operations[] = Operation::alter($wall, $wall->withCurtain(null, $thickness));

                continue;
            }
            [$more, $went] = $this->made($design, $ids, $wall);
            array_push($operations, ...$more);
            $gone += $went;
        }
        if ($gone !== [] && ! $this->args->bool('withContents')) {
            throw Refusal::because('curtain.openings', sprintf(
                '%s where the curtain wall would stand; %s go with it.',
                ucfirst(Words::counts(['opening' => count($gone)])).(count($gone) === 1 ? ' lies' : ' lie'),
                count($gone) === 1 ? 'it would' : 'they would',
            ), array_keys($gone), ['openings' => count($gone)]);
        }
        $operations = self::merged(References::letGo($design, $gone), $operations);
        foreach ($gone as $opening) {
            $operations[] = Operation::remove($opening);
        }
        $change = new Change($this->summary($design), $operations, $this->walls);
        $then = $design->after($change);
        Standing::require($then, $design, $this->walls);
        foreach ($this->args->has('bays') || $this->args->has('rows') ? $this->walls : [] as $id) {
            foreach (Runs::in($then)->at($id)->partsOf(Runs::in($then)->at($id)->indexOf($id)) as $part) {
                Curtained::requireLines($this->args, $part->stretch->grid(), $id, $part->line !== null);
            }
        }

        return new Change($change->summary, $change->operations, $this->walls, notes: $this->notes($design, $then));
    }

    /**
     * One operation an element: what loses what it was measured from, in the wall it now stands in.
     *
     * @param  list<Operation>  $letGo
     * @param  list<Operation>  $operations
     * @return list<Operation>
     */
    private static function merged(array $letGo, array $operations): array
    {
        $out = [];
        foreach ([...$letGo, ...$operations] as $operation) {
            $first = $out[$operation->id] ?? null;
            if ($first?->after instanceof Opening && $first->before !== null && $operation->after instanceof Opening) {
                $operation = Operation::alter($first->before, $first->after->withHost($operation->after->host));
            }
            $out[$operation->id] = $operation;
        }

        return array_values($out);
    }

    /**
     * A stretch as curtain wall, and what of it stays a wall.
     *
     * @return array{list<Operation>, array<string, Opening>} and the openings that go
     */
    private function made(Design $design, Ids $ids, Wall $wall): array
    {
        $given = array_intersect_key($this->args->all(), array_flip(self::HOW));
        if ($wall->curtain === null && ! $this->args->has('grid')) {
            throw Refusal::because('curtain.no_grid', 'This is no curtain wall yet: say which grid type stands there.', [$wall->id]);
        }
        $curtain = Curtain::from(new Fields([...$wall->curtain?->toArray() ?? [], ...$given], $this->args->units()));
        if ($wall->curtain !== null && ! isset($given['foot']) && $curtain->fromDatum !== $wall->curtain->fromDatum) {
            // measured from elsewhere its foot stays where it is
            $floor = $design->storeys->floor($wall->base);
            $curtain = $curtain->withFoot($wall->curtain->footLevel($floor) - ($curtain->fromDatum ? 0.0 : $floor));
        }
        if ($curtain->corner !== null) {
            $curtain = Curtain::from(new Fields([
                ...$curtain->toArray(), 'corner' => Corner::from(new Fields($curtain->corner, $this->args->units()))->toArray(),
            ]));
        }
        $storeys = $design->storeys;
        $base = $this->args->string('base', $wall->base);
        $top = $this->args->string('top', $wall->top);
        [$from, $to] = [$storeys->indexOf($base), $storeys->indexOf($top)];
        if ($to < $from) {
            throw InvalidOutline::upsideDown();
        }
        $after = $wall->withBase($base)->withTop($top)->withCurtain($curtain, Runs::type($design, $curtain->grid)->depth());
        $operations = [Operation::alter($wall, $after)];
        if ($wall->curtain !== null) {
            return [$operations, []];
        }
        [$lowest, $highest] = [$storeys->indexOf($wall->base), $storeys->indexOf($wall->top)];
        if ($from < $lowest || $to > $highest) {
            throw Refusal::because('curtain.storeys', sprintf(
                'This wall runs from %s to %s: curtain wall in its place stands on those storeys.',
                $storeys->get($wall->base)->name,
                $storeys->get($wall->top)->name,
            ), [$wall->id], ['field' => 'top']);
        }
        $under = $from > $lowest ? $wall->withId($ids->next(Kind::Wall))->withTop($storeys->all[$from - 1]->id) : null;
        $over = $to < $highest ? $wall->withId($ids->next(Kind::Wall))->withBase($storeys->all[$to + 1]->id) : null;
        foreach ([$under, $over] as $rest) {
            if ($rest !== null) {
                $operations[] = Operation::add($rest);
            }
        }
        $gone = [];
        foreach ($design->openingsOf($wall->id) as $opening) {
            $at = $storeys->indexOf($opening->storey);
            $host = $at < $from ? $under : ($at > $to ? $over : null);
            if ($host === null) {
                $gone[$opening->id] = $opening;
            } else {
                $operations[] = Operation::alter($opening, self::moved($design, $opening, $host));
            }
        }
        foreach ($design->lines as $line) {
            $at = $line->host === $wall->id && $line->storey !== null ? $storeys->indexOf($line->storey) : null;
            $host = $at === null ? null : ($at < $from ? $under : ($at > $to ? $over : null));
            if ($host !== null) {
                $operations[] = Operation::alter($line, $line->withHost($host->id));
            }
        }

        return [$operations, $gone];
    }

    /** An opening in what is left of its wall, where it was: one counted from the wall's foot is counted from its floor then. */
    private static function moved(Design $design, Opening $opening, Wall $host): Opening
    {
        if ($opening->sill->from !== SillDatum::Foot) {
            return $opening->withHost($host->id);
        }
        $by = $design->storeys->floor($design->wall($opening->host)->base) - $design->storeys->floor($host->base);

        return $opening->withHost($host->id)->withSill($opening->sill->withHeight($opening->sill->height + $by));
    }

    private function summary(Design $design): string
    {
        $grid = $this->args->has('grid') ? Runs::type($design, $this->args->string('grid'))->mark() : null;
        $count = Words::counts(['stretch' => count($this->walls)]);
        $count = count($this->walls) > 1 ? count($this->walls).' stretches' : $count;

        return match (true) {
            $grid !== null => sprintf('Made %s curtain wall %s', $count, $grid),
            array_key_exists('grid', $this->args->all()) => sprintf('Made %s a wall again', $count),
            default => sprintf('Changed %s of curtain wall', $count),
        };
    }

    /** @return list<string> what of changes by hand is lost */
    private function notes(Design $design, Design $then): array
    {
        $notes = [];
        foreach ($this->walls as $id) {
            if (($then->walls[$id]->curtain ?? null) !== null) {
                $was = $design->wall($id)->curtain === null ? null : Runs::in($design)->find($id);
                $now = Runs::in($then)->at($id);
                $before = $was === null ? [] : $was->run->lost($was->indexOf($id));
                array_push($notes, ...Lost::says(Lost::since($now->run->lost($now->indexOf($id)), $before)));
            }
        }

        return array_values(array_unique($notes));
    }
}
