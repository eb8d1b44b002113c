<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Building\Places;
use Isleward\Core\Building\Solved;
use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Misfit;
use Isleward\Core\Design\Opening;
use Isleward\Core\Design\Operation;
use Isleward\Core\Design\TypeMark;
use Isleward\Core\Design\TypeName;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Geometry\Tolerance;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Units;

/**
 * Fills bare openings with units exactly their size: those whose sill lies on the storey's floor like "door", the others
 * like "window" (ids of types; only one may be given). A type of that make and size is used again, else one is made. All or none are
 * filled, or with "fit": "fitting" those that can be.
 */
final readonly class OpeningFill implements Edit
{
    /** @param  list<string>  $ids */
    private function __construct(private array $ids, private ?string $door, private ?string $window, private bool $fittingOnly)
    {
    }

    public static function from(Fields $args): self
    {
        $door = $args->stringOrNull('door');
        $window = $args->stringOrNull('window');
        if ($door === null && $window === null) {
            throw Refusal::because('fill.with_what', 'Choose the unit to fill with.');
        }

        return new self(Chosen::openings($args), $door, $window, $args->string('fit', 'all') === 'fitting');
    }

    public function scope(): Scope
    {
        return Scope::ofOpenings(...$this->ids);
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $types = $design->types;
        $operations = $chosen = $misfits = [];
        $made = $bare = 0;
        foreach ($this->ids as $id) {
            $opening = $design->opening($id);
            if (! $opening->isBare()) {
                continue;
            }
            $bare++;
            try {
                $like = $this->like($design, $opening);
                Solved::in($like, $opening);
            } catch (Refusal $refusal) {
                $misfits[] = new Misfit($id, $refusal->said($design->settings->units), Places::in($design)->of($opening)->spot());

                continue;
            }
            $type = self::ofSize($types, $like, $opening);
            if ($type === null) {
                $type = $types[] = self::made($types, $like, $opening, $ids);
                $operations[] = Operation::add($type);
                $made++;
            }
            $operations[] = Operation::alter($opening, $opening->withType($type->id));
            $chosen[] = $id;
        }
        if ($bare === 0) {
            throw Refusal::because('fill.none_bare', 'None of these is a bare opening.');
        }
        $notes = $made > 0 ? [sprintf('%s made to fit.', ucfirst(Words::counts(['new type' => $made])))] : [];

        return new Change(
            sprintf('Filled %s', Words::counts(['opening' => count($chosen)])),
            $operations,
            $chosen,
            $misfits,
            $notes,
            $this->fittingOnly,
            $bare,
        );
    }

    private function like(Design $design, Opening $opening): UnitType
    {
        $onFloor = abs(Places::in($design)->of($opening)->sill - $design->storeys->floor($opening->storey)) <= Tolerance::LENGTH;
        $id = $onFloor ? $this->door : $this->window;
        if ($id === null) {
            throw Refusal::because(
                'fill.no_rule',
                $onFloor ? 'Its sill is on the floor and no door was chosen.' : 'Its sill is above the floor and no window was chosen.',
                [$opening->id],
            );
        }

        return $design->type($id);
    }

    /** @param  array<array-key, UnitType>  $types */
    private static function ofSize(array $types, UnitType $like, Opening $opening): ?UnitType
    {
        $fits = static fn (UnitType $t): bool => $t->treeHash === $like->treeHash
                    && Tolerance::same($t->width, $opening->width)
                    && Tolerance::same($t->height, $opening->height);
        if ($fits($like)) {
            return $like;
        }
        foreach ($types as $type) {
            if ($fits($type)) {
                return $type;
            }
        }

        return null;
    }

    /** @param  array<array-key, UnitType>  $types */
    private static function made(array $types, UnitType $like, Opening $opening, Ids $ids): UnitType
    {
        $name = trim((string) preg_replace(TypeName::SIZE, '', $like->name), ' ,');
        $size = ', '.TypeName::ofSize($opening->width, $opening->height);

        return $like->another($ids->next(Kind::Type), TypeMark::next($types, $like->mark), count($types))
            ->withName(mb_substr($name, 0, 80 - mb_strlen($size)).$size)
            ->withSize($opening->width, $opening->height);
    }
}
