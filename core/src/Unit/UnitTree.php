<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Fields;
use Isleward\Core\Refusal;

/** How a unit is made up: a frame round a tree of divisions and lights. Sizes come from the opening it fills. */
final readonly class UnitTree
{
    private const DEEPEST = 20;

    /**
     * @param  float  $jamb  face width of the frame's sides, mm
     * @param  float  $head  mm
     * @param  float  $sill  mm; 0 for none (a door without a threshold)
     * @param  float  $depth  mm
     */
    private function __construct(public float $jamb, public float $head, public float $sill, public float $depth, public Node $root)
    {
    }

    public static function from(Fields $f): self
    {
        $frame = $f->fields('frame');
        $faces = [];
        foreach (['jamb', 'head', 'sill'] as $side) {
            $faces[$side] = $frame->size($side, 'The face width of a frame', 0.0);
        }

        return new self($faces['jamb'], $faces['head'], $faces['sill'], $frame->size('depth', 'The depth of a frame'), self::node($f->fields('root')));
    }

    /** @param  int  $depth how many divisions it lies in */
    public static function node(Fields $f, int $depth = 0): Node
    {
        if ($depth > self::DEEPEST) {
            throw Refusal::because('unit.too_deep', sprintf('Divisions may lie %d deep at the most.', self::DEEPEST));
        }

        return $f->has('parts') ? Division::from($f, $depth) : Light::from($f);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'frame' => ['jamb' => $this->jamb, 'head' => $this->head, 'sill' => $this->sill, 'depth' => $this->depth],
            'root' => $this->root->toArray(),
        ];
    }
}
