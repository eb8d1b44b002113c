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

    /** How far a door in an inner wall keeps off the wall beside it, in mm (common practice). */
    public const NIB = 200.0;

    /**
     * @param  float  $cornerMargin  mm
     * @param  float  $baseLevel  level of the lowest storey's floor above the datum, mm
     * @param  float  $north  compass bearing of plan +y in degrees, clockwise from north
     * @param  float  $nib  least nib beside a door in an inner wall, mm
     * @param  Module|null  $module  what sizes and piers are coordinated to; null for nothing
     */
    private function __construct(
        public string $id,
        public string $name,
        public Units $units,
        public float $cornerMargin,
        public float $baseLevel,
        public float $north,
        public float $nib,
        public ?Module $module,
    ) {
    }

    public static function create(string $id, string $name, Units $units): self
    {
        return new self($id, $name, $units, self::CORNER_MARGIN, 0.0, 0.0, self::NIB, Module::brick());
    }

    public static function from(Fields $f): self
    {
        $units = $f->choice('units', Units::class);
        $margin = $f->length('cornerMargin');
        if ($margin < 0) {
            throw Refusal::because('settings.margin', sprintf('The margin at corners cannot be less than nothing; %s was given.', Length::format($margin, $units)));
        }
        $nib = $f->has('nib') ? $f->length('nib') : self::NIB;
        if ($nib < 0) {
            throw Refusal::because('settings.nib', sprintf('A nib cannot be less than nothing; %s was given.', Length::format($nib, $units)));
        }
        $north = $f->number('north');
        if ($north < 0 || $north >= 360) {
            throw Refusal::because('settings.north', sprintf('The bearing of the plan’s upward axis runs from 0° to under 360°; %s was given.', (string) $north));
        }

        return new self($f->string('id'), $f->name('name'), $units, $margin, $f->length('baseLevel'), $north, $nib, $f->has('module') ? Module::from($f->fields('module')) : null);
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
        return ['id' => $this->id, 'name' => $this->name, 'units' => $this->units->value, 'cornerMargin' => $this->cornerMargin, 'baseLevel' => $this->baseLevel, 'north' => $this->north,
            'nib' => $this->nib, 'module' => $this->module?->toArray()];
    }
}
