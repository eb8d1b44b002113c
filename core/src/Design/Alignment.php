<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** That the bays or the rows of a curtain wall are in line with what other walls have, and not as its type sets them out. */
final readonly class Alignment
{
    /** @param  non-empty-list<string>  $walls  those of a frontage, in most cases */
    private function __construct(public array $walls, public AlignedTo $to)
    {
    }

    public static function from(Fields $f): self
    {
        $walls = array_values(array_unique($f->strings('walls')));
        foreach ($walls as $wall) {
            if (! Kind::Wall->isOf($wall)) {
                throw Refusal::because('alignment.no_wall', 'A curtain wall is put in line with walls.', [$wall], ['field' => 'walls']);
            }
        }

        return $walls !== [] ? new self($walls, $f->choice('to', AlignedTo::class)) : throw Refusal::because(
            'alignment.nothing',
            'Say with which walls it is in line.',
            details: ['field' => 'walls'],
        );
    }

    /**
     * The same when some of those walls go; null when none is left.
     *
     * @param  array<string, mixed>  $gone  by id
     */
    public function without(array $gone): ?self
    {
        $left = array_values(array_filter($this->walls, static fn (string $w): bool => ! isset($gone[$w])));

        return $left === [] ? null : new self($left, $this->to);
    }

    /** @return array{walls: non-empty-list<string>, to: string} */
    public function toArray(): array
    {
        return ['walls' => $this->walls, 'to' => $this->to->value];
    }
}
