<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Units;
use Isleward\Core\Refusal;

/** What holds for a whole project. */
final readonly class Settings implements Element
{
    /** Nearest an opening may come to a corner, in mm (common practice). */
    public const CORNER_MARGIN = 150.0;

    /**
     * @param  float  $cornerMargin  mm
     * @param  float  $baseLevel  level of the lowest storey's floor above the datum, mm
     * @param  float  $north  compass bearing of plan +y in degrees, clockwise from north
     */
    private function __construct(
        public string $id,
        public string $name,
        public Units $units,
        public float $cornerMargin,
        public float $baseLevel,
        public float $north,
    ) {
    }

    public static function create(string $id, string $name, Units $units): self
    {
        return new self($id, $name, $units, self::CORNER_MARGIN, 0.0, 0.0);
    }

    public static function from(Fields $f): self
    {
        $units = $f->choice('units', Units::class);
        $margin = $f->length('cornerMargin');
        if ($margin < 0) {
            throw Refusal::because('settings.margin', sprintf('The margin at corners cannot be less than nothing; %s was given.', Length::format($margin, $units)));
        }
        $north = $f->number('north');
        if ($north < 0 || $north >= 360) {
            throw Refusal::because('settings.north', sprintf('The bearing of the plan’s upward axis runs from 0° to under 360°; %s was given.', (string) $north));
        }

        return new self($f->string('id'), $f->name('name'), $units, $margin, $f->length('baseLevel'), $north);
    }

    public function id(): string
    {
        return $this->id;
    }

    public function kind(): Kind
    {
        return Kind::Settings;
    }

    public function toArray(): array
    {
        return ['id' => $this->id, 'name' => $this->name, 'units' => $this->units->value, 'cornerMargin' => $this->cornerMargin, 'baseLevel' => $this->baseLevel, 'north' => $this->north];
    }
}
