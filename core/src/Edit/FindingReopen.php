<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Operation;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** Takes back that a finding was accepted. */
final readonly class FindingReopen implements Edit
{
    private function __construct(private string $id)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args->string('id'));
    }

    public function scope(): Scope
    {
        return Scope::kept();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $acceptance = $design->acceptances[$this->id]
                    ?? throw Refusal::because('acceptance.unknown', 'That acceptance is not in this project any more.', [$this->id]);

        return new Change('Reopened a finding', [Operation::remove($acceptance)]);
    }
}
