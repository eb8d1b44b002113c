<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** An edit that arranges bands and floor bands ("ids") as openings are arranged: by how high they lie, and how far out. */
trait OnBands
{
    /** @param  non-empty-list<string>  $ids */
    private function __construct(private readonly array $ids, private readonly Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        $ids = array_values(array_unique($args->strings('ids')));

        return new self($ids === [] ? throw Refusal::because('band.none_chosen', 'Choose a band first.') : $ids, $args);
    }

    public function scope(): Scope
    {
        return Scope::none();
    }
}
