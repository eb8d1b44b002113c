<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** A named choice of openings, walls and what stands before them, and of cells and members; kept to show, hide or return to. */
final readonly class NamedSet implements Kept
{
    /**
     * @param  list<string>  $members
     * @param  list<HostPart>  $parts
     */
    private function __construct(public string $id, public string $name, public array $members, public array $parts)
    {
    }

    public static function from(Fields $f): self
    {
        $members = $f->has('members') ? array_values(array_unique($f->strings('members'))) : [];
        $parts = $f->has('parts') ? array_map(HostPart::from(...), $f->list('parts')) : [];
        if ($members === [] && $parts === []) {
            throw Refusal::because('set.empty', 'A set keeps what is chosen: choose something first.');
        }

        return new self($f->string('id'), $f->name('name'), $members, $parts);
    }

    public function id(): string
    {
        return $this->id;
    }

    public function called(): string
    {
        return $this->name;
    }

    public function kind(): Kind
    {
        return Kind::Set;
    }

    public function names(): array
    {
        return Naming::of(Tie::Lists, ...$this->members, ...array_unique(array_column($this->parts, 'element')));
    }

    public function toArray(): array
    {
        return [
            'id' => $this->id, 'name' => $this->name, 'members' => $this->members,
            'parts' => array_map(static fn (HostPart $p): array => $p->toArray(), $this->parts),
        ];
    }
}
