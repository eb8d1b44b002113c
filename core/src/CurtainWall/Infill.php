<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** What fills a cell: its kind, how thick it is, and of a unit which type. */
final readonly class Infill
{
    /** Of glass, kg/m³ (EN 572-1; from memory). */
    public const GLASS = 2500.0;

    /**
     * @param  list<float>  $layers  of glass: pane, gap, pane … from outside in; of anything else its thickness; none of a void or unit; mm
     * @param  float  $density  of what is not glass, kg/m³
     * @param  string|null  $type  unit type
     * @param  bool  $mirrored  of a unit: handed the other way than its type is drawn
     */
    private function __construct(
        public InfillKind $kind,
        public array $layers,
        public float $density,
        public ?string $type,
        public bool $mirrored,
    ) {
    }

    public static function vision(float ...$layers): self
    {
        return self::from(new Fields(['kind' => 'vision', 'layers' => $layers === [] ? [6.0, 16.0, 6.0] : array_values($layers)]));
    }

    public static function from(Fields $f): self
    {
        $kind = $f->choice('kind', InfillKind::class);
        $layers = [];
        if ($kind !== InfillKind::Void && ! $kind->isUnit()) {
            // what is usual where nothing is said (common practice)
            $said = $f->has('layers') ? $f->array('layers') : ($kind->isGlass() ? [6.0, 16.0, 6.0] : [60.0]);
            $given = new Fields($said, $f->units());
            foreach (array_keys($said) as $i) {
                $layers[] = $given->size((string) $i, 'A thickness in the build-up', 0.1);
            }
            $glass = $kind->isGlass();
            if ($layers === [] || count($layers) > 9 || ($glass ? count($layers) % 2 === 0 : count($layers) > 1)) {
                throw Refusal::because(
                    'infill.layers',
                    $glass
                        ? sprintf('Glass is a pane, or panes with gaps between them (6, 16, 6); %d figures were given.', count($layers))
                        : sprintf('An infill that is not glass has one thickness; %d figures were given.', count($layers)),
                    details: ['field' => 'layers'],
                );
            }
        }

        return new self(
            $kind,
            $layers,
            $f->has('density') ? $f->size('density', 'The density of an infill', 0.0) : ($kind->isGlass() || $kind->isUnit() ? 0.0 : 60.0),
            $kind->isUnit() ? $f->string('type') : null,
            $kind->isUnit() && $f->bool('mirrored'),
        );
    }

    /** As it is on a grid whose left and right changed places. */
    public function turnedRound(): self
    {
        return $this->type === null ? $this : new self($this->kind, $this->layers, $this->density, $this->type, ! $this->mirrored);
    }

    /** mm */
    public function thickness(): float
    {
        return array_sum($this->layers);
    }

    /** kg/m² */
    public function weight(): float
    {
        if (! $this->kind->isGlass()) {
            return $this->thickness() / 1000 * $this->density;
        }
        $panes = 0.0;
        foreach ($this->layers as $i => $layer) {
            $panes += $i % 2 === 0 ? $layer : 0.0;
        }

        return $panes / 1000 * self::GLASS;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'kind' => $this->kind->value, 'layers' => $this->layers, 'density' => $this->density, 'type' => $this->type,
            'mirrored' => $this->mirrored,
        ];
    }
}
