<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\TypeMark;
use Isleward\Core\Design\TypeName;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Makes the unit in these openings ("ids", all of one type) a type of its own, of the first one's size, so that changing it leaves the
 * others alone.
 */
final readonly class OpeningOwnType implements Edit
{
    /** @param  list<string>  $ids */
    private function __construct(private array $ids)
    {
    }

    public static function from(Fields $args): self
    {
        return new self(Chosen::openings($args));
    }

    public function scope(): Scope
    {
        return Scope::ofOpenings(...$this->ids);
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $openings = array_map($design->opening(...), $this->ids);
        $first = $openings[0];
        if ($first->type === null) {
            throw Refusal::because('type.none', 'A bare opening has no unit to make a type of.', [$first->id]);
        }
        $like = $design->type($first->type);
        foreach ($openings as $opening) {
            if ($opening->type !== $like->id) {
                throw Refusal::because(
                    'type.mixed',
                    sprintf('These have different units: %s and %s. Choose openings of one type.', $like->mark, $design->label($opening)),
                    [$first->id, $opening->id],
                );
            }
        }
        $mark = TypeMark::next($design->types, $like->mark);
        $own = $like->another($ids->next(Kind::Type), $mark, UnitType::lastPosition($design->types) + 1)
            ->withSize($first->width, $first->height)
            ->withName(TypeName::withSize($like->name, $first->width, $first->height));
        $operations = [Operation::add($own)];
        foreach ($openings as $opening) {
            $operations[] = Operation::alter($opening, $opening->withType($own->id));
        }

        return new Change(
            sprintf('Made %s the type of %s', $own->mark, Words::counts(['opening' => count($openings)])),
            $operations,
            $this->ids,
        );
    }
}
