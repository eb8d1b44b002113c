<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Layer\Bands;
use Isleward\Core\Layer\Fins;
use Isleward\Core\Layer\Quantity;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Pins "pieces" of a band, by their numbers from 0: they are kept as they are now, or with the figures given, while the rest follow their
 * laws; or they are left "out"; or, with "release", they follow again.
 */
final readonly class BandPin implements Edit
{
    /** @param  non-empty-list<int>  $pieces */
    private function __construct(private string $id, private array $pieces, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        $pieces = [];
        foreach ($args->array('pieces') as $piece) {
            $pieces[] = (new Fields(['piece' => $piece]))->int('piece');
        }

        return new self(
            $args->string('id'),
            $pieces === [] ? throw Refusal::because('band.no_piece', 'Choose pieces of the band first.')
                : array_values(array_unique($pieces)),
            $args,
        );
    }

    public function scope(): Scope
    {
        return Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $band = Bands::band($design, $this->id);
        $pinned = $band->pinned;
        $release = $this->args->bool('release');
        $fins = $release ? null : Bands::in($design)->of($band);
        $at = array_flip($fins->n ?? []);
        foreach ($this->pieces as $piece) {
            if ($release) {
                unset($pinned[$piece]);
            } elseif (! isset($at[$piece])) {
                throw Refusal::because('band.no_such_piece', sprintf('%s has no piece %d.', $band->name, $piece + 1), [$band->id]);
            } else {
                $pinned[$piece] = $this->args->bool('out') ? null
                    : $this->kept($fins ?? throw new \LogicException('It stands.'), $at[$piece]);
            }
        }
        $after = $band->withPinned($pinned);
        $change = new Change('', [Operation::alter($band, $after)]);
        $then = $design->after($change);
        if (Bands::in($then)->of($after)->count() === 0) {
            throw Refusal::because('band.none', sprintf('Nothing of %s would be left: remove it as a whole.', $band->name), [$band->id]);
        }
        $count = count($this->pieces);

        return new Change(sprintf(
            '%s %s of %s',
            $release ? 'Let go' : ($this->args->bool('out') ? 'Left out' : 'Pinned'),
            $count === 1 ? 'a piece' : "$count pieces",
            $band->name,
        ), $change->operations, [$band->id]);
    }

    /** @return array<string, float> */
    private function kept(Fins $fins, int $i): array
    {
        $kept = [];
        foreach (Quantity::cases() as $quantity) {
            $name = $quantity->value;
            $now = $fins->column($quantity)[$i];
            $value = $this->args->has($name) ? $quantity->driven()->value($this->args, $name) : $now;
            [$least, $most] = $quantity->limits();
            if ($value < $least || $value > $most) {
                $said = $quantity->driven()->said(...);
                throw Refusal::because("band.$name", sprintf(
                    'The %s of a piece may be %s to %s; %s was given.', $name, $said($least), $said($most), $said($value),
                ), [$fins->band->id], ['field' => $name]);
            }
            $kept[$name] = $value;
        }

        return $kept;
    }
}
