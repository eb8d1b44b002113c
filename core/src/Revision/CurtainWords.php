<?php

declare(strict_types=1);

namespace Isleward\Core\Revision;

use Isleward\Core\CurtainWall\ByHand;
use Isleward\Core\CurtainWall\GridType;
use Isleward\Core\CurtainWall\HandWords;
use Isleward\Core\CurtainWall\SettingOut;
use Isleward\Core\Design\AlignedTo;
use Isleward\Core\Design\Alignment;
use Isleward\Core\Design\Curtain;
use Isleward\Core\Design\Design;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;

/** What became of a curtain wall or a grid type between two states, in parts of a sentence with figures. */
final readonly class CurtainWords
{
    public function __construct(private Design $then, private Design $now)
    {
    }

    /** @return list<string> nothing where nothing of it differs */
    public function curtain(?Curtain $was, ?Curtain $is): array
    {
        if ($was === null || $is === null) {
            return match (true) {
                $is !== null => ['is curtain wall '.$this->mark($this->now, $is).' now'],
                $was !== null => ['is masonry instead of '.$this->mark($this->then, $was)],
                default => [],
            };
        }
        $said = [];
        if ($was->grid !== $is->grid) {
            $said[] = sprintf('by %s instead of %s', $this->mark($this->now, $is), $this->mark($this->then, $was));
        }
        if ($was->lean !== $is->lean) {
            $said[] = sprintf('stands %s instead of %s', self::degrees($is), self::degrees($was));
        }
        $over = static fn (Curtain $c): string => $c->fromDatum ? 'datum' : 'floor';
        if ($was->foot !== $is->foot || $was->fromDatum !== $is->fromDatum) {
            $said[] = sprintf('its foot %s over the %s instead of %s', $this->mm($is->foot), $over($is), $this->mm($was->foot))
                .($was->fromDatum === $is->fromDatum ? '' : ' over the '.$over($was));
        }
        if ($was->height !== $is->height) {
            $said[] = sprintf('%s high instead of %s', $this->high($is), $this->high($was));
        }
        if ($was->corner !== $is->corner) {
            $said[] = $is->corner === null ? 'its corner as the type says' : 'a corner of its own';
        }
        if ($was->square !== $is->square) {
            $said[] = 'its foot and head '.($is->square ? 'square to its face' : 'level');
        }
        if ($was->faceted !== $is->faceted) {
            $said[] = $is->faceted ? 'in facets' : 'bent to the arc';
        }

        foreach (['bays' => [$was->bays, $is->bays], 'rows' => [$was->rows, $is->rows]] as $what => [$before, $after]) {
            if ($before?->toArray() !== $after?->toArray()) {
                $said[] = "its $what ".($after === null ? 'as its type sets them out' : 'in line with '.self::alignedTo($after));
            }
        }

        return [...$said, ...$this->byHand($was, $is)];
    }

    private static function alignedTo(Alignment $alignment): string
    {
        return match ($alignment->to) {
            AlignedTo::Lines => 'setting-out lines',
            AlignedTo::Sides => 'the sides of openings',
            AlignedTo::Middles => 'the middles of openings',
            AlignedTo::Grid => 'another curtain wall',
        };
    }

    /** @return list<string> */
    public function type(GridType $was, GridType $is): array
    {
        $said = $was->mark() === $is->mark() && $was->name() === $is->name() ? [] : [
            sprintf('is called %s %s instead of %s %s', $is->mark(), $is->name(), $was->mark(), $was->name()),
        ];
        [$a, $b] = [$was->rules(), $is->rules()];
        foreach (['bays' => [$a->bays, $b->bays], 'rows' => [$a->rows, $b->rows]] as $what => [$from, $to]) {
            if ($from->toArray() !== $to->toArray()) {
                [$before, $after] = [$this->settingOut($from), $this->settingOut($to)];
                $said[] = $before === $after ? "its $what are set out otherwise" : "its $what are set out by $after instead of $before";
            }
        }
        foreach ([
            'its members' => [[$a->toArray()['profiles'], $a->order], [$b->toArray()['profiles'], $b->order]],
            'its joints' => [[$a->joint, $a->cover], [$b->joint, $b->cover]],
            'its infills' => [$a->toArray()['infills'], $b->toArray()['infills']],
            'its corners' => [$was->corner()->toArray(), $is->corner()->toArray()],
        ] as $part => [$from, $to]) {
            if ($from !== $to) {
                $said[] = $part.' are others';
            }
        }

        return $said;
    }

    /** @return list<string> */
    private function byHand(Curtain $was, Curtain $is): array
    {
        if ($was->byHand === $is->byHand) {
            return [];
        }
        [$before, $after] = [$this->changes($this->then, $was), $this->changes($this->now, $is)];
        $said = array_map(static fn (string $s): string => 'by hand: '.$s, array_values(array_diff($after, $before)));
        foreach (array_diff($before, $after) as $gone) {
            $said[] = 'no more by hand: '.$gone;
        }

        return $said;
    }

    /** @return list<string> */
    private function changes(Design $design, Curtain $curtain): array
    {
        return array_map(
            fn (array $one): string => Length::said($one['says'], $this->now->settings->units),
            HandWords::of($design, ByHand::from(new Fields($curtain->byHand))->asKept()),
        );
    }

    private function settingOut(SettingOut $rule): string
    {
        $sizes = implode(', ', array_map($this->mm(...), $rule->sizes));

        return match ($rule->by->value) {
            'count' => "a count of $rule->count",
            'greatest' => 'a greatest size of '.$this->mm($rule->size),
            'sizes' => "the sizes $sizes",
            default => 'a module of '.$this->mm($rule->size),
        };
    }

    private function mark(Design $design, Curtain $curtain): string
    {
        return ($design->grids[$curtain->grid] ?? null)?->mark() ?? 'a removed grid type';
    }

    private static function degrees(Curtain $curtain): string
    {
        return rtrim(rtrim(sprintf('%.2f', 90.0 - abs($curtain->lean)), '0'), '.').'° from the ground'
            .($curtain->lean > 0.0 ? ', leaning in,' : ($curtain->lean < 0.0 ? ', leaning out,' : ''));
    }

    private function high(Curtain $curtain): string
    {
        return $curtain->height === null ? 'as its storeys' : $this->mm($curtain->height);
    }

    private function mm(float $mm): string
    {
        return Length::format($mm, $this->now->settings->units);
    }
}
