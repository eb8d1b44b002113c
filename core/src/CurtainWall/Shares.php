<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

/** What a run shows: glass to see through, what is opaque, open cells, and members with joints; mm² of its face. */
final readonly class Shares
{
    private function __construct(public float $glass, public float $opaque, public float $open, public float $frame)
    {
    }

    public static function of(Run $run): self
    {
        return self::over($run->panes(), $run->faceArea());
    }

    /**
     * @param  list<RunPane>  $panes
     * @param  float  $face  that they are of, mm²
     */
    public static function over(array $panes, float $face): self
    {
        $glass = $opaque = $open = 0.0;
        foreach ($panes as $pane) {
            $area = $pane->area();
            match ($pane->cell->infill->kind) {
                InfillKind::Vision => $glass += $area,
                InfillKind::Void => $open += $area,
                default => $opaque += $area,
            };
        }

        return new self($glass, $opaque, $open, $face - $glass - $opaque - $open);
    }

    public function face(): float
    {
        return $this->glass + $this->opaque + $this->open + $this->frame;
    }
}
