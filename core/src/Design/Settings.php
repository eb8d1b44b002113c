<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;
use Isleward\Core\Measure\Units;
use Isleward\Core\Unit\UnitRules;

/** What holds for a whole project. */
final readonly class Settings implements Element
{
    use Withers;

    /** Nearest an opening may come to a corner, in mm (common practice). */
    public const CORNER_MARGIN = 150.0;

    /** How far a door in an inner wall keeps off the wall beside it, in mm (common practice). */
    public const NIB = 200.0;

    /** A floor of concrete with what lies on it, mm (common practice). */
    public const SLAB = 300.0;

    /** How far a jamb may lie from its mark, mm (common practice). */
    public const SETTING = 10.0;

    /**
     * @param  float  $cornerMargin  mm
     * @param  float  $baseLevel  level of the lowest storey's floor above the datum, mm
     * @param  float  $north  compass bearing of plan +y in degrees, clockwise from north
     * @param  float  $nib  least nib beside a door in an inner wall, mm
     * @param  Module|null  $module  what sizes and piers are coordinated to; null for nothing
     * @param  list<Finish>  $finishes
     * @param  float  $slab  thickness of floors where they are cut, mm
     * @param  float  $setting  how far a jamb may lie from its mark on a tracing, mm
     * @param  Jambs  $jambs  how openings are cut into curved walls that do not say it themselves
     * @param  CurtainRules  $curtainRules  what curtain walls are checked against and cut from
     * @param  LayerRules  $layerRules  what fins, battens and screens are checked against
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
        public array $finishes,
        public UnitRules $unitRules,
        public float $slab,
        public float $setting,
        public Jambs $jambs,
        public CurtainRules $curtainRules,
        public LayerRules $layerRules,
    ) {
    }

    public static function create(string $id, string $name, Units $units): self
    {
        return new self(
            $id,
            $name,
            $units,
            self::CORNER_MARGIN,
            0.0,
            0.0,
            self::NIB,
            Module::brick(),
            self::usualFinishes(),
            UnitRules::usual(),
            self::SLAB,
            self::SETTING,
            Jambs::Parallel,
            CurtainRules::usual(),
            LayerRules::usual(),
        );
    }

    public static function from(Fields $f): self
    {
        $units = $f->choice('units', Units::class);
        $margin = $f->length('cornerMargin');
        if ($margin < 0) {
            throw Refusal::because(
                'settings.margin',
                sprintf('The margin at corners cannot be less than nothing; %s was given.', Length::format($margin, $units)),
            );
        }
        $nib = $f->has('nib') ? $f->length('nib') : self::NIB;
        if ($nib < 0) {
            throw Refusal::because(
                'settings.nib',
                sprintf('A nib cannot be less than nothing; %s was given.', Length::format($nib, $units)),
            );
        }
        $north = $f->number('north');
        if ($north < 0 || $north >= 360) {
            throw Refusal::because(
                'settings.north',
                sprintf('The bearing of the plan’s upward axis runs from 0° to under 360°; %s was given.', (string) $north),
            );
        }

        return new self(
            $f->string('id'), $f->name('name'), $units, $margin, $f->length('baseLevel'), $north, $nib,
            $f->has('module') ? Module::from($f->fields('module')) : null,
            $f->has('finishes') ? self::finishes($f) : self::usualFinishes(),
            $f->has('unitRules') ? UnitRules::from($f->fields('unitRules')) : UnitRules::usual(),
            $f->has('slab') ? $f->size('slab', 'The thickness of floors', 0.0) : self::SLAB,
            $f->has('setting') ? $f->size('setting', 'How far a jamb may lie from its mark', 0.0) : self::SETTING,
            $f->choice('jambs', Jambs::class, Jambs::Parallel),
            $f->has('curtainRules') ? CurtainRules::from($f->fields('curtainRules')) : CurtainRules::usual(),
            $f->has('layerRules') ? LayerRules::from($f->fields('layerRules')) : LayerRules::usual());
    }

    public function finish(string $id): ?Finish
    {
        foreach ($this->finishes as $finish) {
            if ($finish->id === $id) {
                return $finish;
            }
        }

        return null;
    }

    /** @return list<Finish> */
    private static function finishes(Fields $f): array
    {
        $usual = self::usualFinishes();
        if ($f->array('finishes') === array_map(static fn (Finish $one): array => $one->toArray(), $usual)) {
            return $usual;
        }
        $finishes = $ids = [];
        foreach ($f->list('finishes') as $one) {
            $finish = Finish::from($one);
            if (isset($ids[$finish->id])) {
                throw Refusal::because(
                    'finish.twice',
                    sprintf('Two finishes are called “%s”.', $finish->id),
                    details: ['field' => 'finishes'],
                );
            }
            $ids[$finish->id] = true;
            $finishes[] = $finish;
        }

        return $finishes;
    }

    /** @return list<Finish> colours of the invented harbour, to begin with */
    private static function usualFinishes(): array
    {
        /** @var list<Finish>|null $usual */
        static $usual = null;
        $finish = static fn (string $id, string $name, string $colour, string $sheen): Finish => Finish::from(
            new Fields(['id' => $id, 'name' => $name, 'colour' => $colour, 'sheen' => $sheen]),
        );

        return $usual ??= [
            $finish('chalk', 'Chalk', '#f1eee4', 'satin'), $finish('deep-tide', 'Deep tide', '#24494f', 'satin'),
            $finish('slate', 'Wet slate', '#3b4347', 'matt'),
            $finish('lead', 'Lead', '#8b9294', 'matt'), $finish('buoy', 'Buoy', '#b9472a', 'gloss'),
            $finish('oiled-oak', 'Oiled oak', '#a9783f', 'matt'),
        ];
    }

    /** @param  list<Finish>  $finishes */
    public function withFinishes(array $finishes): self
    {
        return $this->but(finishes: $finishes);
    }

    public function id(): string
    {
        return $this->id;
    }

    public function kind(): Kind
    {
        return Kind::Settings;
    }

    public function names(): array
    {
        return [];
    }

    public function toArray(): array
    {
        return [
            'id' => $this->id, 'name' => $this->name, 'units' => $this->units->value, 'cornerMargin' => $this->cornerMargin,
            'baseLevel' => $this->baseLevel, 'north' => $this->north,
            'nib' => $this->nib, 'module' => $this->module?->toArray(),
            'finishes' => array_map(static fn (Finish $finish): array => $finish->toArray(), $this->finishes),
            'unitRules' => $this->unitRules->toArray(), 'slab' => $this->slab, 'setting' => $this->setting,
            'jambs' => $this->jambs->value, 'curtainRules' => $this->curtainRules->toArray(),
            'layerRules' => $this->layerRules->toArray()];
    }
}
