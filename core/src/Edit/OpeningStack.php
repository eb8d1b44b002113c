<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Storey;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Stacks openings onto other storeys of their walls ("storeys": ids, or "all"), each as high over that storey's own floor. */
final readonly class OpeningStack implements Edit
{
    /**
     * @param  list<string>  $ids
     * @param  list<string>|null  $storeys  null for all that the wall runs through
     */
    private function __construct(private array $ids, private ?array $storeys, private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        $all = ($args->all()['storeys'] ?? null) === 'all';
        $storeys = $all ? null : array_values(array_unique($args->strings('storeys')));
        if ($storeys === []) {
            throw Refusal::because('stack.none', 'Choose a storey to stack onto.');
        }

        return new self(Chosen::openings($args), $storeys, $args);
    }

    public function scope(): Scope
    {
        return Scope::around($this->ids);
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $attempt = Attempt::from($design, $this->args);
        $transplant = new Transplant($design, $attempt);
        foreach ($this->ids as $id) {
            $opening = $design->opening($id);
            $wall = $design->host($opening->host);
            $storeys = $this->storeys ?? array_values(array_filter(
                array_map(static fn (Storey $s): string => $s->id, $design->storeys->all),
                static fn (string $s): bool => $design->storeys->isWithin($s, $wall->base(), $wall->top()),
            ));
            foreach ($storeys as $storey) {
                if ($storey !== $opening->storey) {
                    $attempt->add($transplant->onStorey($opening, $storey, $ids->next(Kind::Opening)));
                }
            }
        }

        return $attempt->change(static fn (int $n): string => sprintf('Stacked %s', Words::counts(['opening' => $n])));
    }
}
