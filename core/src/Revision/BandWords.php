<?php

declare(strict_types=1);

namespace Isleward\Core\Revision;

use Isleward\Core\Layer\Band;
use Isleward\Core\Layer\Law\Law;
use Isleward\Core\Layer\Law\LawKind;
use Isleward\Core\Layer\Quantity;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Units;

/** What differs between two states of a band, in words. */
final readonly class BandWords
{
    public function __construct(private Units $units)
    {
    }

    /** @return list<string> */
    public function between(Band $was, Band $is): array
    {
        $said = [];
        if ($was->name !== $is->name) {
            $said[] = 'was called '.$was->name;
        }
        if ([$was->outline, $was->walls, $was->line?->toArray()] !== [$is->outline, $is->walls, $is->line?->toArray()]) {
            $said[] = 'runs along another line';
        }
        foreach (['gap' => 'stands %s before its line instead of %s',
            'foot' => 'begins %s over its floor instead of %s'] as $name => $words) {
            if (abs($was->$name - $is->$name) > 0.05) {
                $said[] = sprintf($words, Length::format($is->$name, $this->units), Length::format($was->$name, $this->units));
            }
        }
        if ([$was->stand, $was->shape, $was->profile] !== [$is->stand, $is->shape, $is->profile]) {
            $said[] = sprintf('has %ss, %s, instead of %ss, %s', $is->shape->word(), $is->stand->value, $was->shape->word(),
                $was->stand->value);
        }
        if ($was->spaced->toArray() !== $is->spaced->toArray()) {
            $said[] = 'is spaced otherwise';
        }
        foreach (Quantity::cases() as $quantity) {
            [$before, $after] = [$was->law($quantity), $is->law($quantity)];
            if ($before->toArray() !== $after->toArray()) {
                $said[] = sprintf('its %s is %s instead of %s', $quantity->value, $this->law($after, $quantity),
                    $this->law($before, $quantity));
            }
        }
        if ($was->pinned !== $is->pinned) {
            $said[] = sprintf('%d pieces are pinned or left out instead of %d', count($is->pinned), count($was->pinned));
        }

        return $said;
    }

    private function law(Law $law, Quantity $quantity): string
    {
        $same = $law->same();

        return $same !== null ? Length::said($quantity->driven()->said($same), $this->units) : match ($law->kind) {
            LawKind::Drawn => 'a drawn curve',
            LawKind::Seeded => 'varied by a seed',
            LawKind::Combined => 'two laws together',
            LawKind::Steps => 'in steps',
            default => 'a '.$law->kind->value,
        };
    }
}
