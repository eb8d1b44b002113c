<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** One thing a user can do to a design. */
interface Edit
{
    /** @throws Refusal when an argument is missing or of the wrong kind */
    public static function from(Fields $args): self;

    public function scope(): Scope;

    /** @throws Refusal when it cannot be done */
    public function apply(Design $design, Ids $ids): Change;
}
