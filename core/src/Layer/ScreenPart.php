<?php

declare(strict_types=1);

namespace Isleward\Core\Layer;

use Isleward\Core\Measure\Fields;

/** One piece that a screen is made of, or one cut-out that is taken from what was there before it. */
final readonly class ScreenPart
{
    /**
     * @param  int  $n  its number, which it keeps
     * @param  bool  $cut  whether it is taken away
     * @param  string|null  $wall  on which it was drawn; null for one over the whole width
     */
    public function __construct(public int $n, public bool $cut, public ?string $wall, public ScreenShape $shape)
    {
    }

    public static function from(Fields $f): self
    {
        $shape = ScreenShape::from($f->fields('shape'));

        return new self(
            $f->int('n'),
            $f->bool('cut'),
            $shape->form === ScreenForm::Whole || $shape->form === ScreenForm::Openings ? null : $f->string('wall'),
            $shape,
        );
    }

    public function with(ScreenShape $shape): self
    {
        return new self($this->n, $this->cut, $this->wall, $shape);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['n' => $this->n, 'cut' => $this->cut, 'wall' => $this->wall, 'shape' => $this->shape->toArray()];
    }
}
