<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Length;
use Isleward\Core\Measure\Refusal;

/**
 * What a wall's head or foot follows in place of its storey's level: the underside of a roof (a foot: its upper side), or levels and
 * slopes by figures, as of a parapet that steps.
 */
final readonly class WallEdge
{
    private const MOST = 100;

    /**
     * @param  string|null  $roof  that it follows; null where it goes by $points
     * @param  list<array{float, float}>  $points  mm from the wall's left end, and mm over the storey's level; two at one place are a step,
     *                                             before the first and after the last it is level
     */
    private function __construct(public ?string $roof, public array $points)
    {
    }

    public static function following(string $roof): self
    {
        return new self($roof, []);
    }

    /** @throws Refusal */
    public static function from(Fields $f): self
    {
        if ($f->has('roof')) {
            return self::following($f->string('roof'));
        }
        $points = [];
        foreach ($f->has('points') ? array_values($f->array('points')) : [] as $point) {
            $at = new Fields(is_array($point) ? $point : [], $f->units());
            $points[] = [$at->length('along'), $at->length('over')];
        }
        foreach ($points as $i => [$along]) {
            if ($i > 0 && $along < $points[$i - 1][0]) {
                throw Refusal::because('wall.points_back', Length::said(sprintf(
                    'These levels run from left to right: %s comes after %s.', Length::mark($along), Length::mark($points[$i - 1][0]),
                ), $f->units()), details: ['field' => 'points']);
            }
            if ($i > 1 && $along === $points[$i - 1][0] && $along === $points[$i - 2][0]) {
                throw Refusal::because('wall.points_three', Length::said(sprintf(
                    'At %s from the left three levels are given: a step has two.', Length::mark($along),
                ), $f->units()), details: ['field' => 'points']);
            }
        }
        if ($points === [] || count($points) > self::MOST) {
            throw Refusal::because('wall.points', sprintf('Give a level at one place at least, and at %d at the most.', self::MOST),
                details: ['field' => 'points']);
        }

        return new self(null, $points);
    }

    /** For a wall like it in another storey: figures stay, a roof does not lie over that. */
    public function elsewhere(): ?self
    {
        return $this->roof === null ? $this : null;
    }

    public function ofRoof(): ?self
    {
        return $this->roof === null ? null : $this;
    }

    /** For the same wall seen from its other side. */
    public function turned(float $length): self
    {
        return new self($this->roof, array_map(
            static fn (array $p): array => [$length - $p[0], $p[1]], array_reverse($this->points),
        ));
    }

    /** Counted from so much farther to the right. */
    public function shifted(float $along): self
    {
        return new self($this->roof, array_map(static fn (array $p): array => [$p[0] - $along, $p[1]], $this->points));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return $this->roof !== null ? ['roof' => $this->roof] : ['points' => array_map(
            static fn (array $p): array => ['along' => $p[0], 'over' => $p[1]], $this->points,
        )];
    }
}
