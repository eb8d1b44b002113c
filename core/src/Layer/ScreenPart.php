<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Design\PositionRule;
use Isleward\Core\Design\SillRule;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** One piece that a screen is made of, or one cut-out that is taken from what was there before it. */
final readonly class ScreenPart
{
    /**
     * @param  int  $n  its number, which it keeps
     * @param  bool  $cut  whether it is taken away
     * @param  string|null  $wall  on which it was drawn; null for one over the whole width
     * @param  string|null  $type  unit type that fills a cut-out
     * @param  PositionRule|null  $position  by which it lies along its wall; its shape then says nothing of that
     * @param  SillRule|null  $sill  by which its foot, or its head, has its level; its shape then says nothing of that
     */
    public function __construct(
        public int $n,
        public bool $cut,
        public ?string $wall,
        public ScreenShape $shape,
        public ?string $type = null,
        public bool $mirrored = false,
        public ?PositionRule $position = null,
        public ?SillRule $sill = null,
    ) {
    }

    public static function from(Fields $f): self
    {
        $shape = ScreenShape::from($f->fields('shape'));

        $cut = $f->bool('cut');
        $type = $f->stringOrNull('type');
        if ($type !== null && (! $cut || $shape->form !== ScreenForm::Rectangle || $shape->radius > 0.0)) {
            throw Refusal::because('screen.unit_shape', 'A unit fills a cut-out that is a rectangle with sharp corners.');
        }

        $position = $f->has('position') ? PositionRule::from($f->fields('position')) : null;
        $sill = $f->has('sill') ? SillRule::from($f->fields('sill')) : null;
        if (($position !== null || $sill !== null) && $shape->form !== ScreenForm::Rectangle && $shape->form !== ScreenForm::Round) {
            throw Refusal::because(
                'screen.rule_shape', 'What is placed by a rule is a rectangle or round: a drawn shape lies by its corners.',
            );
        }

        return new self(
            $f->int('n'),
            $cut,
            $shape->form === ScreenForm::Whole || $shape->form === ScreenForm::Openings ? null : $f->string('wall'),
            self::bare($shape, $position, $sill),
            $type,
            $type !== null && $f->bool('mirrored'),
            $position,
            $sill,
        );
    }

    private static function bare(ScreenShape $shape, ?PositionRule $position, ?SillRule $sill): ScreenShape
    {
        return $position === null && $sill === null ? $shape
            : $shape->moved($position === null ? 0.0 : -$shape->u, $sill === null ? 0.0 : -$shape->v);
    }

    /** The same with a shape that lies so, by these rules. */
    public function placed(ScreenShape $shape, ?PositionRule $position, ?SillRule $sill): self
    {
        return new self(
            $this->n, $this->cut, $this->wall, self::bare($shape, $position, $sill), $this->type, $this->mirrored, $position, $sill,
        );
    }

    /** The same, a unit in it handed the other way. */
    public function handed(): self
    {
        return new self(
            $this->n, $this->cut, $this->wall, $this->shape, $this->type, $this->type !== null && ! $this->mirrored, $this->position,
            $this->sill,
        );
    }

    /** The same under another number, and before another wall. */
    public function copied(int $n, ?string $wall): self
    {
        return new self($n, $this->cut, $wall, $this->shape, $this->type, $this->mirrored, $this->position, $this->sill);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'n' => $this->n, 'cut' => $this->cut, 'wall' => $this->wall, 'shape' => $this->shape->toArray(), 'type' => $this->type,
            'mirrored' => $this->mirrored, 'position' => $this->position?->toArray(), 'sill' => $this->sill?->toArray(),
        ];
    }
}
