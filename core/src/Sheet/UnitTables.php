<?php

declare(strict_types=1);

namespace Isleward\Core\Sheet;

use Isleward\Core\Bench\Figures;
use Isleward\Core\Design\Settings;
use Isleward\Core\Design\UnitType;
use Isleward\Core\Measure\Area;
use Isleward\Core\Measure\Length;
use Isleward\Core\Unit\FinishPart;
use Isleward\Core\Unit\FreeOpening;
use Isleward\Core\Unit\Opens;
use Isleward\Core\Unit\SolvedLight;
use Isleward\Core\Unit\SolvedUnit;
use Isleward\Core\Unit\TakeOff;
use Isleward\Core\Unit\UnitChecks;

/** The tables of a unit's sheet. */
final readonly class UnitTables
{
    private function __construct(private UnitType $type, private SolvedUnit $unit, private Settings $settings)
    {
    }

    /**
     * @param  array<string, int>  $counts  openings of the type, by storey's name
     * @return list<Block>
     */
    public static function of(UnitType $type, SolvedUnit $unit, Settings $settings, array $counts): array
    {
        $tables = new self($type, $unit, $settings);

        return array_values(array_filter([
            $tables->figures(), $tables->counts($counts), $tables->lights(), $tables->glass(), $tables->finishes(), $tables->hardware(),
            $tables->members(), $tables->doubts(),
        ]));
    }

    private function figures(): Block
    {
        $f = Figures::of($this->unit, $this->settings->unitRules);
        $rows = [
            ['Size', $this->mm($this->type->width).' × '.$this->mm($this->type->height)],
            ['Usual sill over the floor', $this->mm($this->type->sill)],
            ['Area', $this->area($f['area'])],
            ['Glass', $this->area($f['glass']).sprintf(' · frame %.1f %%', $f['frameShare'] * 100)],
            ['Weight', sprintf('%.0f kg', $f['weight']['total'])],
            ['Free opening, all lights wholly open', $this->area($f['free'])],
        ];
        if ($f['clear']['width'] > 0) {
            $rows[] = ['Largest clear way', $this->mm($f['clear']['width']).' × '.$this->mm($f['clear']['height'])];
        }
        if ($f['louvre'] > 0) {
            $rows[] = ['Free area of louvres', $this->area($f['louvre'])];
        }

        return new Block('Figures', [], [[0.6, 'start'], [0.4, 'end']], $rows);
    }

    /** @param  array<string, int>  $counts */
    private function counts(array $counts): Block
    {
        $rows = [];
        foreach ($counts as $storey => $n) {
            $rows[] = [$storey, (string) $n];
        }
        $rows[] = $rows === [] ? ['In no opening', '0'] : ['Altogether', (string) array_sum($counts)];

        return new Block('Number by storey', [], [[0.8, 'start'], [0.2, 'end']], $rows);
    }

    private function lights(): Block
    {
        $rows = [];
        foreach ($this->unit->lights as $i => $light) {
            $free = FreeOpening::of($light, 1.0);
            $rows[] = [
                (string) ($i + 1), self::what($light), $this->mm($light->contour->width()).' × '.$this->mm($light->contour->height()),
                $light->louvre !== null
                                    ? $this->area($light->louvre['free']).' free'
                                    : ($free->width > 0 ? $this->mm($free->width).' × '.$this->mm($free->height) : '–')];
        }

        return new Block(
            'Lights',
            ['No.', 'Operation', 'Clear size', 'Opens clear'],
            [[0.08, 'start'], [0.4, 'start'], [0.26, 'start'], [0.26, 'end']],
            $rows,
        );
    }

    private static function what(SolvedLight $light): string
    {
        $l = $light->light;
        if ($l->glazing->solid && ! $l->operation->moves() && $light->louvre === null) {
            return 'solid infill';
        }
        $words = [$l->operation->label()];
        if ($l->operation->isHanded()) {
            $words[] = $light->hinge->value;
        }
        if ($l->operation->isOneWay()) {
            $words[] = $l->opens === Opens::Inward ? 'inward' : 'outward';
        }

        return implode(', ', $words);
    }

    private function glass(): ?Block
    {
        $rows = array_map(
            fn (array $p): array => [
                $p['glass'],
                $this->mm($p['width']).' × '.$this->mm($p['height']).($p['rectangular'] ? '' : ', shaped'),
                (string) $p['count'],
                $this->area($p['area']),
                sprintf('%.1f kg', $p['weight']),
            ],
            TakeOff::panes($this->unit),
        );

        return $rows === [] ? null : new Block(
            'Glass, as cut',
            ['Make', 'Size', 'No.', 'Each', 'Each'],
            [[0.18, 'start'], [0.38, 'start'], [0.08, 'end'], [0.18, 'end'], [0.18, 'end']],
            $rows,
        );
    }

    private function finishes(): Block
    {
        $rows = [];
        foreach (FinishPart::cases() as $part) {
            $finish = isset($this->unit->tree->finishes[$part->value])
                            ? $this->settings->finish($this->unit->tree->finishes[$part->value])
                            : null;
            if ($finish !== null) {
                $rows[] = [ucfirst($part->label()), $finish->colour.' '.$finish->name.', '.$finish->sheen->value];
            }
        }

        return new Block('Finish', [], [[0.4, 'start'], [0.6, 'start']], $rows === [] ? [['No finish is set', '']] : $rows);
    }

    private function hardware(): ?Block
    {
        $rows = [];
        foreach (TakeOff::hardware($this->unit) as $what => $n) {
            $rows[] = [ucfirst($what), (string) $n];
        }

        return $rows === [] ? null : new Block('Hardware', [], [[0.8, 'start'], [0.2, 'end']], $rows);
    }

    private function members(): Block
    {
        return new Block(
            'Members', ['Part', 'Section', 'Length', 'Ends', 'No.'],
            [[0.28, 'start'], [0.22, 'start'], [0.2, 'end'], [0.22, 'end'], [0.08, 'end']],
            array_map(
                fn (array $m): array => [ucfirst($m['what']), $this->mm($m['face']).' × '.$this->mm($m['depth']), $this->mm($m['length']),
                    $m['radius'] !== null ? 'radius '.$this->mm($m['radius']) : implode(
                        ' / ',
                        array_map(
                            static fn (float $a): string => rtrim(rtrim(number_format($a, 1, '.', ''), '0'), '.').'°',
                            array_slice($m['ends'], 0, 2),
                        ),
                    ),
                    (string) $m['count']], TakeOff::members($this->unit)));
    }

    private function doubts(): ?Block
    {
        $rows = array_map(
            fn (array $d): array => ['It '.Length::said($d['what'], $this->settings->units).'.'],
            [...UnitChecks::of($this->unit, $this->settings->unitRules), ...UnitChecks::rain($this->unit, true)],
        );

        return $rows === [] ? null : new Block('Doubts', [], [[1.0, 'start']], $rows);
    }

    private function mm(float $length): string
    {
        return Length::format($length, $this->settings->units);
    }

    private function area(float $mm2): string
    {
        return Area::format($mm2, $this->settings->units);
    }
}
