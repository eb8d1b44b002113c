<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Exchange\TypesJson;
use Isleward\Core\Measure\Fields;

/**
 * Brings unit types in from a document of {@see TypesJson}; "marks" names those that are wanted, all when left out. A mark that is taken
 * becomes the next free one.
 */
final readonly class TypeImport implements Edit
{
    private function __construct(private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        $args->array('document');

        return new self($args);
    }

    public function scope(): Scope
    {
        return Scope::none();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        return TypesJson::read(
            $design,
            $this->args->fields('document'),
            $this->args->has('marks') ? $this->args->strings('marks') : null,
            $ids,
        );
    }
}
