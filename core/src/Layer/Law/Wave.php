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

    /** Of more crests and troughs none could be told from the next. */
    private const HANDLES = 60;

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

    public function handles(): array
    {
        // every crest and trough there is on the run
        $handles = [];
        for ($k = (int) ceil(-$this->phase / 100 * 2 - 0.5 - 1e-9); ; $k++) {
            $at = ($this->phase / 100 + 0.25 + $k / 2) / $this->waves;
            if ($at > 1 + 1e-9 || count($handles) === self::HANDLES) {
                return $handles;
            }
            $crest = $k % 2 === 0;
            $handles[] = new Handle(($crest ? 'crest ' : 'trough ').$k, min(1.0, max(0.0, $at)), $crest ? $this->to : $this->from, true);
        }
    }

    public function dragged(string $handle, float $at, float $value): array
    {
        if (preg_match('/^(crest|trough) (-?\d{1,3})$/', $handle, $found) !== 1) {
            throw Handle::unknown($handle);
        }
        // the wave is shifted so that this crest, or trough, comes to lie there
        $phase = ($this->waves * $at - 0.25 - (int) $found[2] / 2) * 100;

        return [...$this->toArray(), $found[1] === 'crest' ? 'to' : 'from' => $value, 'phase' => round($phase, 3)];
    }
}
