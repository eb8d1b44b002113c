<?php

declare(strict_types=1);

namespace Isleward\Core\Layer\Law;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * A sine between two values: so many waves along the run, which begins in the middle between them and rises; shifted by a share of a
 * wave.
 */
final readonly class Wave implements Form
{
    private const MOST = 200.0;

    private function __construct(private float $from, private float $to, private float $waves, private float $phase)
    {
    }

    public static function from(Fields $f, Driven $driven): self
    {
        $waves = $f->number('waves');
        if ($waves <= 0 || $waves > self::MOST) {
            throw Refusal::because('law.waves', sprintf('Waves run from some to 200 along a run; %s was given.', $waves), details: [
                'field' => 'waves',
            ]);
        }

        return new self($driven->value($f, 'from'), $driven->value($f, 'to'), $waves, $f->has('phase') ? $f->number('phase') : 0.0);
    }

    public function at(float $t, int $n): float
    {
        return $this->from + ($this->to - $this->from) * (1 + sin(2 * M_PI * ($this->waves * $t - $this->phase / 100))) / 2;
    }

    public function toArray(): array
    {
        return ['from' => $this->from, 'to' => $this->to, 'waves' => $this->waves, 'phase' => $this->phase];
    }
}
