<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** What a project's fins, battens and screens are checked against. All defaults are common practice. */
final readonly class LayerRules
{
    /**
     * @param  float  $covered  share of an opening, seen square on, from which on it counts as covered
     * @param  float  $apart  fins nearer to each other cannot be fixed or cleaned, mm
     * @param  float  $short  a batten shorter than that cannot be fixed at both ends, mm
     */
    private function __construct(public float $covered, public float $apart, public float $short)
    {
    }

    public static function usual(): self
    {
        return new self(0.5, 5.0, 80.0);
    }

    public static function from(Fields $f): self
    {
        $usual = self::usual();
        $covered = $f->has('covered') ? $f->number('covered') : $usual->covered;
        if ($covered <= 0 || $covered > 1) {
            throw Refusal::because(
                'settings.layer_rules',
                sprintf('An opening counts as covered from more than 0 %% to 100 %% of it on; %s %% was given.', round(100 * $covered, 2)),
                details: ['field' => 'covered'],
            );
        }

        return new self(
            $covered,
            $f->has('apart') ? $f->size('apart', 'The least distance of fins', 0.0) : $usual->apart,
            $f->has('short') ? $f->size('short', 'The shortest batten', 0.0) : $usual->short,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['covered' => $this->covered, 'apart' => $this->apart, 'short' => $this->short];
    }
}
