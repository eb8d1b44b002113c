<?php

declare(strict_types=1);

namespace Isleward\Core\Unit;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/**
 * What a project's units are checked against and weighed by. All defaults are common practice: greatest leaf by operation, 2000
 * clear under a door's head, timber of 500 kg/m³ for frames and 600 kg/m³ for solid infills.
 */
final readonly class UnitRules
{
    private const LIMITS = [
        'side-hung' => [900.0, 1600.0, 60.0], 'side-hung-pair' => [900.0, 1600.0, 60.0], 'top-hung' => [1500.0, 1500.0, 80.0],
        'bottom-hung' => [1500.0, 1000.0, 60.0],
        'tilt-and-turn' => [1400.0, 2400.0, 100.0], 'horizontal-pivot' => [1800.0, 1800.0, 120.0],
        'vertical-pivot' => [1800.0, 1800.0, 120.0], 'sliding' => [1500.0, 2400.0, 150.0],
        'vertical-sliding' => [1400.0, 1400.0, 60.0], 'folding' => [1000.0, 2600.0, 90.0], 'hinged-door' => [1200.0, 2500.0, 120.0],
        'door-pair' => [1200.0, 2500.0, 120.0], 'sliding-door' => [2500.0, 2700.0, 250.0],
    ];

    /** @param  array<string, array{float, float, float}>  $limits  operation → greatest width and height of a leaf, mm, and weight, kg */
    private function __construct(public array $limits, public float $doorClear, public float $frameDensity, public float $infillDensity)
    {
    }

    public static function usual(): self
    {
        return new self(self::LIMITS, 2000.0, 500.0, 600.0);
    }

    public static function from(Fields $f): self
    {
        if (serialize($f->all()) === self::usualAsStored()) {
            return self::usual();
        }
        $limits = self::LIMITS;
        $given = $f->has('limits') ? $f->fields('limits') : new Fields([]);
        foreach (array_keys($limits) as $operation) {
            if ($given->has($operation)) {
                $l = $given->fields($operation);
                $what = 'The greatest %s of a '.Operation::from($operation)->label().' leaf';
                $limits[$operation] = [
                    $l->size('width', sprintf($what, 'width')),
                    $l->size('height', sprintf($what, 'height')),
                    self::positive($l, 'weight', sprintf($what, 'weight')),
                ];
            }
        }

        return new self($limits, $f->has('doorClear') ? $f->size('doorClear', 'The clear height of a door', 0.0) : 2000.0,
            $f->has('frameDensity') ? self::positive($f, 'frameDensity', 'The density of frames') : 500.0,
            $f->has('infillDensity') ? self::positive($f, 'infillDensity', 'The density of infills') : 600.0);
    }

    /** The usual ones as they are read back; they are read with every edit that is tried while something is dragged. */
    private static function usualAsStored(): string
    {
        /** @var string|null $stored */
        static $stored = null;

        return $stored ??= serialize(json_decode((string) json_encode(self::usual()->toArray()), true));
    }

    private static function positive(Fields $f, string $name, string $what): float
    {
        $value = $f->number($name);

        return $value > 0 ? $value : throw Refusal::because(
            'settings.unit_rules',
            sprintf('%s must be more than nothing; %s was given.', $what, $value),
            details: ['field' => $name],
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'limits' => array_map(static fn (array $l): array => ['width' => $l[0], 'height' => $l[1], 'weight' => $l[2]], $this->limits),
            'doorClear' => $this->doorClear, 'frameDensity' => $this->frameDensity, 'infillDensity' => $this->infillDensity,
        ];
    }
}
