<?php

declare(strict_types=1);

namespace Isleward\Core\Edit;

use Isleward\Core\Design\Change;
use Isleward\Core\Design\Design;
use Isleward\Core\Design\Ids;
use Isleward\Core\Design\Kind;
use Isleward\Core\Design\Operation;
use Isleward\Core\Layer\FloorBand;
use Isleward\Core\Layer\FloorBands;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * Adds a floor band, or with "id" changes what is given of one: along an "outline", or a line of its own drawn as outlines are.
 * "hole" draws one more opening in a whole slab, "withoutHole" closes one by its number.
 */
final readonly class FloorBandAdd implements Edit
{
    private const DRAWN = ['points' => 1, 'rectangle' => 1, 'circle' => 1, 'closed' => 1, 'closing' => 1];

    private function __construct(private Fields $args)
    {
    }

    public static function from(Fields $args): self
    {
        return new self($args);
    }

    public function scope(): Scope
    {
        return Scope::none();
    }

    /**
     * What is not said of a new one: a whole slab is as thick as the settings say, and of an outline at every floor its walls pass.
     *
     * @return array<string, mixed>
     */
    private function usual(Design $design): array
    {
        $slab = array_key_exists('depth', $this->args->all()) && ! $this->args->has('depth');
        $usual = ['name' => BandRules::freeName($design, $slab ? 'Slab' : 'Floor band'), 'depth' => 600.0]
            + ($slab ? ['height' => $design->settings->slab] : []);
        if ($this->args->has('storey') || ! $this->args->has('outline')) {
            return $usual;
        }
        $storeys = $design->storeys;
        $at = [];
        foreach ($design->wallsOf($design->outline($this->args->string('outline'))->id) as $wall) {
            array_push($at, $storeys->indexOf($wall->base), $storeys->indexOf($wall->top));
        }

        return $at === [] ? $usual : [
            ...$usual, 'storey' => $storeys->all[min($at)]->id, 'top' => $storeys->all[max($at)]->id,
        ];
    }

    /**
     * @param  array<string, mixed>  $values
     * @return list<mixed>
     */
    private static function holes(array $values): array
    {
        $holes = $values['holes'] ?? [];

        return is_array($holes) ? array_values($holes) : [];
    }

    /**
     * @param  list<mixed>  $holes
     * @return list<mixed>
     */
    private function without(array $holes): array
    {
        $i = $this->args->int('withoutHole');
        if (! isset($holes[$i])) {
            throw Refusal::because(
                'floor-band.hole_unknown', sprintf('There is no opening %d in it.', $i + 1), details: ['field' => 'holes'],
            );
        }
        unset($holes[$i]);

        return array_values($holes);
    }

    public function apply(Design $design, Ids $ids): Change
    {
        $before = $this->args->has('id') ? FloorBands::band($design, $this->args->string('id')) : null;
        $values = $before?->toArray() ?? [
            'id' => $ids->next(Kind::FloorBand), 'position' => BandRules::lastPosition($design) + 1, ...$this->usual($design),
        ];
        $given = array_diff_key($this->args->all(), self::DRAWN, ['hole' => 1, 'withoutHole' => 1]);
        if ($this->args->has('hole')) {
            $given['holes'] = [...self::holes($values), BandAdd::line(
                new Fields([...$this->args->fields('hole')->all(), 'closed' => true], $this->args->units()),
            )];
        } elseif ($this->args->has('withoutHole')) {
            $given['holes'] = $this->without(self::holes($values));
        }
        if ($this->args->has('outline')) {
            $given['line'] = null;
        } elseif (array_intersect_key($this->args->all(), array_diff_key(self::DRAWN, ['closed' => 1, 'closing' => 1])) !== []) {
            $given = [...$given, 'line' => BandAdd::line($this->args), 'outline' => null];
        }
        if (isset($given['out'], $values['out']) && is_array($given['out']) && is_array($values['out'])) {
            $given['out'] = [...$values['out'], ...$given['out']];
        }
        $band = FloorBand::from(new Fields([...$values, ...$given], $this->args->units()));
        BandRules::requireLayer($design, $band, $band->finish);
        $change = new Change('', [$before === null ? Operation::add($band) : Operation::alter($before, $band)]);
        $rows = FloorBands::in($design->after($change))->of($band);

        return new Change(
            $before === null
                ? sprintf('Stood %s at %s', $band->name, Words::counts(['storey' => count($rows)]))
                : sprintf('Changed %s', $band->name),
            $change->operations, [$band->id], wanted: count($rows),
        );
    }
}
