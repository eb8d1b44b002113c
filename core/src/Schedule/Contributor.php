<?php

declare(strict_types=1);

namespace Isleward\Core\Schedule;

use Isleward\Core\Building\Body;
use Isleward\Core\Building\Frontage;
use Isleward\Core\Design\Design;

/** What a schedule can be of: the columns it has, and a row for every one there is. */
interface Contributor
{
    /** What it is of, as layouts name it: "openings", "walls" … */
    public function name(): string;

    /** @return list<Field> */
    public function fields(Design $design): array;

    /**
     * @param  array<string, Body>  $bodies
     * @param  list<Frontage>  $frontages
     * @return list<Row>
     */
    public function rows(Design $design, array $bodies, array $frontages): array;
}
