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
     */
    private function __construct(public InfillKind $kind, public array $layers, public float $density, public ?string $type)
    {
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
            $given = new Fields($f->array('layers'), $f->units());
            foreach (array_keys($f->array('layers')) as $i) {
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
            $f->has('density') ? $f->size('density', 'The density of an infill', 0.0) : 0.0,
            $kind->isUnit() ? $f->string('type') : null,
        );
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
        return ['kind' => $this->kind->value, 'layers' => $this->layers, 'density' => $this->density, 'type' => $this->type];
    }
}
