<?php

declare(strict_types=1);

namespace Isleward\Core\Check;

/** One edit that puts a finding right. */
final readonly class Remedy
{
    /** @param  array<string, mixed>  $args */
    public function __construct(public string $label, public string $edit, public array $args)
    {
    }

    /** @return array{label: string, edit: string, args: array<string, mixed>} */
    public function toArray(): array
    {
        return ['label' => $this->label, 'edit' => $this->edit, 'args' => $this->args];
    }
}
