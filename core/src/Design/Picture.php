<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;

/** A picture pinned beside the desk to look at. */
final readonly class Picture implements Kept
{
    private function __construct(public string $id, public string $name, public string $file)
    {
    }

    public static function from(Fields $f): self
    {
        return new self($f->string('id'), $f->name('name'), StoredFile::named($f));
    }

    public function called(): string
    {
        return $this->name;
    }

    public function id(): string
    {
        return $this->id;
    }

    public function kind(): Kind
    {
        return Kind::Picture;
    }

    public function names(): array
    {
        return [];
    }

    public function toArray(): array
    {
        return ['id' => $this->id, 'name' => $this->name, 'file' => $this->file];
    }
}
