<?php

declare(strict_types=1);

namespace Isleward\Core\Sheet;

use Isleward\Core\CurtainWall\CornerKind;
use Isleward\Core\CurtainWall\GridType;
use Isleward\Core\CurtainWall\HandWords;
use Isleward\Core\CurtainWall\Role;
use Isleward\Core\CurtainWall\RunDoubt;
use Isleward\Core\CurtainWall\RunDoubts;
use Isleward\Core\CurtainWall\RunLimits;
use Isleward\Core\CurtainWall\RunTakeOff;
use Isleward\Core\CurtainWall\Shares;
use Isleward\Core\CurtainWall\Typical;
use Isleward\Core\Design\Design;
use Isleward\Core\Measure\Area;
use Isleward\Core\Measure\Length;

/** The tables of a grid type's sheet: what it is made of, and what a typical stretch takes. */
final readonly class GridTables
{
    private function __construct(private GridType $type, private Design $design)
    {
    }

    /**
     * @param  list<array{string, string}>  $places  where it stands, and how often
     * @return list<Block>
     */
    public static function of(GridType $type, Design $design, ?Typical $typical, array $places): array
    {
        $tables = new self($type, $design);

        return array_values(array_filter([
            $tables->sections(),
            new Block('Where it stands', [], [[0.8, 'start'], [0.2, 'end']], $places === [] ? [['In no place', '0']] : $places),
            ...($typical === null ? [] : [
                $tables->shares($typical), $tables->members($typical), $tables->infills($typical), $tables->doubts($typical),
            ]),
        ]));
    }

    private function sections(): Block
    {
        $rows = [];
        foreach (Role::cases() as $role) {
            $profile = $this->type->rules()->profile($role);
            $rows[] = [ucfirst($role->word()), $profile === null ? 'none' : $this->say($profile->name())];
        }
        $corner = $this->type->corner();
        $rows[] = ['Corner', match ($corner->kind) {
            CornerKind::Post => 'post '.$this->say($corner->profile?->name() ?? ''),
            CornerKind::SquareLeft, CornerKind::SquareRight => sprintf(
                'post %s, square to the side at its %s',
                $this->say($corner->profile?->name() ?? ''),
                $corner->kind === CornerKind::SquareLeft ? 'left' : 'right',
            ),
            CornerKind::Mitred => 'mitred pair '.$this->say($corner->profile?->name() ?? ''),
            CornerKind::Glass => 'glass to glass, joint '.$this->mm($corner->joint),
        }];
        $rows[] = ['Joint without a member', $this->mm($this->type->rules()->joint)];
        $rows[] = ['Infills run under members', $this->mm($this->type->rules()->cover)];

        return new Block('Sections', [], [[0.5, 'start'], [0.5, 'end']], $rows);
    }

    private function shares(Typical $typical): Block
    {
        $shares = Shares::of($typical->run);
        $rows = [];
        foreach (['Glass' => $shares->glass, 'Members' => $shares->frame, 'Face' => $shares->face()] as $name => $area) {
            $rows[] = [
                $name, $this->area($area), $shares->face() > 0.0 ? sprintf('%.1f %%', $area / $shares->face() * 100.0) : '–',
            ];
        }

        return new Block('The typical stretch', [], [[0.5, 'start'], [0.25, 'end'], [0.25, 'end']], $rows);
    }

    private function members(Typical $typical): ?Block
    {
        $rows = [];
        foreach (RunTakeOff::members([$typical->run]) as $m) {
            $rows[] = [$m->mark, $m->what, $this->say($m->profile->name()), $this->mm($m->length), (string) $m->count];
        }

        return $rows === [] ? null : new Block(
            'Its members',
            ['Mark', 'What', 'Section', 'Cut length', 'No.'],
            [[0.1, 'start'], [0.4, 'start'], [0.24, 'start'], [0.16, 'end'], [0.1, 'end']],
            $rows,
        );
    }

    private function infills(Typical $typical): ?Block
    {
        $rows = [];
        foreach (RunTakeOff::infills([$typical->run], $this->type->rules()->cover) as $i) {
            $rows[] = [
                $i->mark, $this->say(HandWords::infill($this->design, $i->infill)),
                $this->mm($i->width).' × '.$this->mm($i->height), sprintf('%.1f kg', $i->weight), (string) $i->count,
            ];
        }

        return $rows === [] ? null : new Block(
            'Its infills',
            ['Mark', 'What', 'Size', 'Weight', 'No.'],
            [[0.12, 'start'], [0.34, 'start'], [0.26, 'start'], [0.18, 'end'], [0.1, 'end']],
            $rows,
        );
    }

    private function doubts(Typical $typical): ?Block
    {
        $doubts = RunDoubts::of($typical->run, $this->type->rules(), RunLimits::from($this->design->settings->curtainRules));

        return $doubts === [] ? null : new Block(
            'Doubts',
            [],
            [[1.0, 'start']],
            array_map(fn (RunDoubt $d): array => [$this->say($d->says)], $doubts),
        );
    }

    private function say(string $marked): string
    {
        return Length::said($marked, $this->design->settings->units);
    }

    private function mm(float $mm): string
    {
        return Length::format($mm, $this->design->settings->units);
    }

    private function area(float $mm2): string
    {
        return Area::format($mm2, $this->design->settings->units);
    }
}
