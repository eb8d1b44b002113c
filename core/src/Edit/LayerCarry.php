<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Layered;
use Isleward\Core\Design\Operation;
use Isleward\Core\Layer\Band;
use Isleward\Core\Layer\Bands;
use Isleward\Core\Layer\Field;
use Isleward\Core\Layer\FieldsOn;
use Isleward\Core\Layer\FloorBand;
use Isleward\Core\Layer\FloorBands;
use Isleward\Core\Layer\Screen;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Roof\Roof;
use Isleward\Core\Roof\Roofs;

/**
 * Makes other bands, fields, floor bands, screens or roofs ("to") as one of their kind ("id") is: all but their names, where they stand,
 * what they fill, what stands in them, and what was done by hand at places of theirs.
 */
final readonly class LayerCarry implements Edit
{
    /** Of every layer its own. */
    private const OWN = ['id' => 1, 'name' => 1, 'position' => 1, 'outline' => 1, 'storey' => 1];

    private const BAND = ['walls' => 1, 'line' => 1, 'foot' => 1, 'pinned' => 1];

    private const FIELD = ['wall' => 1, 'opening' => 1, 'region' => 1, 'screen' => 1, 'cut' => 1, 'cell' => 1];

    private const FLOOR = ['line' => 1, 'top' => 1, 'level' => 1, 'inner' => 1, 'holes' => 1];

    private const SCREEN = ['walls' => 1, 'parts' => 1];

    private const ROOF = ['also' => 1, 'through' => 1, 'level' => 1, 'edges' => 1, 'lights' => 1];

    /** @param  non-empty-list<string>  $to */
    private function __construct(private string $id, private array $to)
    {
    }

    public static function from(Fields $args): self
    {
        $to = array_values(array_unique($args->strings('to')));

        return new self(
            $args->string('id'),
            $to === [] ? throw Refusal::because('layer.none_chosen', 'Choose what it is carried to.') : $to,
        );
    }

    public function scope(): Scope
    {
        // fields and screens may stand before any opening of their walls, which only the design knows
        return Scope::everything();
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $source = self::layer($design, $this->id);
        $operations = [];
        $then = $design;
        foreach ($this->to as $id) {
            $target = self::layer($design, $id);
            if ($id === $this->id) {
                throw Refusal::because('layer.itself', sprintf('%s is as it is already: choose others.', $source->called()), [$id]);
            }
            if ($target::class !== $source::class) {
                throw Refusal::because('layer.other_kind', sprintf(
                    '%s is not of the kind of %s: only what is of one kind is made alike.',
                    $target->called(),
                    $source->called(),
                ), [$id]);
            }
            $made = self::alike($then, $source, $target);
            array_push($operations, ...$made);
            $then = $then->after(new Change('', $made));
        }
        $pieces = 0;
        foreach ($this->to as $id) {
            $pieces += self::require($then, $then->layers[$id]);
        }

        $others = count($this->to) === 1 ? $then->layers[$this->to[0]]->called() : count($this->to).' others';

        return new Change(
            sprintf('Made %s as %s is', $others, $source->called()),
            $operations,
            $this->to,
            wanted: $pieces,
        );
    }

    private static function layer(Design $design, string $id): Layered
    {
        return $design->layers[$id] ?? throw Refusal::because('layer.gone', 'One of them is not in this project any more.', [$id]);
    }

    /** @return list<Operation> none where it is so already */
    private static function alike(Design $design, Layered $source, Layered $target): array
    {
        return match (true) {
            $source instanceof Band && $target instanceof Band => [Operation::alter(
                $target,
                Band::from(self::merged($source->toArray(), $target->toArray(), self::BAND)),
            )],
            $source instanceof Field && $target instanceof Field => [Operation::alter(
                $target,
                // how far out a field lies belongs to what it fills
                Field::from(self::merged(
                    $source->toArray(),
                    $target->toArray(),
                    self::FIELD + (self::fills($source) === self::fills($target) ? [] : ['out' => 1]),
                )),
            )],
            $source instanceof FloorBand && $target instanceof FloorBand => [Operation::alter(
                $target,
                FloorBand::from(self::merged($source->toArray(), $target->toArray(), self::FLOOR)),
            )],
            $source instanceof Screen && $target instanceof Screen => ScreenRules::change(
                $design,
                $target,
                Screen::from(self::merged($source->toArray(), $target->toArray(), self::SCREEN)),
                '',
            )->operations,
            $source instanceof Roof && $target instanceof Roof => [Operation::alter(
                $target,
                Roof::from(self::merged($source->toArray(), $target->toArray(), self::ROOF)),
            )],
            default => throw new \LogicException('There is a kind of layer more than is carried: '.$source::class.'.'),
        };
    }

    /**
     * @param  array<string, mixed>  $source
     * @param  array<string, mixed>  $target
     * @param  array<string, int>  $own
     */
    private static function merged(array $source, array $target, array $own): Fields
    {
        return new Fields([...$source, ...array_intersect_key($target, self::OWN + $own)]);
    }

    private static function fills(Field $field): string
    {
        return match (true) {
            $field->cell !== null => 'cell',
            $field->opening !== null => 'opening',
            $field->cut !== null => 'cut',
            $field->screen !== null => 'screen',
            default => 'region',
        };
    }

    /** How many pieces it has then; refused where it cannot stand. */
    private static function require(Design $design, Layered $layer): int
    {
        return match (true) {
            $layer instanceof Band => Bands::in($design)->of($layer)->count(),
            $layer instanceof Field => count(FieldsOn::in($design)->of($layer)->pieces),
            $layer instanceof FloorBand => count(FloorBands::in($design)->of($layer)),
            $layer instanceof Roof => count(Roofs::in($design)->of($layer)->slopes()),
            default => 0,
        };
    }
}
