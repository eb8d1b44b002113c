<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Operation;
use Isleward\Core\Measure\Fields;

/** Forgets something that was kept under a name ("set.remove", "layout.remove" …); what it names stays. */
final readonly class Forget implements Edit
{
    private function __construct(private Kind $kind, private string $id)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args->choice('kept', Kind::class), $args->string('id'));
    }

    public function scope(): Scope
    {
        return Scope::kept();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $kept = $design->kept($this->kind, $this->id);

        return new Change(sprintf('Removed %s %s', $this->kind->word(), $kept->called()), [Operation::remove($kept)]);
    }
}
