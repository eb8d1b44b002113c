<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;
use Isleward\Core\Measure\Refusal;

/** A named choice of openings and walls, kept to show, hide or return to. */
final readonly class NamedSet implements Kept
{
    /** @param  list<string>  $members */
    private function __construct(public string $id, public string $name, public array $members)
    {
    }

    public static function from(Fields $f): self
    {
        $members = array_values(array_unique($f->strings('members')));
        if ($members === []) {
            throw Refusal::because('set.empty', 'A set keeps what is chosen: choose something first.');
        }

        return new self($f->string('id'), $f->name('name'), $members);
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
        return Naming::of(Tie::Lists, ...$this->members);
    }

    public function toArray(): array
    {
        return ['id' => $this->id, 'name' => $this->name, 'members' => $this->members];
    }
}
