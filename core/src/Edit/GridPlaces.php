<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Places;
use Isleward\Core\CurtainWall\LetIn;
use Isleward\Core\CurtainWall\Lost;
use Isleward\Core\CurtainWall\Run;
use Isleward\Core\CurtainWall\Runs;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Misfit;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Spot;
use Isleward\Core\Design\Wall;
use Isleward\Core\Measure\Refusal;

/** The places where a grid type stands: runs that have stretches of it, and openings that are filled with it. */
final readonly class GridPlaces
{
    /**
     * @param  list<non-empty-list<Wall>>  $runs  all stretches of each
     * @param  array<string, Opening>  $openings
     */
    private function __construct(public array $runs, public array $openings)
    {
    }

    public static function of(Design $design, string $grid): self
    {
        return new self(
            array_values(array_filter(
                Runs::in($design)->chains(),
                static fn (array $walls): bool => array_filter($walls, static fn (Wall $w): bool => $w->curtain?->grid === $grid) !== [],
            )),
            array_filter($design->openings, static fn (Opening $o): bool => $o->curtain?->grid === $grid),
        );
    }

    public function count(): int
    {
        return count($this->runs) + count($this->openings);
    }

    /** "2 runs and 1 opening" */
    public function said(): string
    {
        return Words::counts(['run' => count($this->runs), 'opening' => count($this->openings)]);
    }

    /** @return list<Misfit> the places that cannot stand in a design, with the reason */
    public function misfits(Design $design): array
    {
        $misfits = [];
        foreach ($this->runs as $walls) {
            $why = Runs::in($design)->whyNot($walls[0]->id);
            if ($why !== null) {
                $misfits[] = new Misfit($walls[0]->id, $why->said($design->settings->units));
            }
        }
        foreach ($this->openings as $opening) {
            $there = $design->opening($opening->id);
            try {
                OpeningRules::require($design, $there);
            } catch (Refusal $why) {
                $misfits[] = new Misfit($opening->id, $why->said($design->settings->units), self::spot($design, $there));
            }
        }

        return $misfits;
    }

    /** @return list<string> what of changes by hand is lost in a design that was not lost before, as sentences */
    public function newlyLost(Design $before, Design $after): array
    {
        $notes = [];
        foreach ($this->runs as $walls) {
            array_push($notes, ...self::more(self::whole($before, $walls[0]->id), self::whole($after, $walls[0]->id)));
        }
        foreach ($this->openings as $opening) {
            array_push($notes, ...self::more(
                LetIn::find($before, Places::in($before)->of($opening)),
                LetIn::find($after, Places::in($after)->of($after->opening($opening->id))),
            ));
        }

        return array_values(array_unique($notes));
    }

    /** @return list<string> */
    private static function more(?Run $before, ?Run $now): array
    {
        return Lost::says(Lost::since($now?->lost() ?? [], $before?->lost() ?? []));
    }

    private static function whole(Design $design, string $wall): ?Run
    {
        return Runs::in($design)->whyNot($wall) === null ? Runs::in($design)->of($wall)->run : null;
    }

    private static function spot(Design $design, Opening $opening): ?Spot
    {
        try {
            return Places::in($design)->of($opening)->spot();
        } catch (Refusal) {
            return null; // the reason is told already
        }
    }
}
