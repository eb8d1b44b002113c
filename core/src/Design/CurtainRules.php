<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/** What a project's curtain walls are checked against, and the bars their members are cut from. All defaults are common practice. */
final readonly class CurtainRules
{
    /**
     * @param  float  $sliver  narrower bays are doubtful, mm
     * @param  float  $weight  of one infill, kg
     * @param  float  $area  of one infill, mm²
     * @param  float  $apart  a line by hand that lies nearer to another is doubtful, mm
     * @param  non-empty-list<float>  $bars  lengths members can be had in, shortest first, mm
     * @param  float  $kerf  what a saw takes, mm
     * @param  float  $trim  cut off at both ends of a bar, mm
     */
    private function __construct(
        public float $sliver,
        public float $weight,
        public float $area,
        public float $apart,
        public array $bars,
        public float $kerf,
        public float $trim,
    ) {
    }

    public static function usual(): self
    {
        return new self(300.0, 250.0, 6.0e6, 50.0, [6500.0], 5.0, 10.0);
    }

    public static function from(Fields $f): self
    {
        $usual = self::usual();
        $size = static fn (string $name, string $what, float $usually): float => $f->has($name) ? $f->size($name, $what, 0.0) : $usually;
        $bars = $usual->bars;
        if ($f->has('bars')) {
            $given = new Fields($f->array('bars'), $f->units());
            $bars = array_map(
                static fn (int|string $i): float => $given->size((string) $i, 'The length of a bar', 100.0),
                array_keys($given->all()),
            );
            sort($bars);
        }
        if ($bars === [] || count($bars) > 20) {
            throw Refusal::because(
                'settings.bars',
                sprintf('Bars come in 1 to 20 lengths; %d were given.', count($bars)),
                details: ['field' => 'bars'],
            );
        }
        $trim = $size('trim', 'What is trimmed off', $usual->trim);
        if ($bars[0] <= 2 * $trim) {
            throw Refusal::because(
                'settings.trim',
                sprintf('Trimming %s off both ends leaves nothing of a bar %s long.', Length::mark($trim), Length::mark($bars[0])),
                details: ['field' => 'trim'],
            );
        }

        return new self(
            $size('sliver', 'The narrowest bay', $usual->sliver),
            $f->has('weight') ? self::positive($f, 'weight', 'The greatest weight of an infill') : $usual->weight,
            $f->has('area') ? self::positive($f, 'area', 'The greatest area of an infill') : $usual->area,
            $size('apart', 'The least distance of lines', $usual->apart),
            $bars,
            $size('kerf', 'The saw’s cut', $usual->kerf),
            $trim,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'sliver' => $this->sliver, 'weight' => $this->weight, 'area' => $this->area, 'apart' => $this->apart, 'bars' => $this->bars,
            'kerf' => $this->kerf, 'trim' => $this->trim,
        ];
    }

    private static function positive(Fields $f, string $name, string $what): float
    {
        $value = $f->number($name);

        return $value > 0 ? $value : throw Refusal::because(
            'settings.curtain_rules',
            sprintf('%s must be more than nothing; %s was given.', $what, $value),
            details: ['field' => $name],
        );
    }
}
