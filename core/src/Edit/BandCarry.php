<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Operation;
use Isleward\Core\Layer\Band;
use Isleward\Core\Layer\Bands;
use Isleward\Core\Layer\Quantity;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Carries the laws of a band to others ("to"), or copies the band to other storeys ("storeys"): each shifted on by a share of the run more
 * than the one before it ("shift", %), mirrored end for end, scaled. "which" names the sizes whose laws are carried; none for all.
 */
final readonly class BandCarry implements Edit
{
    /**
     * @param  list<string>  $to
     * @param  list<string>  $storeys
     * @param  non-empty-list<Quantity>  $which
     */
    private function __construct(
        private string $id,
        private array $to,
        private array $storeys,
        private array $which,
        private float $shift,
        private bool $mirrored,
        private float $scale,
    ) {
    }

    public static function from(Fields $args): self
    {
        $to = $args->has('to') ? array_values(array_unique($args->strings('to'))) : [];
        $storeys = $args->has('storeys') ? array_values(array_unique($args->strings('storeys'))) : [];
        if ($to === [] && $storeys === []) {
            throw Refusal::because('band.nowhere_to', 'Say which bands or storeys it is carried to.');
        }
        $which = [];
        foreach ($args->has('which') ? $args->strings('which') : [] as $name) {
            $which[] = (new Fields(['which' => $name]))->choice('which', Quantity::class);
        }

        return new self(
            $args->string('id'), $to, $storeys, $which === [] ? Quantity::cases() : $which,
            $args->has('shift') ? $args->number('shift') : 0.0, $args->bool('mirrored'), $args->has('scale') ? $args->number('scale') : 1.0,
        );
    }

    public function scope(): Scope
    {
        return Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        if ($this->scale <= 0 || $this->scale > 100) {
            throw Refusal::because('law.scale', sprintf('A law is scaled by more than nothing, up to 100; %s was given.', $this->scale),
                details: ['field' => 'scale']);
        }
        $source = Bands::band($design, $this->id);
        $operations = $chosen = [];
        $by = 0.0;
        foreach ($this->to as $id) {
            $band = Bands::band($design, $id);
            if ($id === $source->id) {
                throw Refusal::because('band.itself', sprintf('%s has its laws already: choose others.', $band->name), [$id]);
            }
            $by += $this->shift;
            $operations[] = Operation::alter($band, $this->driven($band, $source, $by));
            $chosen[] = $id;
        }
        $then = $design;
        foreach ($this->storeys as $storey) {
            if ($storey === $source->storey) {
                throw Refusal::because('band.same_storey', sprintf('%s stands on that storey itself: choose others.', $source->name),
                    [$storey]);
            }
            $by += $this->shift;
            $name = self::nameOn($then, $source, $design->storeys->get($storey)->name);
            $copy = $this->driven(
                $source->another($ids->next(Kind::Band), $name, BandRules::lastPosition($then) + 1, $storey), $source, $by,
            );
            $operations[] = Operation::add($copy);
            $then = $then->after(new Change('', [Operation::add($copy)]));
            $chosen[] = $copy->id;
        }
        $after = $design->after(new Change('', $operations));
        foreach ($chosen as $id) {
            Bands::in($after)->of(Bands::band($after, $id));
        }
        $count = count($chosen);

        return new Change(
            $this->storeys === [] ? sprintf('Carried the laws of %s to %s', $source->name, Words::counts(['band' => $count]))
                : sprintf('Copied %s to %s', $source->name, Words::counts(['storey' => count($this->storeys)])),
            $operations, $chosen, wanted: $count,
        );
    }

    private function driven(Band $band, Band $source, float $shift): Band
    {
        foreach ($this->which as $quantity) {
            // angles and thickness are no sizes that swell with a scale
            $scale = $quantity === Quantity::Reach || $quantity === Quantity::Length ? $this->scale : 1.0;
            $band = $band->withLaw($quantity, $source->law($quantity)->carried($shift, $this->mirrored, $scale));
        }

        return $band;
    }

    private static function nameOn(Design $design, Band $source, string $storey): string
    {
        $name = mb_substr("$source->name, $storey", 0, 70);
        $taken = array_map(static fn (object $l): string => $l->called(), $design->layers);

        return in_array($name, $taken, true) ? BandRules::freeName($design, $name) : $name;
    }
}
