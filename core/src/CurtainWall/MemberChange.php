<?php

declare(strict_types=1);

namespace Isleward\Core\CurtainWall;

use Isleward\Core\Measure\Fields;

/** A piece of a line, from one crossing line to the next, that has another profile than its rule says, or is taken away. */
final readonly class MemberChange
{
    /**
     * @param  string  $line  that it is a piece of: the number of a rule's line, the name of an added one, "0" or "end" for an edge
     * @param  string  $from  the crossing line it begins at, lower or further left
     * @param  MemberProfile|null  $profile  null for none: the cells on both sides are one then
     */
    private function __construct(public Axis $axis, public string $line, public string $from, public ?MemberProfile $profile)
    {
    }

    public static function from(Fields $f): self
    {
        return new self(
            $f->choice('axis', Axis::class),
            $f->string('line'),
            $f->string('from'),
            $f->has('profile') ? MemberProfile::from($f->fields('profile')) : null,
        );
    }

    /** The same from another crossing line on. */
    public function startingAt(string $line): self
    {
        return new self($this->axis, $this->line, $line, $this->profile);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['axis' => $this->axis->value, 'line' => $this->line, 'from' => $this->from, 'profile' => $this->profile?->toArray()];
    }
}
