<?php

declare(strict_types=1);

namespace Isleward\Core\Design;

use Isleward\Core\Measure\Fields;

/** One element added (no before), altered, or removed (no after). */
final readonly class Operation
{
    private function __construct(public Kind $kind, public string $id, public ?Element $before, public ?Element $after)
    {
    }

    public static function add(Element $element): self
    {
        return new self($element->kind(), $element->id(), null, $element);
    }

    public static function alter(Element $before, Element $after): self
    {
        return new self($before->kind(), $before->id(), $before, $after);
    }

    public static function remove(Element $element): self
    {
        return new self($element->kind(), $element->id(), $element, null);
    }

    public function inverse(): self
    {
        return new self($this->kind, $this->id, $this->after, $this->before);
    }

    public function changesNothing(): bool
    {
        return $this->before !== null && $this->after !== null && $this->before->toArray() === $this->after->toArray();
    }

    /** @return array{kind: string, id: string, before: array<string, mixed>|null, after: array<string, mixed>|null} */
    public function toArray(): array
    {
        return [
            'kind' => $this->kind->value,
            'id' => $this->id,
            'before' => $this->before?->toArray(),
            'after' => $this->after?->toArray(),
        ];
    }

    public static function from(Fields $f): self
    {
        $kind = $f->choice('kind', Kind::class);

        return new self(
            $kind,
            $f->string('id'),
            $f->has('before') ? $kind->make($f->fields('before')) : null,
            $f->has('after') ? $kind->make($f->fields('after')) : null,
        );
    }
}
